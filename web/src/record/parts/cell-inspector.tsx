import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { marks, type Criterion, type Measure } from '@leiter/core';
import { palette } from '../../shared/palette';
import { TextButton } from '../../shared/text-button';
import { useTyped } from '../../shared/use-typed';
import { criterionText } from '../../shared/criterion-text';
import type { MarkCell, MarkChange } from './mark-grid';
import { MarkGlyph } from './mark-glyph';

const helpWords = { 'hands-on': 'hands on', 'raised-or-lower-surface': 'raised or lower surface', 'target-only': 'target only' } as const;

/** The cell that is chosen: what to look for, what is asked, and all that can be marked, by mouse. */
export function CellInspector({
  cell,
  childName,
  onChange,
  onTakeBack,
}: {
  readonly cell: MarkCell;
  readonly childName: string;
  readonly onChange: (change: MarkChange) => void;
  readonly onTakeBack: () => void;
}) {
  const { column, requirement, mark } = cell;
  const { movement } = column;
  const stage = requirement?.stage ? movement.stages[requirement.stage - 1] : undefined;
  return (
    <Box component="section" aria-label="What to see">
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
        {requirement ? `Asked: ${criterionText(requirement.criterion)}.` : 'The next grade does not ask this; it is kept all the same.'}
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
            sx={{ justifyContent: 'flex-start', gap: 1, px: 1, backgroundColor: mark?.mark === one ? '#DCE9E9' : '#FFFFFF' }}
          >
            <kbd style={{ fontFamily: 'inherit', color: palette.soft }}>{index + 1}</kbd>
            <MarkGlyph mark={one} />
          </Button>
        ))}
      </Box>
      {mark && (
        <Box sx={{ mt: -0.75, mb: 1 }}>
          <TextButton label="Take the mark back" onClick={onTakeBack} />
        </Box>
      )}
      {mark?.help && (
        <Typography variant="body2" sx={{ mb: 1 }}>
          Help: <strong>{helpWords[mark.help]}</strong> <span style={{ color: palette.soft }}>(H changes it)</span>
        </Typography>
      )}
      {requirement && (
        <MeasureField
          key={`${cell.childId} ${column.key}`}
          criterion={requirement.criterion}
          measure={mark?.measure ?? {}}
          onChange={(measure) => {
            onChange({ kind: 'measure', measure });
          }}
        />
      )}
      <Typography variant="h3" sx={{ mt: 2, mb: 0.5 }}>
        Faults
      </Typography>
      {movement.faults.map((fault) => (
        <Box
          key={fault.slug}
          component="label"
          sx={{
            display: 'grid',
            gridTemplateColumns: '22px 1fr',
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
      {movement.faults.length === 0 && <Typography variant="body2">None are written down for this movement.</Typography>}
    </Box>
  );
}

/** What was held, done or known, where the criterion asks for it. */
function MeasureField({
  criterion,
  measure,
  onChange,
}: {
  readonly criterion: Criterion;
  readonly measure: Measure;
  readonly onChange: (measure: Measure) => void;
}) {
  const asked = askedMeasure(criterion);
  const stored = asked ? measure[asked.field] : undefined;
  const shown = stored === undefined ? '' : String(stored);
  const [typed, setTyped] = useTyped(shown);
  if (!asked) return null;
  const leave = (): void => {
    const value = Number(typed);
    if (typed.trim() === '' || !Number.isInteger(value) || value < 0 || value > asked.most || value === stored) return;
    onChange({ [asked.field]: value, ...(asked.of === undefined ? {} : { of: asked.of }) });
  };
  return (
    <TextField
      label={asked.label}
      value={typed}
      onChange={(event) => {
        setTyped(event.target.value);
      }}
      onBlur={leave}
      onKeyDown={(event) => {
        if (event.key === 'Enter') leave();
      }}
      slotProps={{ htmlInput: { inputMode: 'numeric' } }}
    />
  );
}

function askedMeasure({ leastSeconds, leastReps, leastCorrect }: Criterion) {
  if (leastSeconds !== undefined)
    return { field: 'seconds', label: `Seconds held (${String(leastSeconds)} asked)`, most: 3600, of: undefined } as const;
  if (leastReps !== undefined) return { field: 'reps', label: `Times (${String(leastReps)} asked)`, most: 1000, of: undefined } as const;
  if (leastCorrect)
    return {
      field: 'correct',
      label: `Correct of ${String(leastCorrect.of)} (${String(leastCorrect.correct)} asked)`,
      most: leastCorrect.of,
      of: leastCorrect.of,
    } as const;
  return null;
}
