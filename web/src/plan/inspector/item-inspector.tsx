import { t } from '@lingui/core/macro';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import {
  sameDose,
  sameTeaching,
  type AgeBand,
  type ClassPlan,
  type Dose,
  type Item,
  type Library,
  type LearnedPace,
  type WrittenTeaching,
  type ItemTotal,
  type Movement,
  type MusicGap,
  type PlanEdit,
  type Track,
} from '@leiter/core';
import { useState } from 'react';
import { palette } from '../../shared/palette';
import { useStable } from '../../shared/use-stable';
import { circuitWithNext } from '../editing/plan-keys';
import { CircuitFields } from './circuit-fields';
import { DoseFields, TypedTeaching } from './dose-fields';
import { FocusButton, FamiliarityField, SidesField, TiersField, WordsField } from './item-fields';
import { LedFields } from './led-fields';
import { MusicFields } from './music-fields';
import { PhraseFields } from './phrase-fields';
import { SwapField } from './swap-field';
import { TeachingFields } from './teaching-fields';
import { TimeParts } from './time-parts';

interface Props {
  readonly plan: ClassPlan;
  /** The item where it comes first, and what it takes in all its rounds. */
  readonly total: ItemTotal;
  readonly pace: LearnedPace;
  readonly library: Library;
  readonly programme: string;
  readonly band: AgeBand;
  /** What can be named. */
  readonly movements: readonly Movement[];
  readonly gap: MusicGap | undefined;
  readonly onFitMusic: () => void;
  readonly onEdit: (edits: readonly PlanEdit[]) => void;
}

/** One item: how much, which sides, which versions, what to say, and what its time is made of. */
export function ItemInspector({ plan, total, pace, library, programme, band, movements, gap, onFitMusic, onEdit }: Props) {
  const { first: timed } = total;
  const { item, movement } = timed;
  const circuit = plan.circuits?.find(({ id }) => id === item.circuit);
  const stations = plan.sections.flatMap(({ items }) => items).filter((one) => circuit && one.circuit === circuit.id).length;
  const setDose = (dose: Dose): void => {
    onEdit([{ kind: 'set-dose', item: item.id, dose }]);
  };
  const write = ({ dose, teaching }: WrittenTeaching): void => {
    const edits: PlanEdit[] = sameDose(dose, item.dose) ? [] : [{ kind: 'set-dose', item: item.id, dose }];
    if (!sameTeaching(teaching, item)) edits.push({ kind: 'set-teaching', item: item.id, teaching });
    if (edits.length > 0) onEdit(edits);
  };
  // the fields below the dose are drawn anew only when they change: a key must be painted at once
  const join = useStable(() => {
    const edit = circuitWithNext(plan, item.id);
    if (edit) onEdit([edit]);
  });
  const setMusic = useStable((music: Track | null) => {
    onEdit([{ kind: 'set-item-music', item: item.id, music }]);
  });
  const fitMusic = useStable(onFitMusic);
  const editStably = useStable(onEdit);
  const taught = useSameButDose(item);
  return (
    <Box component="section" aria-label={t`Item ${movement.name}`} sx={{ mb: 2.5 }}>
      <Typography variant="h2">{movement.name}</Typography>
      <Typography variant="body2" sx={{ color: palette.soft, mb: 1.25 }}>
        {movement.plainMeaning}
      </Typography>
      <SwapField
        key={`swap ${item.id}`}
        id={item.id}
        movement={movement}
        library={library}
        programme={programme}
        band={band}
        onEdit={editStably}
      />
      <TypedTeaching key={`typed ${item.id}`} item={item} onChange={write} />
      <DoseFields key={item.id} dose={item.dose} onChange={setDose} />
      <SidesField id={item.id} sides={item.sides} of={movement.sides} onEdit={onEdit} />
      <TiersField id={item.id} tiers={item.tiers} movement={movement} onEdit={onEdit} />
      <Box sx={{ display: 'flex', gap: 1, mb: 1.25 }}>
        <FamiliarityField id={item.id} said={item.familiarity} reckoned={timed.familiarity} onEdit={onEdit} />
        <FocusButton movement={movement.slug} focus={plan.focus} onEdit={onEdit} />
      </Box>
      {movement.phrase && <PhraseFields item={item} timed={timed} written={movement.phrase} band={band} onEdit={editStably} />}
      <TeachingFields key={`teaching ${item.id}`} item={taught} reckoned={timed.way} onEdit={editStably} />
      <LedFields key={`led ${item.id}`} item={taught} movements={movements} onEdit={editStably} />
      <WordsField
        key={`words ${item.id}`}
        id={item.id}
        cue={item.cue ?? ''}
        note={item.note ?? ''}
        suggestion={movement.cues[0] ?? ''}
        onEdit={onEdit}
      />
      <TimeParts total={total} pace={pace} />
      <CircuitFields
        circuit={circuit}
        stations={stations}
        hasNext={circuitWithNext(plan, item.id) !== null}
        onJoin={join}
        onEdit={onEdit}
      />
      <MusicFields
        key={`music ${item.id}`}
        music={item.music}
        gap={gap}
        startSeconds={Math.round(timed.parts.work / 10) * 10}
        onChange={setMusic}
        onFit={fitMusic}
      />
    </Box>
  );
}

/** The item as it was for as long as only its dose changes: fields that do not speak of the dose are not drawn anew at every key. */
function useSameButDose(item: Item): Item {
  const [kept, setKept] = useState(item);
  if (isSameButDose(kept, item)) return kept;
  setKept(item);
  return item;
}

const withoutDose = ({ dose: _dose, ...others }: Item): Readonly<Record<string, unknown>> => others;

function isSameButDose(one: Item, other: Item): boolean {
  const [before, now] = [withoutDose(one), withoutDose(other)];
  return Object.keys({ ...before, ...now }).every((field) => before[field] === now[field]);
}
