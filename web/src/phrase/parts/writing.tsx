import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { armNames, phraseLimits, phraseTextFaultWords, type PhraseTextFault, type WrittenPhrase } from '@leiter/core';
import { memo, useCallback, useEffect, useRef, type ReactNode } from 'react';
import { numberIn } from '../../shared/number-in';
import { Panel } from '../../shared/page';
import { palette } from '../../shared/palette';
import { useTyped } from '../../shared/use-typed';

const example = `# First eight
1 R fwd / say walk, 2 L fwd, 3 R kick, & R back, 4 L place
5 R cross / arms open, 6 L back, 7 R side, 8 L close
easier: 3 R touch, 4 R place`;
const metreWords = [
  [8, t`eights`],
  [4, t`fours`],
  [3, t`threes`],
  [6, t`sixes`],
] as const;

/** From the camera clockwise, as the child sees it. */
const walls = [t`the camera`, t`half right`, t`the right`, t`back right`, t`the back`, t`back left`, t`the left`, t`half left`];
const countInWords = (counts: number): string => (counts === 0 ? t`not at all` : plural(counts, { one: '# count', other: '# counts' }));

interface Props {
  readonly written: WrittenPhrase;
  readonly faults: readonly PhraseTextFault[];
  readonly change: (next: Partial<WrittenPhrase>) => void;
  /** What has to be said of it. */
  readonly children: ReactNode;
  /** To and from a file. */
  readonly file: ReactNode;
}

/** The steps as text, what is around them, and how they are written. */
export function Writing({ written, faults, change, children, file }: Props) {
  // one that stays the same, for what is not drawn again with every key
  const now = useRef(change);
  useEffect(() => {
    now.current = change;
  }, [change]);
  const latest = useCallback((next: Partial<WrittenPhrase>) => {
    now.current(next);
  }, []);
  return (
    <Panel label={t`How it is written`} width={400}>
      <>
        <TextField
          label={t`The steps`}
          value={written.text}
          multiline
          minRows={12}
          maxRows={20}
          fullWidth
          onChange={(event) => {
            change({ text: event.target.value });
          }}
          slotProps={{
            htmlInput: {
              maxLength: phraseLimits.text,
              spellCheck: false,
              style: { fontFamily: 'monospace', fontSize: 14, lineHeight: 1.5 },
            },
          }}
        />
        {faults.length > 0 && written.text.trim() !== '' && (
          <Box role="alert" sx={{ color: palette.stop, mt: 1 }}>
            {faults.slice(0, 4).map((fault) => (
              <div key={fault.line}>{t`Line ${fault.line}: ${phraseTextFaultWords(fault)}`}</div>
            ))}
          </Box>
        )}
        {children}
        {file}
        <Around written={written} change={latest} />
      </>
    </Panel>
  );
}

/** What is around the steps; while they are written it stays as it is. */
const Around = memo(
  function Around({ written, change }: Pick<Props, 'written' | 'change'>) {
    return (
      <>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5, mt: 2 }}>
          <Choice
            label={t`Counted in`}
            value={String(written.beats)}
            options={metreWords.map(([beats, words]) => [String(beats), words] as const)}
            onChoose={(value) => {
              change({ beats: Number(value) });
            }}
          />
          <Choice
            label={t`Stands at first`}
            value={written.startWeight}
            options={[
              ['both', t`on both feet`],
              ['left', t`on the left`],
              ['right', t`on the right`],
            ]}
            onChoose={(value) => {
              change({ startWeight: value as WrittenPhrase['startWeight'] });
            }}
          />
          <Choice
            label={t`Faces at first`}
            value={String(written.startFacing)}
            options={walls.map((words, index) => [String(index + 1), words] as const)}
            onChoose={(value) => {
              change({ startFacing: Number(value) });
            }}
          />
          <Choice
            label={t`Count-in`}
            value={String(written.countIn)}
            options={[...new Set([0, 2, 3, 4, 6, 8, 16, written.countIn])].map((counts) => [String(counts), countInWords(counts)] as const)}
            onChoose={(value) => {
              change({ countIn: Number(value) });
            }}
          />
          <Bpm
            label={t`Learnt at`}
            value={written.learnBpm}
            onChange={(learnBpm) => {
              change({ learnBpm });
            }}
          />
          <Bpm
            label={t`Done at`}
            value={written.bpm}
            onChange={(bpm) => {
              change({ bpm });
            }}
          />
          <Choice
            label={t`At its end`}
            value={written.endsAtStart ? 'mark' : 'anywhere'}
            options={[
              ['anywhere', t`anywhere`],
              ['mark', t`back on its mark`],
            ]}
            onChoose={(value) => {
              change({ endsAtStart: value === 'mark' });
            }}
          />
        </Box>
        <Box sx={{ mt: 2, fontSize: 14, color: palette.soft, lineHeight: 1.5 }}>
          <Trans>
            A count, the foot (R, L, both), what it does: fwd, back, side, cross, behind, close, place; touch, kick, lift, brush, drag, hop,
            leap, jump, sink; turn left 180. Commas part what is done; after a stroke come arms, look, say, watch, do (an entry: do
            cartwheel), free (free bridge or cat-arch) or free words. A line with # names a part; one with easier:, harder: or small room:
            stands in for its counts of the line above; one with partner: is what somebody else does on them, and partner ahead 1.2 (behind,
            left, right) says where they stand. Arms that are drawn: {armNames.join(', ')}.
          </Trans>
          <Box component="pre" sx={{ m: 0, mt: 1, fontSize: 13, whiteSpace: 'pre-wrap' }}>
            {example}
          </Box>
        </Box>
      </>
    );
  },
  (before, after) =>
    before.change === after.change &&
    (Object.keys(after.written) as (keyof WrittenPhrase)[]).every(
      (field) => field === 'text' || before.written[field] === after.written[field],
    ),
);

function Choice({
  label,
  value,
  options,
  onChoose,
}: {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [string, string])[];
  readonly onChoose: (value: string) => void;
}) {
  return (
    <TextField
      select
      label={label}
      value={value}
      onChange={(event) => {
        onChoose(event.target.value);
      }}
      slotProps={{ select: { native: true } }}
    >
      {options.map(([one, words]) => (
        <option key={one} value={one}>
          {words}
        </option>
      ))}
    </TextField>
  );
}

const { least, most } = phraseLimits.bpm;

function Bpm({ label, value, onChange }: { readonly label: string; readonly value: number; readonly onChange: (bpm: number) => void }) {
  const [text, setText] = useTyped(String(value));
  const tempoIn = (typed: string): number | null => {
    const bpm = numberIn(typed);
    return bpm !== null && bpm >= least && bpm <= most ? bpm : null;
  };
  const isWrong = tempoIn(text) === null;
  return (
    <TextField
      label={t`${label}, a minute`}
      value={text}
      onChange={(event) => {
        const bpm = tempoIn(event.target.value);
        setText(event.target.value, String(bpm ?? value));
        if (bpm !== null) onChange(bpm);
      }}
      error={isWrong}
      helperText={isWrong ? t`${least} to ${most}; ${value} stays` : null}
      slotProps={{ htmlInput: { inputMode: 'numeric' } }}
    />
  );
}
