import { plural, t } from '@lingui/core/macro';
import { Trans } from '@lingui/react/macro';
import Box from '@mui/material/Box';
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
import { SettleButtons } from '../../shared/document-session/settle-buttons';
import { sectionWords } from '../../shared/words';

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
  const who = current?.savedBy ?? t`Somebody`;
  return (
    <Dialog open aria-labelledby="conflict-title" maxWidth="md">
      <DialogTitle id="conflict-title">{current ? t`${who} saved this plan meanwhile` : t`This plan was taken away meanwhile`}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 2 }}>
          <Trans>Nothing is lost yet. These lines differ:</Trans>
        </Typography>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 3 }}>
          <Lines title={t`Only in the plan of ${who}`} lines={without(theirs, own)} />
          <Lines title={t`Only in yours`} lines={without(own, theirs)} />
        </Box>
        {without(theirs, own).length + without(own, theirs).length === 0 && (
          <Typography variant="body2">
            <Trans>The lines are the same; their order differs.</Trans>
          </Typography>
        )}
      </DialogContent>
      <DialogActions>
        <SettleButtons
          current={current}
          keep={t`Keep mine`}
          onTake={({ content }) => {
            onSettle(content);
          }}
          onKeep={() => {
            onSettle(yours);
          }}
        />
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
      {lines.length === 0 && (
        <Typography variant="body2">
          <Trans>nothing</Trans>
        </Typography>
      )}
      <ul>
        {lines.map((line, index) => (
          <li key={`${line} ${String(index)}`}>{line}</li>
        ))}
      </ul>
    </Box>
  );
}

const musicLine = (what: string, { name, seconds }: Track): string =>
  t`${what} to ${name === '' ? 'music' : `“${name}”`}, ${clockText(seconds)}`;

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
  const focus = plan.focus.map((slug) => t`In focus: ${nameOf(slug)}`);
  const accepted = (plan.accepted ?? []).map(({ check, reason }) => t`Let stand (${check.replaceAll('-', ' ')}): ${reason}`);
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
      item.familiarity && t`the group: ${item.familiarity}`,
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
    return count === 0 ? [] : [t`set by hand: ${plural(count, { one: '# child', other: '# children' })} ${tier}`];
  });
}
