/** In what a number of a check is written. */
export type RuleUnit = 'seconds' | 'minutes' | 'percent' | 'times' | 'items' | 'effort-seconds';

/** Of a number that grows with age, what holds up to an age in whole years, that one included. */
export interface AgeStep {
  readonly upToYears: number;
  readonly limit: number;
}

interface AboutNumber {
  /** Under this name a club keeps its own: `wrist-time.relief`, after the check whose number it is. */
  readonly id: `${string}.${string}`;
  /** What it is, as one asks for it. */
  readonly words: string;
  readonly unit: RuleUnit;
  /** What it may be, inclusive: beyond these it is a slip of the finger. */
  readonly least: number;
  readonly most: number;
}

/** A number of a check that a club may set otherwise. */
export interface RuleNumber extends AboutNumber {
  readonly usual: number;
}

/** One by age. The last step is for all who are older. */
export interface RuleByAge extends AboutNumber {
  readonly usual: readonly AgeStep[];
}

export type AnyRule = RuleNumber | RuleByAge;
export type RuleValue = number | readonly AgeStep[];

/** The age of the last step: older than anybody who is taught. */
export const everyAge = 99;

/** What a club holds otherwise than usual. */
export interface ClubRules {
  /** Checks that are not made in this club, with the reason that was given. */
  readonly off: readonly { readonly check: string; readonly reason: string }[];
  /** Numbers of its own by their names; what is not here is as usual. */
  readonly numbers: Readonly<Record<string, RuleValue>>;
}

/** Everything as usual. */
export const usualRules: ClubRules = { off: [], numbers: {} };

/** For a number of its own in a check. */
export const ruleNumber = (rule: RuleNumber): RuleNumber => rule;
/** For a number by age in a check. */
export const ruleByAge = (rule: RuleByAge): RuleByAge => rule;

/** The number that holds in a club, in the unit of the rule. */
export function numberIn({ rules }: { readonly rules: ClubRules }, { id, usual }: RuleNumber): number {
  const own = rules.numbers[id];
  return typeof own === 'number' ? own : usual;
}

/** The steps by age that hold in a club. */
export function stepsIn({ rules }: { readonly rules: ClubRules }, { id, usual }: RuleByAge): readonly AgeStep[] {
  const own = rules.numbers[id];
  return own === undefined || typeof own === 'number' ? usual : own;
}

/** What holds at an age in years; each is asked in whole years. */
export function limitAt(context: { readonly rules: ClubRules }, rule: RuleByAge): (ageYears: number) => number {
  const steps = stepsIn(context, rule);
  return (ageYears) => (steps.find(({ upToYears }) => Math.floor(ageYears) <= upToYears) ?? steps.at(-1))?.limit ?? Infinity;
}

export const isByAge = (rule: AnyRule): rule is RuleByAge => typeof rule.usual !== 'number';

const unitWords: Readonly<Record<RuleUnit, readonly [one: string, more: string]>> = {
  seconds: ['second', 'seconds'],
  minutes: ['minute', 'minutes'],
  percent: ['%', '%'],
  times: ['time', 'times'],
  items: ['item', 'items'],
  'effort-seconds': ['effort × seconds', 'effort × seconds'],
};

const inUnit = (value: number, unit: RuleUnit): string => `${String(value)} ${unitWords[unit][value === 1 ? 0 : 1]}`;

/** `40 %`, `1 minute`, `60 seconds up to 7 years, 90 when older`; effort × seconds as well as one knows it, by jogging. */
export function ruleValueWords(value: RuleValue, unit: RuleUnit): string {
  if (typeof value === 'number')
    return unit === 'effort-seconds'
      ? `${inUnit(value, unit)}, as ${inUnit(Math.round(value / 2), 'seconds')} of jogging on the spot`
      : inUnit(value, unit);
  return value
    .map(({ upToYears, limit }, index) => {
      const amount = index === 0 ? inUnit(limit, unit) : String(limit);
      if (index < value.length - 1) return `${amount} up to ${String(upToYears)} ${index === 0 ? 'years' : ''}`.trim();
      return index === 0 ? amount : `${amount} when older`;
    })
    .join(', ');
}

/**
 * Why a value cannot be kept, in words that say what is allowed; null where it can.
 * @param value as somebody sent it
 */
export function ruleRefusal(rule: AnyRule, value: RuleValue): string | null {
  const { least, most, unit } = rule;
  const range = `From ${String(least)} to ${inUnit(most, unit)}.`;
  const isIn = (one: number): boolean => Number.isFinite(one) && one >= least && one <= most;
  if (!isByAge(rule)) {
    if (typeof value !== 'number') return 'This number is the same at every age.';
    return isIn(value) ? null : range;
  }
  if (typeof value === 'number') return 'This number is told by age.';
  if (value.length < 1 || value.length > 6) return 'From one to six steps of age.';
  if (value.at(-1)?.upToYears !== everyAge) return 'The last step is for all who are older.';
  if (value.some(({ upToYears }, index) => !Number.isInteger(upToYears) || upToYears <= (value[index - 1]?.upToYears ?? 0)))
    return 'Ages in whole years, each step older than the one before.';
  return value.every(({ limit }) => isIn(limit)) ? null : range;
}

/** Whether two values say the same. */
export function sameRuleValue(one: RuleValue, other: RuleValue): boolean {
  if (typeof one === 'number' || typeof other === 'number') return one === other;
  return (
    one.length === other.length &&
    one.every(({ upToYears, limit }, index) => other[index]?.upToYears === upToYears && other[index].limit === limit)
  );
}

/** Whether a value is what is usual: then nothing of its own has to be kept. */
export const isUsual = ({ usual }: AnyRule, value: RuleValue): boolean => sameRuleValue(usual, value);
