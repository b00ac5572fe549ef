import { t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { helps, marks, measuredAs, type Criterion, type Measure } from '@leiter/core';
import { useEffect, useRef } from 'react';
import { palette } from '../shared/palette';
import { TextButton } from '../shared/text-button';
import { useTyped } from '../shared/use-typed';
import { criterionText } from '../shared/criterion-text';
import { helpWords } from '../shared/words';
import type { MarkCell, MarkChange } from './mark-grid';
import { MarkGlyph } from './mark-glyph';

/** The cell that is chosen: what to look for, what is asked, and all that can be marked, by mouse. */
export function CellInspector({
  cell,
  childName,
  onChange,
  onTakeBack,
  onMeasured,
}: {
  readonly cell: MarkCell;
  readonly childName: string;
  readonly onChange: (change: MarkChange) => void;
  /** Left out where a mark is not taken back but given again. */
  readonly onTakeBack?: () => void;
  /** What was measured is written: keys go on with the cell. */
  readonly onMeasured?: () => void;
}) {
  const { column, requirement, mark } = cell;
  const { movement } = column;
  const stage = requirement?.stage ? movement.stages[requirement.stage - 1] : undefined;
  return (
    <Box component="section" aria-label={t`What to see`}>
      <Typography variant="h2">{childName}</Typography>
      <Typography sx={{ mb: 1.5 }}>
        {movement.name}
        {column.side !== 'none' && `, ${column.side}`}
      </Typography>
      {stage && (
        <Box sx={{ borderLeft: `4px solid ${palette.primary}`, pl: 1.25, mb: 1.5 }}>
          <Typography variant="h3">{stage.name}</Typography>
          <Typography variant="body2">{stage.see}</Typography>
        </Box>
      )}
      <Typography variant="body2" sx={{ color: palette.soft, mb: 1.5 }}>
        {requirement ? t`Asked: ${criterionText(requirement.criterion)}.` : t`The next grade does not ask this; it is kept all the same.`}
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 0.75, mb: 1.5 }}>
        {marks.map((one, index) => (
          <Button
            key={one}
            variant="outlined"
            aria-pressed={mark?.mark === one}
            onClick={() => {
              onChange({ kind: 'mark', mark: one });
            }}
            sx={{ justifyContent: 'flex-start', gap: 1, px: 1, backgroundColor: mark?.mark === one ? '#DCE9E9' : palette.white }}
          >
            <kbd style={{ fontFamily: 'inherit', color: palette.soft }}>{index + 1}</kbd>
            <MarkGlyph mark={one} />
          </Button>
        ))}
      </Box>
      {mark && onTakeBack && (
        <Box sx={{ mt: -0.75, mb: 1 }}>
          <TextButton label={t`Take the mark back`} onClick={onTakeBack} />
        </Box>
      )}
      {mark?.mark === 'with-help' && (
        <TextField
          select
          fullWidth
          label={t`Help (H: the next)`}
          value={mark.help ?? 'told'}
          sx={{ mb: 1.5 }}
          onChange={(event) => {
            const help = helps.find((one) => one === event.target.value);
            if (help) onChange({ kind: 'help', help });
          }}
        >
          {helps.map((help) => (
            <MenuItem key={help} value={help}>
              {helpWords[help]}
            </MenuItem>
          ))}
        </TextField>
      )}
      {requirement && (
        <MeasureField
          key={`${cell.childId} ${column.key}`}
          criterion={requirement.criterion}
          measure={mark?.measure ?? {}}
          onChange={(measure) => {
            onChange({ kind: 'measure', measure });
          }}
          {...(onMeasured ? { onLeave: onMeasured } : {})}
        />
      )}
      <Best cell={cell} />
      <Typography variant="h3" sx={{ mt: 2, mb: 0.5 }}>
        <Trans>Faults</Trans>
      </Typography>
      {movement.faults.map((fault) => (
        <Box
          key={fault.slug}
          component="label"
          sx={{
            display: 'grid',
            gridTemplateColumns: '30px 1fr',
            py: 0.6,
            borderTop: `1px solid ${palette.line}`,
            fontSize: 14,
            cursor: 'pointer',
          }}
        >
          <input
            type="checkbox"
            checked={mark?.faults.includes(fault.slug) ?? false}
            onChange={() => {
              onChange({ kind: 'fault', fault: fault.slug });
            }}
            style={{ marginTop: 1 }}
          />
          <span>
            {fault.name}
            <Box component="span" sx={{ display: 'block', color: palette.soft, fontSize: 13 }}>
              {fault.fix}
            </Box>
          </span>
        </Box>
      ))}
      {movement.faults.length === 0 && (
        <Typography variant="body2">
          <Trans>None are written down for this movement.</Trans>
        </Typography>
      )}
    </Box>
  );
}

/** The best so far, and that this one is better. */
function Best({ cell: { requirement, mark, best } }: { readonly cell: MarkCell }) {
  const criterion = requirement?.criterion;
  if (!criterion || !best) return null;
  const { value } = best;
  const now = mark ? measuredAs(mark.measure, criterion) : null;
  const words =
    criterion.leastSeconds !== undefined
      ? t`${value} s`
      : criterion.leastReps !== undefined
        ? t`${value} in a row`
        : t`${Math.round(value * 100)} %`;
  const isBetter = now !== null && now > value;
  // once it is stored, it is the best itself
  const isIt = now === value && best.isOfThisDay;
  return (
    <Box role="status" sx={{ mt: 0.5, color: isBetter || isIt ? palette.primary : palette.soft }}>
      {isBetter ? (
        <Trans>
          <strong>A new best:</strong> it was {words}
        </Trans>
      ) : isIt ? (
        <strong>{t`A new best`}</strong>
      ) : (
        <Trans>Best so far: {words}</Trans>
      )}
    </Box>
  );
}

/** What was held, done or known, where the criterion asks for it. */
function MeasureField({
  criterion,
  measure,
  onChange,
  onLeave,
}: {
  readonly onLeave?: () => void;
  readonly criterion: Criterion;
  readonly measure: Measure;
  readonly onChange: (measure: Measure) => void;
}) {
  const asked = askedMeasure(criterion);
  const stored = asked ? measure[asked.field] : undefined;
  const shown = stored === undefined ? '' : String(stored);
  const [typed, setTyped] = useTyped(shown);
  // Enter writes it and leaves the field, and leaving writes as well: once is enough, until something else stands there
  const sent = useRef<number | null>(null);
  useEffect(() => {
    sent.current = null;
  }, [stored]);
  if (!asked) return null;
  const value = Number(typed.replace(',', '.'));
  const isRight = typed.trim() === '' || (Number.isInteger(value) && value >= 0 && value <= asked.most);
  const leave = (): void => {
    if (typed.trim() === '' || !isRight || value === stored || value === sent.current) return;
    sent.current = value;
    onChange({ [asked.field]: value, ...(asked.of === undefined ? {} : { of: asked.of }) });
  };
  return (
    <TextField
      label={asked.label}
      value={typed}
      onChange={(event) => {
        setTyped(event.target.value);
      }}
      error={!isRight}
      helperText={isRight ? undefined : t`A whole number, at most ${asked.most}.`}
      onBlur={leave}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === 'Escape') {
          if (event.key === 'Enter') leave();
          event.preventDefault();
          onLeave?.();
        }
      }}
      slotProps={{ htmlInput: { inputMode: 'numeric' } }}
    />
  );
}

function askedMeasure({ leastSeconds, leastReps, leastCorrect }: Criterion) {
  if (leastSeconds !== undefined)
    return { field: 'seconds', label: t`Seconds held (${leastSeconds} asked)`, most: 3600, of: undefined } as const;
  if (leastReps !== undefined) return { field: 'reps', label: t`Times (${leastReps} asked)`, most: 1000, of: undefined } as const;
  if (leastCorrect)
    return {
      field: 'correct',
      label: t`Correct of ${leastCorrect.of} (${leastCorrect.correct} asked)`,
      most: leastCorrect.of,
      of: leastCorrect.of,
    } as const;
  return null;
}
