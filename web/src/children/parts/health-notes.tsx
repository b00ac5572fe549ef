import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { HealthNotes as HealthNotesOfChild } from '@leiter/contract';
import { hazards, hazardWord, regions, regionWord, type Hazard, type HealthNote, type Region } from '@leiter/core';
import { useState } from 'react';
import { Refused } from '../../shared/page';
import { palette } from '../../shared/palette';
import { TextButton } from '../../shared/text-button';
import { dateText } from '../../shared/words';
import { useSaveHealthNotes } from '../../queries/children.queries';

interface Props {
  readonly childId: string;
  /** Null for who is not of the staff of the child's groups. */
  readonly health: HealthNotesOfChild | null;
}

/** What a family told of a child's health, and what the child is spared for it; for the staff of its groups. */
export function HealthNotes({ childId, health }: Props) {
  const notes = health?.notes ?? null;
  const version = health?.version ?? 0;
  const save = useSaveHealthNotes(childId);
  const [isAdding, setAdding] = useState(false);
  return (
    <Box component="section" aria-label={t`Health`} sx={{ mb: 2.5 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        <Trans>Health</Trans>
      </Typography>
      <Refused error={save.error} />
      {notes === null && (
        <Typography variant="body2" sx={{ color: palette.soft }}>
          <Trans>For those who teach its groups only.</Trans>
        </Typography>
      )}
      {notes?.length === 0 && !isAdding && (
        <Typography variant="body2">
          <Trans>Nothing to mind.</Trans>
        </Typography>
      )}
      <Box component="ul" aria-label={t`Health notes`} sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {(notes ?? []).map((note, index) => (
          <Box component="li" key={`${note.text} ${String(index)}`} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.75, fontSize: 14 }}>
            <strong>{note.text}</strong>
            <Box sx={{ color: palette.soft }}>{sparesText(note)}</Box>
            <TextButton
              label={t`No longer applies`}
              onClick={() => {
                save.mutate({ version, notes: (notes ?? []).filter((one) => one !== note) });
              }}
            />
          </Box>
        ))}
      </Box>
      {notes && !isAdding && (
        <Button
          variant="outlined"
          size="small"
          sx={{ mt: 1 }}
          onClick={() => {
            setAdding(true);
          }}
        >
          <Trans>Add a note</Trans>
        </Button>
      )}
      {notes && isAdding && (
        <NewNote
          isSaving={save.isPending}
          onLeave={() => {
            setAdding(false);
          }}
          onKeep={(note) => {
            save.mutate(
              { version, notes: [...notes, note] },
              {
                onSuccess: () => {
                  setAdding(false);
                },
              },
            );
          }}
        />
      )}
    </Box>
  );
}

type Spared = { readonly kind: 'region'; readonly of: Region } | { readonly kind: 'hazard'; readonly of: Hazard };

const choices: readonly Spared[] = [
  ...regions.map((of) => ({ kind: 'region', of }) as const),
  ...hazards.map((of) => ({ kind: 'hazard', of }) as const),
];

const wordOf = (spared: Spared): string => (spared.kind === 'region' ? regionWord(spared.of) : hazardWord(spared.of));

function sparesText({ regions: own, hazards: what, untilDay }: HealthNote): string {
  const spared = [...own.map(regionWord), ...what.map(hazardWord)];
  const until = untilDay === null ? t`until it is taken back` : t`until ${dateText(untilDay)}`;
  return spared.length === 0 ? t`Plans go on as before, ${until}` : t`Plans spare ${spared.join(', ')}, ${until}`;
}

function NewNote({
  isSaving,
  onKeep,
  onLeave,
}: {
  readonly isSaving: boolean;
  readonly onKeep: (note: HealthNote) => void;
  readonly onLeave: () => void;
}) {
  const [text, setText] = useState('');
  const [spared, setSpared] = useState<readonly Spared[]>([]);
  const [untilDay, setUntilDay] = useState('');
  return (
    <Box sx={{ display: 'grid', gap: 1.25, mt: 1.5 }}>
      <TextField
        label={t`What the family told`}
        value={text}
        autoFocus
        multiline
        onChange={(event) => {
          setText(event.target.value);
        }}
        slotProps={{ htmlInput: { maxLength: 300 } }}
      />
      <Autocomplete
        multiple
        options={choices}
        value={[...spared]}
        getOptionLabel={wordOf}
        isOptionEqualToValue={(one, other) => one.of === other.of}
        onChange={(_event, value) => {
          setSpared(value);
        }}
        renderInput={(params) => <TextField {...params} label={t`What to avoid`} />}
      />
      <TextField
        label={t`Until, if that is known`}
        type="date"
        value={untilDay}
        onChange={(event) => {
          setUntilDay(event.target.value);
        }}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button variant="outlined" size="small" onClick={onLeave}>
          <Trans>Cancel</Trans>
        </Button>
        <Button
          variant="contained"
          size="small"
          disabled={text.trim() === '' || isSaving}
          onClick={() => {
            onKeep({
              text: text.trim(),
              regions: spared.flatMap((one) => (one.kind === 'region' ? [one.of] : [])),
              hazards: spared.flatMap((one) => (one.kind === 'hazard' ? [one.of] : [])),
              untilDay: untilDay === '' ? null : untilDay,
            });
          }}
        >
          <Trans>Keep it</Trans>
        </Button>
      </Box>
    </Box>
  );
}
