import { mostSteps } from '../figure/step.js';
import { facings } from '../figure/draw.js';
import { metres, phraseLimits } from '../phrase/phrase.js';
import { adultNeeds, framings, littleRoomWays, marks, surfaces, tierNames } from './movement.js';
import { hazards } from './hazard.js';
import { postures } from './posture.js';
import { regions } from './region.js';
import { sectionKinds } from './section-kind.js';

export type Fields = Readonly<Record<string, unknown>>;

/** What a value looks like: asked of a value, and said as JSON Schema. What it names is checked elsewhere, by name. */
export interface Shape {
  readonly fits: (value: unknown) => boolean;
  readonly schema: object;
}

export const isFields = (value: unknown): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value);

const longestText = 600;
const text: Shape = {
  fits: (value) => typeof value === 'string' && value.length > 0 && value.length <= longestText && !value.includes('\u0000'),
  schema: { type: 'string', minLength: 1, maxLength: longestText },
};
/** A word of a list; another word is told by name, where the list is known. */
const wordOf = (words: readonly string[]): Shape => ({ ...text, schema: { enum: words } });
/** A word of a list, and nothing else. */
const oneOf = (words: readonly (string | number)[]): Shape => ({
  fits: (value) => words.some((word) => word === value),
  schema: { enum: words },
});
const number = (minimum: number, maximum: number): Shape => ({
  fits: (value) => typeof value === 'number' && value >= minimum && value <= maximum,
  schema: { type: 'number', minimum, maximum },
});
const whole = (minimum: number, maximum: number): Shape => ({
  fits: (value) => Number.isInteger(value) && number(minimum, maximum).fits(value),
  schema: { type: 'integer', minimum, maximum },
});
const flag: Shape = { fits: (value) => typeof value === 'boolean', schema: { type: 'boolean' } };
const orNull = ({ fits, schema }: Shape): Shape => ({
  fits: (value) => value === null || fits(value),
  schema: { anyOf: [schema, { type: 'null' }] },
});
const listOf = ({ fits, schema }: Shape, maxItems = 60): Shape => ({
  fits: (value) => Array.isArray(value) && value.length <= maxItems && value.every(fits),
  schema: { type: 'array', maxItems, items: schema },
});
const mapOf = ({ fits, schema }: Shape): Shape => ({
  fits: (value) => isFields(value) && Object.keys(value).every((key) => key !== '__proto__') && Object.values(value).every(fits),
  schema: { type: 'object', additionalProperties: schema },
});
/** An object with these fields and no others; a field marked optional may be left out. */
const fieldsOf = (shapes: Readonly<Record<string, Shape>>, optional: readonly string[] = []): Shape => ({
  fits: (value) =>
    isFields(value) &&
    Object.keys(value).every((key) => Object.hasOwn(shapes, key)) &&
    Object.entries(shapes).every(([key, shape]) => (value[key] === undefined ? optional.includes(key) : shape.fits(value[key]))),
  schema: {
    type: 'object',
    additionalProperties: false,
    required: Object.keys(shapes).filter((key) => !optional.includes(key)),
    properties: Object.fromEntries(Object.entries(shapes).map(([key, { schema }]) => [key, schema])),
  },
});

const slug: Shape = { ...text, schema: { type: 'string', pattern: '^[a-z0-9]+(-[a-z0-9]+)*$' } };
const prerequisite = fieldsOf({ movement: slug, mark: wordOf(marks), stage: whole(1, 20) }, ['stage']);
const anyText: Shape = { fits: (value) => typeof value === 'string', schema: text.schema };

export const tierFields: ReadonlySet<string> = new Set(['what', 'fromGrade', 'equipment', 'adult', 'prerequisites', 'dose']);

/** What a version of a movement may say beside what changes, which is asked by name. */
const tier: Shape = {
  fits: (value) =>
    isFields(value) &&
    (value['fromGrade'] === undefined || orNull(text).fits(value['fromGrade'])) &&
    (value['equipment'] === undefined || listOf(text).fits(value['equipment'])) &&
    (value['adult'] === undefined || oneOf(adultNeeds).fits(value['adult'])) &&
    (value['prerequisites'] === undefined || listOf(prerequisite).fits(value['prerequisites'])),
  schema: {
    type: 'object',
    additionalProperties: false,
    required: ['what'],
    properties: {
      what: text.schema,
      fromGrade: orNull(text).schema,
      equipment: listOf(text).schema,
      adult: oneOf(adultNeeds).schema,
      prerequisites: listOf(prerequisite).schema,
      dose: { $ref: '#/$defs/dose' },
    },
  },
};

/** What each field looks like; what it may hold beyond that is checked by name elsewhere. */
export const fieldShapes: Readonly<Record<string, Shape>> = {
  name: text,
  plainMeaning: text,
  programmes: listOf(slug),
  sections: listOf(wordOf(sectionKinds)),
  prepares: listOf(wordOf(regions)),
  lengthens: listOf(wordOf(regions)),
  hazards: listOf(wordOf(hazards)),
  undoneBy: listOf(slug),
  leadsTo: listOf(slug),
  cues: listOf(text),
  cautions: listOf(text),
  figure: listOf(text, mostSteps),
  loads: listOf(fieldsOf({ region: wordOf(regions), amount: whole(1, 3) })),
  term: orNull(
    fieldsOf({ text, language: text, sayIt: text, meaning: anyText, variants: listOf(fieldsOf({ text, sayIt: text, where: text }), 6) }, [
      'variants',
    ]),
  ),
  posture: fieldsOf({ from: wordOf(postures), through: listOf(wordOf(postures)), to: wordOf(postures) }, ['through']),
  picture: orNull(text),
  support: orNull(text),
  instead: orNull(slug),
  leastAge: whole(2, 18),
  stages: listOf(fieldsOf({ name: text, see: text }), 20),
  prerequisites: listOf(prerequisite),
  faults: listOf(fieldsOf({ slug, name: text, fix: text, stops: flag })),
  view: orNull(fieldsOf({ facing: oneOf(facings), framing: wordOf(framings) })),
  equipmentStandIns: mapOf(listOf(text)),
  phrase: fieldsOf({
    beats: oneOf(metres),
    learnBpm: number(phraseLimits.bpm.least, phraseLimits.bpm.most),
    bpm: number(phraseLimits.bpm.least, phraseLimits.bpm.most),
    countIn: whole(phraseLimits.countIn.least, phraseLimits.countIn.most),
    startWeight: oneOf(['left', 'right', 'both']),
    startFacing: whole(1, 8),
    endsAtStart: flag,
    text: {
      fits: (value) => typeof value === 'string' && value.length <= phraseLimits.text && !value.includes('\u0000'),
      schema: { type: 'string', maxLength: phraseLimits.text },
    },
  }),
  needs: fieldsOf(
    {
      surface: {
        fits: (value) => value === 'any-dry' || listOf(text).fits(value),
        schema: { anyOf: [{ const: 'any-dry' }, listOf(wordOf(surfaces)).schema] },
      },
      footprint: fieldsOf({ lengthM: number(0, 50), widthM: number(0, 50) }),
      inLittleRoom: fieldsOf({ how: oneOf(littleRoomWays), lengthM: number(0, 50), widthM: number(0, 50) }),
      headroomM: number(0, 20),
      equipment: listOf(text),
      wall: flag,
      partner: flag,
      adult: oneOf(adultNeeds),
      quiet: oneOf(['quiet', 'some-noise', 'loud']),
    },
    ['surface', 'footprint', 'inLittleRoom', 'headroomM', 'equipment', 'wall', 'partner', 'adult', 'quiet'],
  ),
  tiers: {
    ...mapOf(tier),
    schema: { type: 'object', additionalProperties: false, properties: Object.fromEntries(tierNames.map((name) => [name, tier.schema])) },
  },
};
