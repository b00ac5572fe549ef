import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { talkLimits, teachingOf, ways, type Build, type Item, type ItemTeaching, type PlanEdit, type Way } from '@leiter/core';
import { memo } from 'react';
import { numberIn } from '../../shared/number-in';
import { palette } from '../../shared/palette';
import { useTyped } from '../../shared/use-typed';
import { wayWords } from '../../shared/words';
import { Toggle } from './toggle';

interface Props {
  readonly item: Item;
  /** The way in which it is taught as things are. */
  readonly reckoned: Way;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
}

/** How an item is taught: in which way, how long it is explained, what is built before it. */
export const TeachingFields = memo(function TeachingFields({ item, reckoned, onEdit }: Props) {
  const { way, explainSeconds, build, isCameraMoved, takesTurns } = item;
  const set = <Field extends keyof ItemTeaching>(field: Field, value: ItemTeaching[Field]): void => {
    const { [field]: _before, ...others } = teachingOf(item);
    onEdit([{ kind: 'set-teaching', item: item.id, teaching: value === undefined ? others : { ...others, [field]: value } }]);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1, mb: 1.25 }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 84px', gap: 1 }}>
        <TextField
          select
          label={t`How it is taught`}
          value={way ?? 'as-usual'}
          slotProps={{ select: { renderValue: () => way ?? t`as usual: ${reckoned}` } }}
          onChange={(event) => {
            set(
              'way',
              ways.find((one) => one === event.target.value),
            );
          }}
        >
          <MenuItem value="as-usual">
            <Trans>as usual{way ? '' : `: ${reckoned}`}</Trans>
          </MenuItem>
          {ways.map((one) => (
            <MenuItem key={one} value={one}>
              <span>
                <strong>{one}</strong> <span style={{ color: palette.soft }}>– {wayWords[one]}</span>
              </span>
            </MenuItem>
          ))}
        </TextField>
        <ExplainField
          seconds={explainSeconds}
          onChange={(seconds) => {
            set('explainSeconds', seconds);
          }}
        />
      </Box>
      <BuildFields
        build={build}
        onChange={(next) => {
          set('build', next);
        }}
      />
      <Box sx={{ display: 'flex', gap: 2 }}>
        <Toggle
          label={t`Camera moves`}
          isOn={isCameraMoved === true}
          onChange={(isOn) => {
            set('isCameraMoved', isOn || undefined);
          }}
        />
        <Toggle
          label={t`In turns`}
          isOn={takesTurns === true}
          onChange={(isOn) => {
            set('takesTurns', isOn || undefined);
          }}
        />
      </Box>
    </Box>
  );
});

/** Seconds of explaining; left empty, as reckoned. */
function ExplainField({
  seconds,
  onChange,
}: {
  readonly seconds: number | undefined;
  readonly onChange: (seconds: number | undefined) => void;
}) {
  const written = seconds === undefined ? '' : String(seconds);
  const [typed, setTyped] = useTyped(written);
  const number = numberIn(typed);
  const { least, most } = talkLimits.explainSeconds;
  const isRight = typed.trim() === '' || (number !== null && number >= least && number <= most);
  const leave = (): void => {
    if (isRight && typed !== written) onChange(typed.trim() === '' ? undefined : (number ?? undefined));
  };
  return (
    <TextField
      label={t`Explain s`}
      value={typed}
      placeholder={t`as usual`}
      error={!isRight}
      {...(isRight ? {} : { helperText: `${String(least)}–${String(most)}` })}
      onChange={(event) => {
        setTyped(event.target.value);
      }}
      onBlur={leave}
      onKeyDown={(event) => {
        if (event.key === 'Enter') leave();
      }}
      slotProps={{ htmlInput: { inputMode: 'decimal' }, inputLabel: { shrink: true } }}
    />
  );
}

const usualBuildSeconds = 20;

/** What is fetched or built before it, and how long that takes; without a word for it, nothing is. */
function BuildFields({ build, onChange }: { readonly build: Build | undefined; readonly onChange: (build: Build | undefined) => void }) {
  const [what, setWhat] = useTyped(build?.what ?? '');
  const [typed, setTyped] = useTyped(build ? String(build.seconds) : '');
  const number = numberIn(typed);
  const { least, most } = talkLimits.buildSeconds;
  const isRight = typed === '' || (number !== null && number >= least && number <= most);
  const leave = (): void => {
    const next = what.trim() === '' ? undefined : { what: what.trim(), seconds: (typed === '' ? null : number) ?? usualBuildSeconds };
    if (isRight && (next?.what !== build?.what || next?.seconds !== build?.seconds)) onChange(next);
  };
  return (
    <Box
      sx={{ display: 'grid', gridTemplateColumns: '1fr 84px', gap: 1 }}
      onBlur={(event) => {
        // going from what is built to how long it takes is no end of it
        if (!event.currentTarget.contains(event.relatedTarget)) leave();
      }}
    >
      <TextField
        label={t`Built or fetched before it`}
        value={what}
        placeholder={t`a line of tape, a chair`}
        onChange={(event) => {
          setWhat(event.target.value);
        }}
        slotProps={{ htmlInput: { maxLength: 120 }, inputLabel: { shrink: true } }}
      />
      <TextField
        label={t`Takes s`}
        value={typed}
        placeholder={String(usualBuildSeconds)}
        error={!isRight}
        disabled={what.trim() === ''}
        onChange={(event) => {
          setTyped(event.target.value);
        }}
        slotProps={{ htmlInput: { inputMode: 'decimal' }, inputLabel: { shrink: true } }}
      />
    </Box>
  );
}
