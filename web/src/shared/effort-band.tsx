import { t } from '@lingui/core/macro';
import { effortWord, type Effort } from '@leiter/core';
import { effortColours } from './palette';

/** Each step of effort has a colour, an edge pattern and a word, so that colour is never alone. */
const patterns: Readonly<Record<Effort, string>> = {
  0: 'none',
  1: 'radial-gradient(circle, rgba(29,43,48,.55) 1px, transparent 1.3px)',
  2: 'repeating-linear-gradient(0deg, rgba(29,43,48,.4) 0 1px, transparent 1px 6px)',
  3: 'repeating-linear-gradient(45deg, rgba(29,43,48,.45) 0 1.3px, transparent 1.3px 6px)',
  4: 'repeating-linear-gradient(45deg, rgba(29,43,48,.5) 0 1.3px, transparent 1.3px 5px), repeating-linear-gradient(-45deg, rgba(29,43,48,.5) 0 1.3px, transparent 1.3px 5px)',
};

export function EffortBand({ effort, width = 16 }: { readonly effort: Effort; readonly width?: number }) {
  return (
    <span
      role="img"
      aria-label={t`effort ${effortWord(effort)}`}
      title={t`Effort: ${effortWord(effort)}`}
      style={{
        display: 'block',
        width,
        alignSelf: 'stretch',
        flexShrink: 0,
        backgroundColor: effortColours[effort],
        backgroundImage: patterns[effort],
        backgroundSize: effort === 1 ? '5px 5px' : undefined,
      }}
    />
  );
}
