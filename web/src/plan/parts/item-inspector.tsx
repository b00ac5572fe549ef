import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import {
  familiarities,
  sidesText,
  sidesToChoose,
  tierNames,
  type ClassPlan,
  type ItemSides,
  type PlanEdit,
  type TierName,
  type ItemTotal,
  type MusicGap,
} from '@leiter/core';
import { useState } from 'react';
import { palette } from '../../shared/palette';
import { CircuitFields } from './circuit-fields';
import { DoseFields, TypedDose } from './dose-fields';
import { MusicFields } from './music-fields';
import { TimeParts, type LearnedPace } from './time-parts';

interface Props {
  readonly plan: ClassPlan;
  /** The item where it comes first, and what it takes in all its rounds. */
  readonly total: ItemTotal;
  readonly pace: LearnedPace | undefined;
  readonly gap: MusicGap | undefined;
  readonly onFitMusic: () => void;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
}

/** One item: how much, which sides, which versions, what to say, and what its time is made of. */
export function ItemInspector({ plan, total, pace, gap, onFitMusic, onEdit }: Props) {
  const { first: timed } = total;
  const { item, movement } = timed;
  const sides = sidesToChoose(movement.sides);
  const available = tierNames.filter((name) => movement.tiers[name]);
  const isFocus = plan.focus.includes(movement.slug);
  return (
    <Box component="section" aria-label={`Item ${movement.name}`} sx={{ mb: 2.5 }}>
      <Typography variant="h2">{movement.name}</Typography>
      <Typography variant="body2" sx={{ color: palette.soft, mb: 1.25 }}>
        {movement.plainMeaning}
      </Typography>
      <TypedDose
        key={`typed ${item.id}`}
        dose={item.dose}
        onChange={(dose) => {
          onEdit([{ kind: 'set-dose', item: item.id, dose }]);
        }}
      />
      <DoseFields
        key={item.id}
        dose={item.dose}
        onChange={(dose) => {
          onEdit([{ kind: 'set-dose', item: item.id, dose }]);
        }}
      />
      {sides.length > 1 && (
        <Labelled label="Sides">
          <ToggleButtonGroup
            exclusive
            size="small"
            value={item.sides}
            aria-label="Sides"
            onChange={(_event, value: ItemSides | null) => {
              if (value) onEdit([{ kind: 'set-sides', item: item.id, sides: value }]);
            }}
          >
            {sides.map((side) => (
              <ToggleButton key={side} value={side}>
                {sidesText(side).replace(' only', '').replace(' sides', '')}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Labelled>
      )}
      {available.length > 0 && (
        <Labelled label="Versions in use">
          {available.map((name) => (
            <TierToggle
              key={name}
              name={name}
              what={movement.tiers[name]?.what ?? ''}
              from={movement.tiers[name]?.fromGrade ?? null}
              isUsed={item.tiers.includes(name)}
              onToggle={() => {
                const tiers = tierNames.filter((tier) => (tier === name ? !item.tiers.includes(tier) : item.tiers.includes(tier)));
                if (tiers.length > 0) onEdit([{ kind: 'set-tiers', item: item.id, tiers }]);
              }}
            />
          ))}
        </Labelled>
      )}
      <Box sx={{ display: 'flex', gap: 1, mb: 1.25 }}>
        <TextField
          select
          label="The group knows it"
          size="small"
          value={item.familiarity ?? 'from-record'}
          onChange={(event) => {
            const chosen = familiarities.find((one) => one === event.target.value) ?? 'from-record';
            onEdit([{ kind: 'set-familiarity', item: item.id, familiarity: chosen }]);
          }}
          sx={{ flex: 1 }}
        >
          <MenuItem value="from-record">from the record: {item.familiarity ? '…' : timed.familiarity}</MenuItem>
          {familiarities.map((one) => (
            <MenuItem key={one} value={one}>
              {one}
            </MenuItem>
          ))}
        </TextField>
        <Button
          variant={isFocus ? 'contained' : 'outlined'}
          aria-pressed={isFocus}
          onClick={() => {
            onEdit([
              { kind: 'set-focus', focus: isFocus ? plan.focus.filter((slug) => slug !== movement.slug) : [...plan.focus, movement.slug] },
            ]);
          }}
          sx={{ px: 1 }}
        >
          {isFocus ? 'In focus' : 'Put in focus'}
        </Button>
      </Box>
      <WordsField
        key={`words ${item.id}`}
        cue={item.cue ?? ''}
        note={item.note ?? ''}
        suggestion={movement.cues[0] ?? ''}
        onChange={(words) => {
          onEdit([{ kind: 'set-words', item: item.id, ...words }]);
        }}
      />
      <TimeParts total={total} pace={pace} />
      <CircuitFields plan={plan} item={item} onEdit={onEdit} />
      <MusicFields
        key={`music ${item.id}`}
        music={item.music}
        gap={gap}
        startSeconds={timed.parts.work}
        onChange={(music) => {
          onEdit([{ kind: 'set-item-music', item: item.id, music }]);
        }}
        onFit={onFitMusic}
      />
    </Box>
  );
}

function Labelled({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <Box sx={{ mb: 1.25 }}>
      <Typography variant="caption" component="div" sx={{ mb: 0.4 }}>
        {label}
      </Typography>
      {children}
    </Box>
  );
}

function TierToggle({
  name,
  what,
  from,
  isUsed,
  onToggle,
}: {
  readonly name: TierName;
  readonly what: string;
  readonly from: string | null;
  readonly isUsed: boolean;
  readonly onToggle: () => void;
}) {
  return (
    <Box
      component="label"
      sx={{
        display: 'grid',
        gridTemplateColumns: '20px 54px 1fr',
        alignItems: 'start',
        fontSize: 13.5,
        py: 0.4,
        borderTop: `1px solid ${palette.line}`,
        cursor: 'pointer',
        color: isUsed ? palette.ink : palette.soft,
      }}
    >
      <input
        type="checkbox"
        checked={isUsed}
        onChange={onToggle}
        style={{ margin: '3px 0 0', accentColor: palette.primary, width: 15, height: 15 }}
      />
      <strong>{name}</strong>
      <span>
        {what}
        {from !== null && ` (from ${from.replaceAll('-', ' ')})`}
      </span>
    </Box>
  );
}

function WordsField({
  cue,
  note,
  suggestion,
  onChange,
}: {
  readonly cue: string;
  readonly note: string;
  readonly suggestion: string;
  readonly onChange: (words: { cue: string; note: string }) => void;
}) {
  const [words, setWords] = useState({ cue, note });
  const leave = (): void => {
    if (words.cue !== cue || words.note !== note) onChange(words);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <TextField
        label="Your cue"
        value={words.cue}
        placeholder={suggestion}
        onBlur={leave}
        onChange={(event) => {
          setWords({ ...words, cue: event.target.value });
        }}
        slotProps={{ htmlInput: { maxLength: 200 }, inputLabel: { shrink: true } }}
      />
      <TextField
        label="Note to yourself"
        value={words.note}
        multiline
        onBlur={leave}
        onChange={(event) => {
          setWords({ ...words, note: event.target.value });
        }}
        slotProps={{ htmlInput: { maxLength: 1000 } }}
      />
    </Box>
  );
}
