export type Fields = Readonly<Record<string, unknown>>;

/** True for a value of the right shape; what it names is checked elsewhere. */
type Shape = (value: unknown) => boolean;

export const isFields = (value: unknown): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value);

const longestText = 600;
const isText: Shape = (value) => typeof value === 'string' && value.length > 0 && value.length <= longestText && !value.includes('\u0000');
const isNumber =
  (least: number, most: number): Shape =>
  (value) =>
    typeof value === 'number' && value >= least && value <= most;
const isFlag: Shape = (value) => typeof value === 'boolean';
const orNull =
  (shape: Shape): Shape =>
  (value) =>
    value === null || shape(value);
const listOf =
  (shape: Shape, most = 60): Shape =>
  (value) =>
    Array.isArray(value) && value.length <= most && value.every(shape);
/** An object with these fields and no others; a field marked optional may be left out. */
const fieldsOf =
  (shapes: Readonly<Record<string, Shape>>, optional: readonly string[] = []): Shape =>
  (value) =>
    isFields(value) &&
    Object.keys(value).every((key) => key in shapes) &&
    Object.entries(shapes).every(([key, shape]) => (value[key] === undefined ? optional.includes(key) : shape(value[key])));

const isPrerequisite = fieldsOf({ movement: isText, mark: isText, stage: isNumber(1, 20) }, ['stage']);

/** What each field looks like; what it may hold beyond that is checked by name elsewhere. */
export const fieldShapes: Readonly<Record<string, Shape>> = {
  name: isText,
  plainMeaning: isText,
  programmes: listOf(isText),
  sections: listOf(isText),
  prepares: listOf(isText),
  lengthens: listOf(isText),
  hazards: listOf(isText),
  undoneBy: listOf(isText),
  leadsTo: listOf(isText),
  cues: listOf(isText),
  cautions: listOf(isText),
  figure: listOf(isText),
  loads: listOf(fieldsOf({ region: isText, amount: isNumber(1, 3) })),
  term: orNull(fieldsOf({ text: isText, language: isText, sayIt: isText, meaning: (value) => typeof value === 'string' })),
  posture: fieldsOf({ from: isText, through: listOf(isText), to: isText }, ['through']),
  picture: orNull(isText),
  support: orNull(isText),
  instead: orNull(isText),
  leastAge: isNumber(2, 18),
  stages: listOf(fieldsOf({ name: isText, see: isText }), 20),
  prerequisites: listOf(isPrerequisite),
  faults: listOf(fieldsOf({ slug: isText, name: isText, fix: isText, stops: isFlag })),
  view: orNull(fieldsOf({ facing: (value) => value === 'front' || value === 'side' || value === 'back', framing: isText })),
  equipmentStandIns: (value) => isFields(value) && Object.values(value).every(listOf(isText)),
  needs: fieldsOf(
    {
      surface: (value) => value === 'any-dry' || listOf(isText)(value),
      footprint: fieldsOf({ lengthM: isNumber(0, 50), widthM: isNumber(0, 50) }),
      headroomM: isNumber(0, 20),
      equipment: listOf(isText),
      wall: isFlag,
      partner: isFlag,
      adult: (value) => value === 'none' || value === 'at-hand' || value === 'hands-on',
      quiet: (value) => value === 'quiet' || value === 'some-noise' || value === 'loud',
    },
    ['surface', 'footprint', 'headroomM', 'equipment', 'wall', 'partner', 'adult', 'quiet'],
  ),
  tiers: (value) =>
    isFields(value) &&
    Object.values(value).every(
      (tier) =>
        isFields(tier) &&
        (tier['fromGrade'] === undefined || orNull(isText)(tier['fromGrade'])) &&
        (tier['equipment'] === undefined || listOf(isText)(tier['equipment'])) &&
        (tier['prerequisites'] === undefined || listOf(isPrerequisite)(tier['prerequisites'])),
    ),
};
