import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { AddObservationRequest, ClipResponse } from '@leiter/contract';
import { marks, type Mark, type Movement, type ObservedSide } from '@leiter/core';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useSession } from '../../queries/session.queries';
import { api } from '../../shared/api';
import { ChoiceBar } from '../../shared/choice-bar';
import { observedSideWords } from '../../shared/measure-words';
import { newId } from '../../shared/new-id';
import { Refused } from '../../shared/page';
import { palette } from '../../shared/palette';
import { queryClient } from '../../shared/query-client';
import { offerUndo } from '../../shared/undo-bar';
import { useWindowKeys } from '../../shared/window-keys';
import { markWords } from '../../shared/words';

const sides = ['left', 'right', 'both'] as const;
const sideKeys: Readonly<Record<string, ObservedSide>> = { l: 'left', r: 'right', b: 'both' };

/** As a plain object. */
type Given = Pick<AddObservationRequest, keyof AddObservationRequest>;

/** The mark of what a clip shows: it says that it was seen on a clip. */
export function ClipMark({ clip, movement }: { readonly clip: ClipResponse; readonly movement: Movement | null }) {
  const today = useSession().data?.today;
  const hasSides = movement !== null && movement.sides !== 'none';
  const [side, setSide] = useState<ObservedSide>(hasSides ? clip.leadSide : 'none');
  const [note, setNote] = useState('');
  const request = (mark: Mark): Given => ({
    childId: clip.childId,
    movement: clip.movement,
    stage: clip.stage,
    side,
    mark,
    // how it was helped, a clip does not say
    help: null,
    measure: {},
    faults: [],
    note: note.trim(),
    seenOn: today ?? clip.sentAt.slice(0, 10),
    source: 'clip',
    classId: null,
    supersedes: null,
  });
  const changed = (): Promise<void> => queryClient.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'library' });
  const give = useMutation({
    mutationFn: async (mark: Mark) => {
      const id = newId();
      const given = request(mark);
      await api('PUT', `observations/${id}`, given);
      offerUndo(t`${clip.childName}: ${markWords[mark]}`, async () => {
        await api('PUT', `observations/${newId()}`, { ...given, supersedes: id, isWithdrawal: true });
        await changed();
      });
      setNote('');
    },
    onSettled: changed,
  });
  useWindowKeys((event) => {
    if (event.target instanceof HTMLInputElement && event.target.type !== 'range') return;
    if (event.target instanceof HTMLTextAreaElement || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
    const mark = marks[Number(event.key) - 1];
    const chosen = sideKeys[event.key.toLowerCase()];
    if (mark && !give.isPending) give.mutate(mark);
    else if (chosen && hasSides) setSide(chosen);
    else return;
    event.preventDefault();
  });
  return (
    <Box component="section" aria-label={t`The mark`} sx={{ mt: 2.5, display: 'grid', gap: 1.25 }}>
      <Refused error={give.error} />
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'flex-end' }}>
        {hasSides && (
          <ChoiceBar
            label={t`Side`}
            choices={sides.map((value) => ({ value, words: observedSideWords[value] }))}
            value={side === 'none' ? null : side}
            onChange={(chosen) => {
              setSide(chosen ?? side);
            }}
          />
        )}
        <Box role="group" aria-label={t`Mark`} sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {marks.map((mark, index) => (
            <Button
              key={mark}
              variant="outlined"
              disabled={give.isPending}
              onClick={() => {
                give.mutate(mark);
              }}
            >
              <Box component="kbd" sx={{ mr: 0.75, color: palette.soft, font: 'inherit', fontWeight: 400 }}>
                {index + 1}
              </Box>
              {markWords[mark]}
            </Button>
          ))}
        </Box>
        <TextField
          label={t`Word to the family, with the mark`}
          value={note}
          sx={{ flex: '1 1 260px' }}
          slotProps={{ htmlInput: { maxLength: 500 } }}
          onChange={(event) => {
            setNote(event.target.value);
          }}
        />
      </Box>
      {clip.marks.length > 0 && (
        <Box component="ul" aria-label={t`Marks given from clips`} sx={{ m: 0, p: 0, listStyle: 'none', fontSize: 14.5 }}>
          {clip.marks.map(({ id, mark, side: of, note: words, by }) => (
            <Box component="li" key={id} sx={{ borderTop: `1px solid ${palette.line}`, py: 0.5 }}>
              <strong>{markWords[mark]}</strong>
              {of !== 'none' && `, ${observedSideWords[of]}`}
              {words !== '' && ` – ${words}`}
              {by !== null && (
                <Box component="span" sx={{ color: palette.soft }}>
                  {' '}
                  <Trans>by {by}, from the clip</Trans>
                </Box>
              )}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
