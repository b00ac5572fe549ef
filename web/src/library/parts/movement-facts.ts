import { t } from '@lingui/core/macro';
import {
  hazards,
  hazardWord,
  levels,
  regions,
  regionWord,
  surfaces,
  type Facing,
  type Framing,
  type Hazard,
  type Level,
  type LittleRoomWay,
  type Load,
  type Movement,
  type MovementKind,
  type MovementSides,
  type TermVariant,
  type Needs,
  type Posture,
  type Prerequisite,
  type Region,
  type SectionKind,
  type Surface,
} from '@leiter/core';

/** What there is to know of a movement beside its words: chosen, not written. A choice nobody made yet is empty. */
export interface FactsForm {
  readonly kind: MovementKind;
  readonly programmes: readonly string[];
  readonly sections: readonly SectionKind[];
  readonly sides: MovementSides;
  readonly level: Level;
  readonly postureFrom: Posture;
  readonly postureTo: Posture;
  readonly prepares: readonly Region[];
  readonly lengthens: readonly Region[];
  /** As `wrists 3`. */
  readonly loads: readonly string[];
  readonly hazards: readonly Hazard[];
  readonly undoneBy: readonly string[];
  readonly surface: '' | 'any-dry' | 'some';
  readonly surfaces: readonly Surface[];
  readonly lengthM: number | '';
  readonly widthM: number | '';
  readonly headroomM: number | '';
  readonly littleRoom: '' | LittleRoomWay;
  readonly littleLengthM: number | '';
  readonly littleWidthM: number | '';
  readonly equipment: readonly string[];
  readonly wall: boolean;
  readonly partner: boolean;
  readonly adult: '' | Needs['adult'];
  readonly quiet: Needs['quiet'];
  readonly homeTask: '' | Movement['homeTask'];
  readonly instead: string;
  readonly prerequisites: readonly string[];
  readonly leadsTo: readonly string[];
  readonly termText: string;
  readonly termLanguage: string;
  readonly termSayIt: string;
  readonly termMeaning: string;
  /** One a line. */
  readonly termVariants: string;
  readonly facing: '' | Facing;
  readonly framing: '' | Framing;
  readonly figure: readonly string[];
}

export const loadAmounts = [t`a little`, 'some', 'much'] as const;
/** Every region with each amount, as a choice. */
export const loadChoices: readonly string[] = regions.flatMap((region) =>
  loadAmounts.map((_words, index) => `${region} ${String(index + 1)}`),
);

export function loadOf(choice: string): Load | null {
  const [name, amount] = choice.split(' ');
  const region = regions.find((one) => one === name);
  return region && (amount === '1' || amount === '2' || amount === '3') ? { region, amount: Number(amount) as 1 | 2 | 3 } : null;
}

export function loadWords(choice: string): string {
  const load = loadOf(choice);
  return load ? `${regionWord(load.region)}: ${loadAmounts[load.amount - 1] ?? ''}` : choice;
}

export const factChoices = { hazards, hazardWord, levels, regions, regionWord, surfaces } as const;

export function factsOf(movement: Movement): FactsForm {
  const { needs, term, view, posture } = movement;
  return {
    kind: movement.kind,
    programmes: movement.programmes,
    sections: movement.sections,
    sides: movement.sides,
    level: movement.level,
    postureFrom: posture.from,
    postureTo: posture.to,
    prepares: movement.prepares,
    lengthens: movement.lengthens,
    loads: movement.loads.map(({ region, amount }) => `${region} ${String(amount)}`),
    hazards: movement.hazards,
    undoneBy: movement.undoneBy,
    surface: needs.surface === 'any-dry' ? 'any-dry' : 'some',
    surfaces: needs.surface === 'any-dry' ? [] : needs.surface,
    lengthM: needs.footprint.lengthM,
    widthM: needs.footprint.widthM,
    headroomM: needs.headroomM,
    littleRoom: needs.inLittleRoom?.how ?? '',
    littleLengthM: needs.inLittleRoom?.lengthM ?? '',
    littleWidthM: needs.inLittleRoom?.widthM ?? '',
    equipment: needs.equipment,
    wall: needs.wall,
    partner: needs.partner,
    adult: needs.adult,
    quiet: needs.quiet,
    homeTask: movement.homeTask,
    instead: movement.instead ?? '',
    prerequisites: movement.prerequisites.map(({ movement: slug }) => slug),
    leadsTo: movement.leadsTo,
    termText: term?.text ?? '',
    termLanguage: term?.language ?? '',
    termSayIt: term?.sayIt ?? '',
    termMeaning: term?.meaning ?? '',
    termVariants: variantsText(term?.variants ?? []),
    facing: view?.facing ?? '',
    framing: view?.framing ?? '',
    figure: movement.figure,
  };
}

/** What others call it, one a line: `ap chagi / ahp CHAH-gee / Korean styles`. */
const variantsText = (variants: readonly TermVariant[]): string =>
  variants.map(({ text, sayIt, where }) => [text, sayIt, where].join(' / ')).join('\n');

/** A part that is missing is empty. */
function variantsIn(typed: string): { readonly variants?: readonly TermVariant[] } {
  const variants = typed
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line): TermVariant => {
      const [text = '', sayIt = '', where = ''] = line.split('/').map((part) => part.trim());
      return { text, sayIt, where };
    });
  return variants.length > 0 ? { variants } : {};
}

/** Nothing chosen yet that a child's safety rests on: floor, room, adult, home and age are asked. */
export function blankFacts(programme: string): FactsForm {
  return {
    kind: 'drill',
    programmes: [programme],
    sections: ['drills'],
    sides: 'none',
    level: 'standing',
    postureFrom: 'standing',
    postureTo: 'standing',
    prepares: [],
    lengthens: [],
    loads: [],
    hazards: [],
    undoneBy: [],
    surface: '',
    surfaces: [],
    lengthM: '',
    widthM: '',
    headroomM: '',
    littleRoom: '',
    littleLengthM: '',
    littleWidthM: '',
    equipment: [],
    wall: false,
    partner: false,
    adult: '',
    quiet: 'quiet',
    homeTask: '',
    instead: '',
    prerequisites: [],
    leadsTo: [],
    termText: '',
    termLanguage: '',
    termSayIt: '',
    termMeaning: '',
    termVariants: '',
    facing: 'front',
    framing: 'standing',
    figure: ['stand'],
  };
}

interface Fault {
  readonly field: string;
  readonly message: string;
}

/** What was chosen, as the entry has it; of what leads to it, what was said before of how well stays. */
export function withFacts(before: Movement, facts: FactsForm): { readonly movement: Movement; readonly faults: readonly Fault[] } {
  const faults: Fault[] = [];
  const asked = (isSaid: boolean, field: keyof FactsForm, message: string): void => {
    if (!isSaid) faults.push({ field: t`facts.${field}`, message });
  };
  asked(facts.surface !== '', 'surface', t`On which floors may it be done?`);
  asked(facts.surface !== 'some' || facts.surfaces.length > 0, 'surfaces', t`Choose the floors.`);
  asked(facts.lengthM !== '', 'lengthM', t`How long is the floor it needs?`);
  asked(facts.widthM !== '', 'widthM', t`How wide is it?`);
  asked(facts.headroomM !== '', 'headroomM', t`How high must the room be?`);
  asked(facts.adult !== '', 'adult', t`Does an adult have to be there?`);
  asked(facts.homeTask !== '', 'homeTask', t`May a child do it alone at home?`);
  asked(facts.sections.length > 0, 'sections', t`In which part of a class is it done?`);
  asked(facts.littleRoom === '' || (facts.littleLengthM !== '' && facts.littleWidthM !== ''), 'littleLengthM', t`How much floor is that?`);
  asked(
    (variantsIn(facts.termVariants).variants ?? []).every(({ text, sayIt, where }) => text !== '' && sayIt !== '' && where !== ''),
    'termVariants',
    t`A name is written “what it is called / how it is said / by whom”.`,
  );
  const known = new Map(before.prerequisites.map((one) => [one.movement, one]));
  const prerequisites: readonly Prerequisite[] = facts.prerequisites.map((slug) => known.get(slug) ?? { movement: slug, mark: 'alone' });
  const { inLittleRoom: _before, ...needs } = before.needs;
  return {
    faults,
    movement: {
      ...before,
      kind: facts.kind,
      programmes: facts.programmes,
      sections: facts.sections,
      sides: facts.sides,
      level: facts.level,
      posture: { ...before.posture, from: facts.postureFrom, to: facts.postureTo },
      prepares: facts.prepares,
      lengthens: facts.lengthens,
      loads: facts.loads.flatMap((choice) => loadOf(choice) ?? []),
      hazards: facts.hazards,
      undoneBy: facts.undoneBy,
      needs: {
        ...needs,
        surface: facts.surface === 'some' ? facts.surfaces : 'any-dry',
        footprint: { lengthM: facts.lengthM || 0, widthM: facts.widthM || 0 },
        ...(facts.littleRoom === ''
          ? {}
          : { inLittleRoom: { how: facts.littleRoom, lengthM: facts.littleLengthM || 0, widthM: facts.littleWidthM || 0 } }),
        headroomM: facts.headroomM || 0,
        equipment: facts.equipment,
        wall: facts.wall,
        partner: facts.partner,
        adult: facts.adult === '' ? before.needs.adult : facts.adult,
        quiet: facts.quiet,
      },
      homeTask: facts.homeTask === '' ? before.homeTask : facts.homeTask,
      instead: facts.instead === '' ? null : facts.instead,
      prerequisites,
      leadsTo: facts.leadsTo,
      term:
        facts.termText.trim() === ''
          ? null
          : {
              text: facts.termText.trim(),
              language: facts.termLanguage.trim(),
              sayIt: facts.termSayIt.trim(),
              meaning: facts.termMeaning.trim(),
              ...variantsIn(facts.termVariants),
            },
      view: facts.facing === '' || facts.framing === '' ? null : { facing: facts.facing, framing: facts.framing },
      figure: facts.figure,
    },
  };
}

/** An entry of which only the name of its programme is known; what has no value yet is asked by the form. */
export function blankMovement(programme: string): Movement {
  return {
    slug: '',
    name: '',
    programmes: [programme],
    kind: 'drill',
    sections: ['drills'],
    plainMeaning: '',
    term: null,
    posture: { from: 'standing', through: [], to: 'standing' },
    level: 'standing',
    effort: 2,
    prepares: [],
    loads: [],
    lengthens: [],
    hazards: [],
    undoneBy: [],
    needs: {
      surface: 'any-dry',
      footprint: { lengthM: 2, widthM: 2 },
      headroomM: 2.5,
      equipment: [],
      wall: false,
      partner: false,
      adult: 'hands-on',
      quiet: 'quiet',
    },
    equipmentStandIns: {},
    leastAge: 4,
    homeTask: 'no',
    instead: null,
    sides: 'none',
    dose: { '4-6': null, '7-9': null, '10-13': null },
    stages: [],
    prerequisites: [],
    leadsTo: [],
    tiers: {},
    cues: [],
    picture: null,
    faults: [],
    support: null,
    cautions: [],
    view: { facing: 'front', framing: 'standing' },
    figure: ['stand'],
  };
}
