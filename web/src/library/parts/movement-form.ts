import { t } from '@lingui/core/macro';
import { factsOf, withFacts, type FactsForm } from './movement-facts';
import {
  ageBands,
  readDose,
  segmentStages,
  slugOf,
  tierNames,
  writeDose,
  type AgeBand,
  type Effort,
  type Movement,
  type TierName,
} from '@leiter/core';

/** An entry of the library as one edits it: lists are lines of text. */
export interface MovementForm {
  readonly name: string;
  readonly plainMeaning: string;
  readonly picture: string;
  readonly effort: number;
  readonly leastAge: number;
  readonly cues: string;
  readonly stages: string;
  readonly faults: string;
  readonly cautions: string;
  readonly support: string;
  readonly tiers: Readonly<Record<TierName, string>>;
  readonly dose: Readonly<Record<`age${string}`, string>>;
  readonly facts: FactsForm;
}

/** What cannot be read, by the field of the form. */
export interface FormFault {
  readonly field: string;
  readonly message: string;
}

const linesOf = (text: string): readonly string[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');

/** The stages as they are written, after one for each part of the steps that is not among them. */
export function withSegments(stages: string, movement: Pick<Movement, 'phrase'>): string {
  const written = linesOf(stages);
  const named = new Set(written.map((line) => line.split(':')[0]?.trim()));
  const parts = segmentStages(movement).filter(({ name }) => !named.has(name));
  return [...parts.map(({ name, see }) => `${name}: ${see}`), ...written].join('\n');
}

export const doseField = (band: AgeBand): `age${string}` => `age${band.replace('-', '')}`;

export function formOf(movement: Movement): MovementForm {
  return {
    name: movement.name,
    plainMeaning: movement.plainMeaning,
    picture: movement.picture ?? '',
    effort: movement.effort,
    leastAge: movement.leastAge,
    cues: movement.cues.join('\n'),
    stages: movement.stages.map(({ name, see }) => `${name}: ${see}`).join('\n'),
    faults: movement.faults.map(({ name, fix, stops }) => `${stops ? '! ' : ''}${name} > ${fix}`).join('\n'),
    cautions: movement.cautions.join('\n'),
    support: movement.support ?? '',
    tiers: { easier: movement.tiers.easier?.what ?? '', core: movement.tiers.core?.what ?? '', harder: movement.tiers.harder?.what ?? '' },
    dose: Object.fromEntries(
      ageBands.map((band) => {
        const dose = movement.dose[band];
        return [doseField(band), dose ? writeDose(dose) : ''];
      }),
    ),
    facts: factsOf(movement),
  };
}

/** The entry after editing: what the form does not show stays as it was. @returns the entry, or the lines that cannot be read. */
export function movementFrom(before: Movement, form: MovementForm): { readonly movement: Movement; readonly faults: readonly FormFault[] } {
  const { movement: based, faults: unsaid } = withFacts(before, form.facts);
  const faults: FormFault[] = [...unsaid];
  if (!Number.isFinite(form.leastAge) || form.leastAge <= 0)
    faults.push({ field: 'leastAge', message: t`From how many years on may it be done?` });
  const stages = linesOf(form.stages).flatMap((line) => {
    const cut = line.indexOf(':');
    if (cut > 0) return [{ name: line.slice(0, cut).trim(), see: line.slice(cut + 1).trim() }];
    faults.push({ field: 'stages', message: t`A stage is written “name: what one must see”. This is not: ${line}` });
    return [];
  });
  const named = linesOf(form.faults).flatMap((line) => {
    const stops = line.startsWith('!');
    const [name = '', fix] = line.replace(/^!\s*/, '').split('>');
    if (fix !== undefined && name.trim() !== '' && fix.trim() !== '') return [{ name: name.trim(), fix: fix.trim(), stops }];
    faults.push({ field: 'faults', message: t`A fault is written “name > what mends it”. This is not: ${line}` });
    return [];
  });
  const doses = ageBands.map((band) => {
    const text = form.dose[doseField(band)]?.trim() ?? '';
    if (text === '') return [band, null] as const;
    const dose = readDose(text, before.dose[band] ?? before.dose['7-9']);
    if (!dose)
      faults.push({ field: t`dose.${doseField(band)}`, message: t`Write 3x8, 2x20s, 4 min or 8x8 @ 96; empty: not for this age.` });
    return [band, dose] as const;
  });
  const tiers = Object.fromEntries(
    tierNames.flatMap((name) => {
      const what = form.tiers[name].trim();
      return what === '' ? [] : [[name, { fromGrade: null, ...before.tiers[name], what }] as const];
    }),
  );
  return {
    faults,
    movement: {
      ...based,
      name: form.name.trim(),
      plainMeaning: form.plainMeaning.trim(),
      picture: form.picture.trim() || null,
      effort: form.effort as Effort, // the select offers no other
      leastAge: form.leastAge,
      cues: linesOf(form.cues),
      stages,
      faults: named.map((fault) => ({ slug: before.faults.find(({ name }) => name === fault.name)?.slug ?? slugOf(fault.name), ...fault })),
      cautions: linesOf(form.cautions),
      support: form.support.trim() || null,
      tiers,
      dose: { ...before.dose, ...Object.fromEntries(doses) },
    },
  };
}
