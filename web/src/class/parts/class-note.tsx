import { t } from '@lingui/core/macro';
import type { ClassPageResponse } from '@leiter/contract';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState } from 'react';
import { changeClass } from '../../queries/calendar.queries';
import { useMay } from '../../queries/may';
import { palette } from '../../shared/palette';
import { useTyped } from '../../shared/use-typed';

const quietMs = 800;
type State = '' | 'writing' | 'saved' | 'kept';

/** @param wanted what is to be saved; null where nothing is */
async function saveNote(id: string, wanted: { current: string | null }): Promise<State> {
  const text = wanted.current;
  if (text === null) return '';
  try {
    await changeClass(id, { note: text });
    // what was written meanwhile is still to be saved
    if (wanted.current === text) wanted.current = null;
    return 'saved';
  } catch {
    return 'kept';
  }
}

/** What is to be kept of a class; saved by itself, and before the page is left. */
export function ClassNote({ page }: { readonly page: ClassPageResponse }) {
  const may = useMay();
  const { id, note } = page.class;
  const [typed, setTyped] = useTyped(note ?? '');
  const [state, setState] = useState<State>('');
  const wanted = useRef<string | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => void saveNote(id, wanted).then(setState), quietMs);
    return () => {
      clearTimeout(timer);
    };
  }, [id, typed]);
  useEffect(() => () => void saveNote(id, wanted), [id]);
  if (!may.change && (note ?? '') === '') return null;
  return (
    <Box component="section" aria-label={t`Note`}>
      <TextField
        label={t`Note of this class`}
        placeholder={t`What went well, what next time wants`}
        fullWidth
        multiline
        minRows={3}
        value={typed}
        disabled={!may.change}
        slotProps={{ htmlInput: { maxLength: 2000 } }}
        onChange={(event) => {
          setTyped(event.target.value);
          wanted.current = event.target.value;
          setState('writing');
        }}
      />
      <Box role="status" sx={{ fontSize: 13.5, color: state === 'kept' ? palette.caution : palette.soft, minHeight: 20 }}>
        {state === 'saved' ? t`saved` : state === 'kept' ? t`not saved yet; it is tried again when you go on writing` : ''}
      </Box>
    </Box>
  );
}
