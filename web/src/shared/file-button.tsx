import Button from '@mui/material/Button';
import { useRef, type ReactNode } from 'react';

interface Props {
  /** What the button says. */
  readonly children: ReactNode;
  /** What the field is called for who cannot see it. */
  readonly label: string;
  readonly accept: string;
  readonly isMultiple?: boolean;
  readonly isSmall?: boolean;
  readonly disabled?: boolean;
  readonly onFiles: (files: readonly File[]) => void;
}

/** A button that takes files; the same file can be taken again. */
export function FileButton({ children, label, accept, isMultiple = false, isSmall = false, disabled = false, onFiles }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button variant="outlined" size={isSmall ? 'small' : 'medium'} disabled={disabled} onClick={() => input.current?.click()}>
        {children}
      </Button>
      <input
        ref={input}
        hidden
        type="file"
        accept={accept}
        multiple={isMultiple}
        aria-label={label}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = '';
          if (files.length > 0) onFiles(files);
        }}
      />
    </>
  );
}
