import type { Side } from '../values/side.js';
import type { LimbAngles } from '../figure/pose.js';
import { pointing } from '../figure/poses/limbs.js';
import { fistAtHip } from '../figure/poses/arms.js';

const still: LimbAngles = { flex: 0, abduct: 6, rotate: 0, bend: 0, end: 0 };
const arm = (angles: Partial<LimbAngles>): LimbAngles => ({ ...still, ...angles });

/** Ways of holding an arm that have a name, as they are drawn; one that hangs is `hanging`. */
const shapes: Readonly<Record<string, LimbAngles>> = {
  hanging: still,
  low: pointing(22, 55, 38, 0, -62),
  'low v': arm({ abduct: 42 }),
  'high v': arm({ abduct: 140 }),
  first: pointing(62, 42, 62, 0, -88),
  round: pointing(62, 42, 62, 0, -88),
  second: pointing(78, 72, 18, 0, -60),
  open: pointing(78, 72, 18, 0, -60),
  side: arm({ abduct: 86 }),
  'to the side': arm({ abduct: 86 }),
  third: pointing(62, 42, 62, 0, -88),
  fifth: pointing(160, 62, 34, 0, -30),
  high: pointing(160, 62, 34, 0, -30),
  up: arm({ flex: 174 }),
  'by the ears': arm({ flex: 176 }),
  ahead: arm({ flex: 90 }),
  front: arm({ flex: 90 }),
  back: arm({ flex: -38, abduct: 10 }),
  hip: arm({ flex: -14, abduct: 46, rotate: -78, bend: 98 }),
  hips: arm({ flex: -14, abduct: 46, rotate: -78, bend: 98 }),
  waist: arm({ flex: -14, abduct: 46, rotate: -78, bend: 98 }),
  guard: pointing(34, 35, 140, 0, -18),
  fists: pointing(24, 40, 62, 0, -45),
  'fists ahead': pointing(24, 40, 62, 0, -45),
  crossed: pointing(38, 30, 112, 0, -70),
  'fist at hip': arm(fistAtHip),
};

/** What one hand does while the other is drawn back to the hip. */
const techniques: Readonly<Record<string, LimbAngles>> = {
  'low block': arm({ flex: 34, abduct: 4 }),
  'rising block': arm({ flex: 132, abduct: 4, rotate: -30, bend: 74 }),
  'outside-in block': arm({ flex: 62, abduct: 0, rotate: -18, bend: 88 }),
  'inside-out block': arm({ flex: 58, abduct: 20, rotate: 14, bend: 84 }),
  'lunge punch': arm({ flex: 88, abduct: -4 }),
  'reverse punch': arm({ flex: 88, abduct: -4 }),
  punch: arm({ flex: 88, abduct: -4 }),
  'knife-hand block': arm({ flex: 70, abduct: 16, bend: 52 }),
};
/** From the guard, to which the other hand goes back. */
const fromGuard: Readonly<Record<string, LimbAngles>> = { jab: arm({ flex: 90, abduct: -2 }), cross: arm({ flex: 90, abduct: -8 }) };

/** Both arms; null for one of which nothing is said. */
export interface ArmsShown {
  readonly left: LimbAngles | null;
  readonly right: LimbAngles | null;
}

/** The names that can be drawn, for who writes them. */
export const armNames: readonly string[] = [...Object.keys(shapes), ...Object.keys(techniques), ...Object.keys(fromGuard), 'opposition'];

const longestFirst = armNames.toSorted((a, b) => b.length - a.length);

interface Said {
  readonly name: string;
  readonly side: Side | null;
}

/** The names in the order in which they are said, each with the side before it, or right after it: `R high and L hip`, `punch R`. */
function saidIn(words: string): readonly Said[] {
  const said: Said[] = [];
  let rest = words.trim().toLowerCase();
  let side: Said['side'] = null;
  while (rest !== '') {
    const name = longestFirst.find((one) => rest === one || (rest.startsWith(one) && !/[a-z-]/.test(rest[one.length] ?? '')));
    const foot = /^(l|r|left|right)\b/.exec(rest)?.[1];
    if (name !== undefined) {
      rest = rest.slice(name.length).trimStart();
      const after = /^(l|r|left|right)\b/.exec(rest)?.[1];
      const isNext = side === null && after !== undefined;
      said.push({ name, side: isNext ? (after.startsWith('l') ? 'left' : 'right') : side });
      if (isNext) rest = rest.slice(after.length);
      side = null;
    } else if (foot !== undefined) {
      side = foot.startsWith('l') ? 'left' : 'right';
      rest = rest.slice(foot.length);
    } else rest = rest.replace(/^[^\s,;]*[\s,;]*/, '');
    rest = rest.replace(/^[\s,;]+/, '');
  }
  return said;
}

/**
 * How the arms are held by what is written of them. A technique of one hand draws the other one back to the hip, or to the guard. Of `low through
 * first to high` the last is where they come to. Words that nobody can draw say nothing.
 * @param foot that steps: in opposition the other arm swings ahead
 */
export function armsFrom(words: string | null, foot: 'left' | 'right' | 'both' | null): ArmsShown {
  let [left, right]: [LimbAngles | null, LimbAngles | null] = [null, null];
  for (const { name, side } of words === null ? [] : saidIn(words)) {
    if (name === 'opposition') {
      const [swung, behind] = [arm({ flex: 34, bend: 18 }), arm({ flex: -26, bend: 10 })];
      [left, right] = foot === 'left' ? [behind, swung] : [swung, behind];
      continue;
    }
    const technique = techniques[name] ?? fromGuard[name];
    const angles = shapes[name] ?? technique ?? still;
    if (technique) {
      const other = name in fromGuard ? (shapes['guard'] ?? still) : arm(fistAtHip);
      [left, right] = side === 'left' ? [angles, other] : [other, angles];
    } else if (side === 'left') left = angles;
    else if (side === 'right') right = angles;
    else [left, right] = [angles, angles];
  }
  return { left, right };
}
