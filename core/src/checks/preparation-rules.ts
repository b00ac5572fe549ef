import { preparationSettings, type PreparationSettings } from '../preparation/settings.js';
import { numberIn, ruleNumber, type ClubRules } from './club-rules.js';

/** From what a body is warm; of the checks of cold bodies. */
export const warmFrom = ruleNumber({
  id: 'cold-load.warm-from',
  words: 'A body is warm from',
  unit: 'effort-seconds',
  usual: preparationSettings.warmEffortSeconds,
  least: 60,
  most: 900,
});

export const coolsAfter = ruleNumber({
  id: 'cooled-off.after',
  words: 'A warm body has cooled off after standing or moving gently for',
  unit: 'minutes',
  usual: preparationSettings.coolSeconds / 60,
  least: 1,
  most: 15,
});

export const staysReady = ruleNumber({
  id: 'unprepared-region.ready-for',
  words: 'What was readied stays ready for',
  unit: 'minutes',
  usual: preparationSettings.preparedForSeconds / 60,
  least: 3,
  most: 60,
});

const known = new WeakMap<ClubRules, PreparationSettings>();

/** When bodies are warm, cooled off and prepared in a club; for the same rules the same object. */
export function preparationIn(rules: ClubRules): PreparationSettings {
  const context = { rules };
  const found = known.get(rules) ?? {
    ...preparationSettings,
    warmEffortSeconds: numberIn(context, warmFrom),
    coolSeconds: numberIn(context, coolsAfter) * 60,
    preparedForSeconds: numberIn(context, staysReady) * 60,
  };
  known.set(rules, found);
  return found;
}
