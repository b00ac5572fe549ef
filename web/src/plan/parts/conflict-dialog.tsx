import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import type { StoredPlan } from '@leiter/contract';
import { clockText, doseText, placedItems, rowsOf, sidesText, type ClassPlan, type Library, type Track } from '@leiter/core';
import { plural, sectionWords } from '../../shared/words';

interface Props {
  readonly current: StoredPlan;
  readonly yours: ClassPlan;
  readonly library: Library;
  readonly onSettle: (chosen: ClassPlan) => void;
}

/** Two people saved one plan: shows what differs and asks which one counts. */
export function ConflictDialog({ current, yours, library, onSettle }: Props) {
  const theirs = linesOf(current.plan, library);
  const own = linesOf(yours, library);
  return (
    <Dialog open aria-labelledby="conflict-title" maxWidth="md">
      <DialogTitle id="conflict-title">{current.savedBy ?? 'Somebody'} saved this plan meanwhile</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 2 }}>Nothing is lost yet. These lines differ:</Typography>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 3 }}>
          <Lines title={`Only in the plan of ${current.savedBy ?? 'the other'}`} lines={theirs.filter((line) => !own.includes(line))} />
          <Lines title="Only in yours" lines={own.filter((line) => !theirs.includes(line))} />
        </Box>
      </DialogContent>
      <DialogActions>
        <Button
          variant="outlined"
          onClick={() => {
            onSettle(current.plan);
          }}
        >
          Take theirs
        </Button>
        <Button
          variant="contained"
          onClick={() => {
            onSettle(yours);
          }}
        >
          Keep mine
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function Lines({ title, lines }: { readonly title: string; readonly lines: readonly string[] }) {
  return (
    <Box>
      <Typography variant="h3">{title}</Typography>
      {lines.length === 0 && <Typography variant="body2">only the order differs</Typography>}
      <ul>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </Box>
  );
}

const musicLine = (what: string, { name, seconds }: Track): string =>
  `${what} to ${name === '' ? 'music' : `“${name}”`}, ${clockText(seconds)}`;

/** What a plan says, line by line: its items, what is gone round, and what is played. */
function linesOf(plan: ClassPlan, library: Library): readonly string[] {
  const nameOf = (slug: string): string => library.get(slug)?.name ?? slug;
  const circuits = rowsOf(plan).flatMap(({ circuit, items }) =>
    circuit
      ? [
          `Circuit of ${items.map(({ movement }) => nameOf(movement)).join(', ')}: ${plural(circuit.rounds, 'round', 'rounds')}, ${String(circuit.restSeconds)} s rest`,
        ]
      : [],
  );
  const music = plan.sections.flatMap((section) => [
    ...(section.music ? [musicLine(sectionWords[section.kind], section.music)] : []),
    ...section.items.flatMap((item) => (item.music ? [musicLine(nameOf(item.movement), item.music)] : [])),
  ]);
  return [...itemLines(plan, library), ...circuits, ...music];
}

function itemLines(plan: ClassPlan, library: Library): readonly string[] {
  return placedItems(plan).map(({ item }) =>
    [
      library.get(item.movement)?.name ?? item.movement,
      doseText(item.dose),
      sidesText(item.sides),
      item.tiers.join('/'),
      item.cue && `“${item.cue}”`,
      item.note,
    ]
      .filter(Boolean)
      .join(', '),
  );
}
