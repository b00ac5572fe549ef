import { Trans } from '@lingui/react/macro';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { memo, useState } from 'react';

interface File {
  readonly label: string;
  readonly href: string;
  readonly name: string;
}

/** A button that offers files to take away. */
export const ExportMenu = memo(function ExportMenu({ files }: { readonly files: readonly File[] }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = (): void => {
    setAnchor(null);
  };
  return (
    <>
      <Button
        variant="outlined"
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        onClick={(event) => {
          setAnchor(event.currentTarget);
        }}
      >
        <Trans>Export</Trans>
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
        {files.map(({ label, href, name }) => (
          <MenuItem key={href} component="a" href={href} download={name} onClick={close}>
            {label}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
});
