import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
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
  type Familiarity,
  type ItemId,
  type ItemSides,
  type Movement,
  type MovementSlug,
  type PlanEdit,
  type TierName,
} from '@leiter/core';
import { memo, type ReactNode } from 'react';
import { palette } from '../../shared/palette';
import { useTyped } from '../../shared/use-typed';

type OnEdit = (edits: readonly PlanEdit[]) => void;

/** Which sides an item does, where its movement has two. */
export const SidesField = memo(function SidesField({
  id,
  sides,
  of,
  onEdit,
}: {
  readonly id: ItemId;
  readonly sides: ItemSides;
  readonly of: Movement['sides'];
  readonly onEdit: OnEdit;
}) {
  const choices = sidesToChoose(of);
  if (choices.length < 2) return null;
  return (
    <Labelled label={t`Sides`}>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={sides}
        aria-label={t`Sides`}
        onChange={(_event, value: ItemSides | null) => {
          if (value) onEdit([{ kind: 'set-sides', item: id, sides: value }]);
        }}
      >
        {choices.map((side) => (
          <ToggleButton key={side} value={side}>
            {sidesText(side).replace(' only', '').replace(' sides', '')}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Labelled>
  );
});

/** The versions in use; the last one cannot be taken away. */
export const TiersField = memo(function TiersField({
  id,
  tiers,
  movement,
  onEdit,
}: {
  readonly id: ItemId;
  readonly tiers: readonly TierName[];
  readonly movement: Movement;
  readonly onEdit: OnEdit;
}) {
  const available = tierNames.filter((name) => movement.tiers[name]);
  if (available.length === 0) return null;
  return (
    <Labelled label={t`Versions in use`}>
      {available.map((name) => (
        <TierToggle
          key={name}
          name={name}
          what={movement.tiers[name]?.what ?? ''}
          from={movement.tiers[name]?.fromGrade ?? null}
          isUsed={tiers.includes(name)}
          onToggle={() => {
            const wanted = tierNames.filter((tier) => (tier === name ? !tiers.includes(tier) : tiers.includes(tier)));
            if (wanted.length > 0) onEdit([{ kind: 'set-tiers', item: id, tiers: wanted }]);
          }}
        />
      ))}
    </Labelled>
  );
});

/** How well the group knows it: from the record, or as the instructor says. */
export const FamiliarityField = memo(function FamiliarityField({
  id,
  said,
  reckoned,
  onEdit,
}: {
  readonly id: ItemId;
  readonly said: Familiarity | undefined;
  readonly reckoned: Familiarity;
  readonly onEdit: OnEdit;
}) {
  return (
    <TextField
      select
      label={t`The group knows it`}
      size="small"
      value={said ?? 'from-record'}
      onChange={(event) => {
        const chosen = familiarities.find((one) => one === event.target.value) ?? 'from-record';
        onEdit([{ kind: 'set-familiarity', item: id, familiarity: chosen }]);
      }}
      sx={{ flex: 1 }}
    >
      <MenuItem value="from-record">
        <Trans>from the record: {said ? '…' : reckoned}</Trans>
      </MenuItem>
      {familiarities.map((one) => (
        <MenuItem key={one} value={one}>
          {one}
        </MenuItem>
      ))}
    </TextField>
  );
});

/** Whether the class is about it. */
export const FocusButton = memo(function FocusButton({
  movement,
  focus,
  onEdit,
}: {
  readonly movement: MovementSlug;
  readonly focus: readonly MovementSlug[];
  readonly onEdit: OnEdit;
}) {
  const isFocus = focus.includes(movement);
  return (
    <Button
      variant={isFocus ? 'contained' : 'outlined'}
      aria-pressed={isFocus}
      onClick={() => {
        onEdit([{ kind: 'set-focus', focus: isFocus ? focus.filter((slug) => slug !== movement) : [...focus, movement] }]);
      }}
      sx={{ px: 1 }}
    >
      {isFocus ? t`In focus` : t`Put in focus`}
    </Button>
  );
});

function Labelled({ label, children }: { readonly label: string; readonly children: ReactNode }) {
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
        gridTemplateColumns: '28px 54px 1fr',
        alignItems: 'start',
        fontSize: 13.5,
        py: 0.4,
        borderTop: `1px solid ${palette.line}`,
        cursor: 'pointer',
        color: isUsed ? palette.ink : palette.soft,
      }}
    >
      <input type="checkbox" checked={isUsed} onChange={onToggle} style={{ margin: '1px 0 0' }} />
      <strong>{name}</strong>
      <span>
        {what}
        {from !== null && t` (from ${from.replaceAll('-', ' ')})`}
      </span>
    </Box>
  );
}

/** The cue of the instructor and a note to oneself. */
export const WordsField = memo(function WordsField({
  id,
  cue,
  note,
  suggestion,
  onEdit,
}: {
  readonly id: ItemId;
  readonly cue: string;
  readonly note: string;
  readonly suggestion: string;
  readonly onEdit: OnEdit;
}) {
  // begun anew from what is in the plan whenever that changes: what was undone does not come back with the next Tab
  const [typedCue, setCue] = useTyped(cue);
  const [typedNote, setNote] = useTyped(note);
  const leave = (): void => {
    if (typedCue !== cue || typedNote !== note) onEdit([{ kind: 'set-words', item: id, cue: typedCue, note: typedNote }]);
  };
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <TextField
        label={t`Your cue`}
        value={typedCue}
        placeholder={suggestion}
        onBlur={leave}
        onChange={(event) => {
          setCue(event.target.value);
        }}
        slotProps={{ htmlInput: { maxLength: 200 }, inputLabel: { shrink: true } }}
      />
      <TextField
        label={t`Note to yourself`}
        value={typedNote}
        multiline
        rows={2}
        onBlur={leave}
        onChange={(event) => {
          setNote(event.target.value);
        }}
        slotProps={{ htmlInput: { maxLength: 1000 } }}
      />
    </Box>
  );
});
