import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { phraseFile, readPhraseFile, type Movement, type WrittenPhrase } from '@leiter/core';
import { useState } from 'react';
import { FileButton } from '../../shared/file-button';
import { palette } from '../../shared/palette';
import { textOf } from '../../shared/read-file';

/** A phrase is small: what is larger is another file. */
const mostBytes = 200_000;

interface Props {
  readonly movement: Pick<Movement, 'slug' | 'name'>;
  readonly written: WrittenPhrase;
  /** What was read stands in the editor; it is stored when it is saved. */
  readonly onRead: (next: Partial<WrittenPhrase>) => void;
}

/** A phrase to and from a file: `leiter-phrase/1`, or a text with the steps alone. */
export function AsFile({ movement, written, onRead }: Props) {
  const [faults, setFaults] = useState<readonly string[]>([]);
  const take = async (file: File): Promise<void> => {
    if (file.size > mostBytes) {
      setFaults([t`The file is larger than a phrase can be.`]);
      return;
    }
    const read = readPhraseFile(textOf(new Uint8Array(await file.arrayBuffer())));
    setFaults(read.ok ? [] : read.error.slice(0, 4));
    if (read.ok) onRead(read.value.kind === 'steps' ? { text: read.value.text } : read.value.phrase);
  };
  const save = (): void => {
    const json = JSON.stringify(phraseFile(movement.slug, movement.name, written), null, 2);
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([json], { type: 'application/json' }));
    link.download = `${movement.slug}.leiter-phrase.json`;
    link.click();
    URL.revokeObjectURL(link.href);
  };
  return (
    <Box sx={{ mt: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap' }}>
        <FileButton
          label={t`A phrase as a file`}
          accept=".json,.txt,application/json,text/plain"
          onFiles={([file]) => {
            if (file) void take(file);
          }}
        >
          <Trans>From a file</Trans>
        </FileButton>
        <Button variant="outlined" disabled={written.text.trim() === ''} onClick={save}>
          <Trans>As a file</Trans>
        </Button>
      </Box>
      {faults.length > 0 && (
        <Box role="alert" sx={{ color: palette.stop, mt: 1 }}>
          {faults.map((fault) => (
            <div key={fault}>{fault}</div>
          ))}
        </Box>
      )}
    </Box>
  );
}
