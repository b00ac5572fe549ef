import type { Framing, Movement, Surface } from '../movement/movement.js';
import type { Metres } from '../values/unit.js';

/** Where an instructor teaches, and what the camera sees of it. */
export interface TeachingRoom {
  /** The floor there; left out where it was not told. */
  readonly surface?: Surface;
  readonly clearLengthM: Metres;
  readonly clearWidthM: Metres;
  /** From the camera to where the instructor stands. */
  readonly cameraDistanceM: Metres;
  readonly cameraHeightM: Metres;
  /** How wide the camera sees, from side to side, in degrees: 60 to 90 for what is built into a laptop. */
  readonly viewAngleDegrees: number;
}

/** A picture of a video call is this much wider than high. */
const pictureRatio = 16 / 9;

/** What the frame shows at the distance of the instructor: width 2 d tan(a/2), height by the ratio of the picture. */
export function frameOf({ cameraDistanceM, viewAngleDegrees }: TeachingRoom): { readonly widthM: Metres; readonly heightM: Metres } {
  const widthM = 2 * cameraDistanceM * Math.tan((viewAngleDegrees * Math.PI) / 360);
  return { widthM, heightM: widthM / pictureRatio };
}

const frames = new WeakMap<TeachingRoom, ReturnType<typeof frameOf>>();

/** How high one reaches in a framing, with the arms; a child's teacher is taken as 1.75 m tall. */
const reachM: Readonly<Record<Framing, Metres>> = { standing: 2.2, jump: 2.6, travel: 2.2, floor: 1.2 };

/** Why a movement cannot be shown where the instructor teaches; null where it can. */
export function outOfRoom(movement: Movement, room: TeachingRoom): 'room' | 'frame-width' | 'frame-height' | null {
  const { lengthM, widthM } = movement.needs.footprint;
  const [long, short] = [Math.max(lengthM, widthM), Math.min(lengthM, widthM)];
  if (long > Math.max(room.clearLengthM, room.clearWidthM) || short > Math.min(room.clearLengthM, room.clearWidthM)) return 'room';
  if (!movement.view) return null;
  const frame = frames.get(room) ?? frameOf(room);
  frames.set(room, frame);
  // seen from the side a phrase goes along the width of the picture, seen from the front towards the camera
  const across = movement.view.facing === 'side' || movement.view.framing === 'travel' ? long : short;
  if (across > frame.widthM) return 'frame-width';
  return reachM[movement.view.framing] > frame.heightM ? 'frame-height' : null;
}
