import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  buildUp,
  clockText,
  itemOf,
  learningOf,
  partsOfPhrase,
  phraseRead,
  teachingOf,
  type AgeBand,
  type Item,
  type Phrase,
  type PhraseParts,
  type PlanEdit,
  type TimedItem,
  type WrittenPhrase,
} from '@leiter/core';
import { memo } from 'react';
import { ChoiceBar } from '../../shared/choice-bar';
import { palette } from '../../shared/palette';
import { buildUpWords } from '../../shared/phrase/phrase-words';

interface Props {
  readonly item: Item;
  readonly timed: TimedItem;
  readonly written: WrittenPhrase;
  readonly band: AgeBand;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
}

/** Up to whole half minutes: a plan is made of those. */
const roundedSeconds = (seconds: number): number => Math.max(30, Math.ceil(seconds / 30) * 30);

/** Which segments of a phrase are new and known, and how it is built up in the time that the item has. */
export const PhraseFields = memo(function PhraseFields({ item, timed, written, band, onEdit }: Props) {
  const phrase = phraseRead(written);
  if (!phrase) return null;
  const parts = item.parts ? partsOfPhrase(phrase, item.parts) : { new: [], known: [] };
  const isBuiltUp = parts.new.length + parts.known.length > 0;
  const learnt = learningOf(timed);
  const sum = buildUp(phrase, parts, timed.sides === 'both', Infinity);
  const set = (next: PhraseParts): void => {
    const { parts: _before, ...others } = teachingOf(item);
    const isAny = next.new.length + next.known.length > 0;
    const seconds = roundedSeconds(buildUp(phrase, next, timed.sides === 'both', Infinity).usualSeconds / halves(timed));
    const edits: PlanEdit[] = [{ kind: 'set-teaching', item: item.id, teaching: isAny ? { ...others, parts: next } : others }];
    if (isAny && item.dose.kind !== 'timed') edits.push({ kind: 'set-dose', item: item.id, dose: { kind: 'timed', seconds } });
    if (!isAny) edits.push({ kind: 'set-dose', item: item.id, dose: itemOf(timed.movement, band).dose });
    onEdit(edits);
  };
  const setTime = (seconds: number): void => {
    onEdit([{ kind: 'set-dose', item: item.id, dose: { kind: 'timed', seconds: roundedSeconds(seconds / halves(timed)) } }]);
  };
  return (
    <Box component="section" aria-label={t`Built up`} sx={{ mb: 1.5 }}>
      <Typography variant="h3" sx={{ fontSize: 14, mb: 0.5 }}>
        <Trans>Built up, part by part</Trans>
      </Typography>
      {phrase.segments.map(({ name }, index) => (
        <Box key={index} sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', gap: 1, mb: 0.5 }}>
          <span>{segmentName(phrase, index, name)}</span>
          <ChoiceBar
            label={segmentName(phrase, index, name)}
            value={parts.new.includes(index) ? 'new' : parts.known.includes(index) ? 'known' : null}
            choices={[
              { value: 'known', words: t`known` },
              { value: 'new', words: t`new` },
            ]}
            isSmall
            onChange={(value) => {
              const without = (list: readonly number[]): readonly number[] => list.filter((one) => one !== index);
              set({
                new: value === 'new' ? [...without(parts.new), index].toSorted((a, b) => a - b) : without(parts.new),
                known: value === 'known' ? [...without(parts.known), index].toSorted((a, b) => a - b) : without(parts.known),
              });
            }}
          />
        </Box>
      ))}
      {isBuiltUp && item.dose.kind === 'timed' && (
        <Box sx={{ fontSize: 14, mt: 0.75 }}>
          {learnt ? (
            <ol style={{ margin: 0, paddingLeft: 20 }}>
              {learnt.map(({ way, passes, bpm }) => (
                <li key={way}>{`${buildUpWords[way]}: ${plural(passes, { one: 'once', other: '# times' })}, ${t`${bpm} a minute`}`}</li>
              ))}
            </ol>
          ) : (
            <Box role="alert" sx={{ color: palette.caution }}>
              <Trans>There is not the time for it: at least {clockText(roundedSeconds(sum.leastSeconds))}.</Trans>
            </Box>
          )}
          <Button
            size="small"
            sx={{ mt: 0.5 }}
            onClick={() => {
              setTime(sum.usualSeconds);
            }}
          >
            <Trans>Give it {clockText(roundedSeconds(sum.usualSeconds))}, as is usual</Trans>
          </Button>
        </Box>
      )}
    </Box>
  );
});

/** A timed dose is for one side: what is built up to both has it twice. */
const halves = ({ sides }: Pick<TimedItem, 'sides'>): number => (sides === 'both' ? 2 : 1);

function segmentName({ segments, rows, beats }: Phrase, index: number, name: string): string {
  if (name !== '') return name;
  const [from, to] = [rows[segments[index]?.from ?? 0]?.at ?? 0, rows[(segments[index]?.to ?? 1) - 1]?.at ?? 0];
  return t`counts ${Math.floor(from) + 1} to ${Math.floor(to / beats) * beats + beats}`;
}
