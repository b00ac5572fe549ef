import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import {
  callLimits,
  helpers,
  leaders,
  leaderStances,
  leaderWords,
  postures,
  stanceWords,
  teachingOf,
  type Calls,
  type Helper,
  type Item,
  type ItemTeaching,
  type Movement,
  type PlanEdit,
} from '@leiter/core';
import { memo } from 'react';
import { numberIn } from '../../shared/number-in';
import { palette } from '../../shared/palette';
import { useTyped } from '../../shared/use-typed';
import { Toggle } from './toggle';

interface Props {
  readonly item: Item;
  /** What can be chosen from. */
  readonly movements: readonly Movement[];
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
}

const usualCallSeconds = 4;

/** Who leads an item and how they stand, what is called, who helps at home, what may be chosen: open where something is said. */
export const LedFields = memo(function LedFields({ item, movements, onEdit }: Props) {
  const { leader, stands, helper, calls, choice = [], areEyesClosed, stopsWithMusic } = item;
  const set = <Field extends keyof ItemTeaching>(field: Field, value: ItemTeaching[Field]): void => {
    const { [field]: _before, ...others } = teachingOf(item);
    onEdit([{ kind: 'set-teaching', item: item.id, teaching: value === undefined ? others : { ...others, [field]: value } }]);
  };
  const isSaid = leader ?? stands ?? helper ?? calls ?? (choice.length > 0 || areEyesClosed || stopsWithMusic ? true : undefined);
  return (
    <Box
      component="details"
      open={isSaid !== undefined}
      sx={{ mb: 1.25, '& summary': { cursor: 'pointer', fontSize: 14, mb: 1, color: palette.primary } }}
    >
      <summary>
        <Trans>Who leads, what is called, who helps</Trans>
      </summary>
      <Box sx={{ display: 'grid', gap: 1 }}>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
          <TextField
            select
            label={t`Who leads`}
            value={leader ?? ''}
            slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
            onChange={(event) => {
              set(
                'leader',
                leaders.find((one) => one === event.target.value),
              );
            }}
          >
            <MenuItem value="">
              <Trans>you</Trans>
            </MenuItem>
            {leaders.map((one) => (
              <MenuItem key={one} value={one}>
                {leaderWords[one]}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            label={t`Stands`}
            value={stands ?? ''}
            slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
            onChange={(event) => {
              set(
                'stands',
                leaderStances.find((one) => one === event.target.value),
              );
            }}
          >
            <MenuItem value="">
              <Trans>as it comes</Trans>
            </MenuItem>
            {leaderStances.map((one) => (
              <MenuItem key={one} value={one}>
                {stanceWords[one]}
              </MenuItem>
            ))}
          </TextField>
        </Box>
        <CallsFields
          calls={calls}
          onChange={(next) => {
            set('calls', next);
          }}
        />
        <HelperFields
          helper={helper}
          onChange={(next) => {
            set('helper', next);
          }}
        />
        <Autocomplete
          multiple
          size="small"
          disableCloseOnSelect
          options={movements}
          value={movements.filter(({ slug }) => choice.includes(slug))}
          getOptionLabel={({ name }) => name}
          getOptionKey={({ slug }) => slug}
          getOptionDisabled={({ slug }) => slug === item.movement || (choice.length >= callLimits.choice && !choice.includes(slug))}
          onChange={(_event, chosen) => {
            set('choice', chosen.length === 0 ? undefined : chosen.map(({ slug }) => slug));
          }}
          renderInput={(params) => (
            <TextField {...params} label={t`Or, as each likes`} placeholder={choice.length === 0 ? t`a movement` : ''} />
          )}
        />
        <Box sx={{ display: 'flex', columnGap: 2, rowGap: 0.5, flexWrap: 'wrap' }}>
          <Toggle
            label={t`Eyes closed`}
            isOn={areEyesClosed === true}
            onChange={(isOn) => {
              set('areEyesClosed', isOn || undefined);
            }}
          />
          <Toggle
            label={t`Still when the music stops`}
            isOn={stopsWithMusic === true}
            onChange={(isOn) => {
              set('stopsWithMusic', isOn || undefined);
            }}
          />
        </Box>
      </Box>
    </Box>
  );
});

/** What is called, every how many seconds, from which posture; without a word for it nothing is. */
function CallsFields({ calls, onChange }: { readonly calls: Calls | undefined; readonly onChange: (calls: Calls | undefined) => void }) {
  const [what, setWhat] = useTyped(calls?.what ?? '');
  const [typed, setTyped] = useTyped(calls ? String(calls.everySeconds) : '');
  const number = numberIn(typed);
  const { least, most } = callLimits.everySeconds;
  const isRight = typed === '' || (number !== null && number >= least && number <= most);
  const store = (from: Calls['from']): void => {
    if (!isRight) return;
    const everySeconds = (typed === '' ? null : number) ?? usualCallSeconds;
    const next = what.trim() === '' ? undefined : { what: what.trim(), everySeconds, ...(from ? { from } : {}) };
    if (JSON.stringify(next) !== JSON.stringify(calls)) onChange(next);
  };
  return (
    <Box
      sx={{ display: 'grid', gridTemplateColumns: '1fr 64px 92px', gap: 1 }}
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) store(calls?.from);
      }}
    >
      <TextField
        label={t`Called out`}
        value={what}
        placeholder={t`shapes`}
        onChange={(event) => {
          setWhat(event.target.value);
        }}
        slotProps={{ htmlInput: { maxLength: 120 }, inputLabel: { shrink: true } }}
      />
      <TextField
        label={t`Every s`}
        value={typed}
        placeholder={String(usualCallSeconds)}
        error={!isRight}
        disabled={what.trim() === ''}
        onChange={(event) => {
          setTyped(event.target.value);
        }}
        slotProps={{ htmlInput: { inputMode: 'decimal' }, inputLabel: { shrink: true } }}
      />
      <TextField
        select
        label={t`From`}
        value={calls?.from ?? ''}
        disabled={what.trim() === ''}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        onChange={(event) => {
          store(postures.find((one) => one === event.target.value));
        }}
      >
        <MenuItem value="">
          <Trans>any</Trans>
        </MenuItem>
        {postures.map((one) => (
          <MenuItem key={one} value={one}>
            {one.replace('-', ' ')}
          </MenuItem>
        ))}
      </TextField>
    </Box>
  );
}

/** What a parent or a partner does; without a word for it nobody helps. */
function HelperFields({
  helper,
  onChange,
}: {
  readonly helper: Helper | undefined;
  readonly onChange: (helper: Helper | undefined) => void;
}) {
  const [does, setDoes] = useTyped(helper?.does ?? '');
  const who = helper?.who ?? 'adult';
  const store = (next: Helper['who']): void => {
    const said = does.trim() === '' ? undefined : { who: next, does: does.trim() };
    if (said?.who !== helper?.who || said?.does !== helper?.does) onChange(said);
  };
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '92px 1fr', gap: 1 }}>
      <TextField
        select
        label={t`Helps`}
        value={who}
        slotProps={{ inputLabel: { shrink: true } }}
        onChange={(event) => {
          store(helpers.find((one) => one === event.target.value) ?? 'adult');
        }}
      >
        {helpers.map((one) => (
          <MenuItem key={one} value={one}>
            {one}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label={t`At home they`}
        value={does}
        placeholder={t`hold the cushion`}
        onChange={(event) => {
          setDoes(event.target.value);
        }}
        onBlur={() => {
          store(who);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') store(who);
        }}
        slotProps={{ htmlInput: { maxLength: 200 }, inputLabel: { shrink: true } }}
      />
    </Box>
  );
}
