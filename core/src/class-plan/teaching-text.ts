import { clockText } from '../values/clock-text.js';
import type { ItemTeaching } from './edit.js';

/** What an item says of how it is taught, in words: `watch, talk 2:00, in turns`; empty where all is as usual. */
export function teachingText({ way, explainSeconds, build, isCameraMoved, takesTurns }: ItemTeaching): string {
  return [
    way,
    explainSeconds === undefined ? undefined : `talk ${clockText(explainSeconds)}`,
    build && `first ${build.what}`,
    takesTurns ? 'in turns' : undefined,
    isCameraMoved ? 'move the camera' : undefined,
  ]
    .filter((word) => word !== undefined)
    .join(', ');
}
