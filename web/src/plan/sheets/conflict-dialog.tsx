import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import {
  clockText,
  circuitText,
  doseText,
  placedItems,
  rowsOf,
  sidesText,
  tierNames,
  type ClassPlan,
  type Item,
  type Library,
  type Track,
} from '@leiter/core';
import type { StoredDocument } from '../../shared/document-session/document-kind';
import { plural, sectionWords } from '../../shared/words';

interface Props {
  /** What is stored now; null where there is no plan any more. */
  readonly current: StoredDocument<ClassPlan> | null;
  readonly yours: ClassPlan;
  readonly library: Library;
  readonly onSettle: (chosen: ClassPlan) => void;
}

/** Two people saved one plan: shows what differs and asks which one counts. */
export function ConflictDialog({ current, yours, library, onSettle }: Props) {
  const theirs = current ? linesOf(current.content, library) : [];
  const own = linesOf(yours, library);
  const who = current?.savedBy ?? 'Somebody';
  return (
    <Dialog open aria-labelledby="conflict-title" maxWidth="md">
      <DialogTitle id="conflict-title">{current ? `${who} saved this plan meanwhile` : 'This plan was taken away meanwhile'}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 2 }}>Nothing is lost yet. These lines differ:</Typography>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 3 }}>
          <Lines title={`Only in the plan of ${who}`} lines={without(theirs, own)} />
          <Lines title="Only in yours" lines={without(own, theirs)} />
        </Box>
        {without(theirs, own).length + without(own, theirs).length === 0 && (
          <Typography variant="body2">The lines are the same; their order differs.</Typography>
        )}
      </DialogContent>
      <DialogActions>
        {current && (
          <Button
            variant="outlined"
            onClick={() => {
              onSettle(current.content);
            }}
          >
            Take theirs
          </Button>
        )}
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

/** The lines that the others do not have, each as often as it is there more. */
function without(lines: readonly string[], others: readonly string[]): readonly string[] {
  const left = [...others];
  return lines.filter((line) => {
    const at = left.indexOf(line);
    if (at >= 0) left.splice(at, 1);
    return at < 0;
  });
}

function Lines({ title, lines }: { readonly title: string; readonly lines: readonly string[] }) {
  return (
    <Box>
      <Typography variant="h3">{title}</Typography>
      {lines.length === 0 && <Typography variant="body2">nothing</Typography>}
      <ul>
        {lines.map((line, index) => (
          <li key={`${line} ${String(index)}`}>{line}</li>
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
    circuit ? [`${items.map(({ movement }) => nameOf(movement)).join(', ')}: ${circuitText(circuit)}`] : [],
  );
  const music = plan.sections.flatMap((section) => [
    ...(section.music ? [musicLine(sectionWords[section.kind], section.music)] : []),
    ...section.items.flatMap((item) => (item.music ? [musicLine(nameOf(item.movement), item.music)] : [])),
  ]);
  const focus = plan.focus.map((slug) => `In focus: ${nameOf(slug)}`);
  const accepted = (plan.accepted ?? []).map(({ check, reason }) => `Let stand (${check.replaceAll('-', ' ')}): ${reason}`);
  return [...itemLines(plan, library), ...circuits, ...music, ...focus, ...accepted];
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
      item.familiarity && `the group: ${item.familiarity}`,
      ...byHandWords(item.tierByHand),
    ]
      .filter(Boolean)
      .join(', '),
  );
}

/** Versions set for single children; children are known by id here, so it is said how many do which. */
function byHandWords(tierByHand: Item['tierByHand']): readonly string[] {
  const tiers = Object.values(tierByHand ?? {});
  return tierNames.flatMap((tier) => {
    const count = tiers.filter((one) => one === tier).length;
    return count === 0 ? [] : [`set by hand: ${plural(count, 'child', 'children')} ${tier}`];
  });
}
