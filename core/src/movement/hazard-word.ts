import type { Hazard } from './hazard.js';

const hazardWords: Readonly<Record<Hazard, string>> = {
  'weight-on-hands': 'weight on the hands',
  inverted: 'being upside down',
  'back-bend': 'back bends',
  'neck-load': 'weight on the neck',
  'soft-landing': 'soft landings',
  'hard-landing': 'hard landings',
  split: 'splits',
  rotation: 'turning over',
  'travels-fast': 'going fast',
  'overhead-reach': 'reaching up',
};

/** @returns the hazard as one says it to a parent. */
export function hazardWord(hazard: Hazard): string {
  return hazardWords[hazard];
}
