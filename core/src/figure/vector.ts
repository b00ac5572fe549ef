/** A point or direction in body lengths: x to the child's left, y up, z the way the child faces. */
export type Vector = readonly [x: number, y: number, z: number];

/** A rotation as nine numbers, row by row. */
export type Rotation = readonly [number, number, number, number, number, number, number, number, number];

export type Degrees = number;

const radians = Math.PI / 180;

export function add(a: Vector, b: Vector): Vector {
  return [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
}

export function scaled(a: Vector, factor: number): Vector {
  return [a[0] * factor, a[1] * factor, a[2] * factor];
}

export function minus(a: Vector, b: Vector): Vector {
  return [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
}

export function dot(a: Vector, b: Vector): number {
  return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
}

export function lengthOf(v: Vector): number {
  return Math.hypot(v[0], v[1], v[2]);
}

/** A point on the way from one to another. @param share from 0 to 1 */
export function between(from: Vector, to: Vector, share: number): Vector {
  return [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share, from[2] + (to[2] - from[2]) * share];
}

/** The turn back. */
export function transposed(r: Rotation): Rotation {
  return [r[0], r[3], r[6], r[1], r[4], r[7], r[2], r[5], r[8]];
}

/** About an axis of length 1 (Rodrigues). */
export function aboutAxis([x, y, z]: Vector, degrees: Degrees): Rotation {
  const [c, s] = [Math.cos(degrees * radians), Math.sin(degrees * radians)];
  const t = 1 - c;
  return [
    t * x * x + c,
    t * x * y - s * z,
    t * x * z + s * y,
    t * x * y + s * z,
    t * y * y + c,
    t * y * z - s * x,
    t * x * z - s * y,
    t * y * z + s * x,
    t * z * z + c,
  ];
}

/** The shortest turn that makes one direction into another; neither is of length 0. */
export function turnBetween(from: Vector, to: Vector): Rotation {
  const [a, b] = [scaled(from, 1 / lengthOf(from)), scaled(to, 1 / lengthOf(to))];
  const cross: Vector = [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
  const sine = lengthOf(cross);
  if (sine < 1e-9) {
    if (dot(a, b) > 0) return aboutAxis([1, 0, 0], 0);
    const aside: Vector = Math.abs(a[0]) < 0.9 ? [0, -a[2], a[1]] : [a[2], 0, -a[0]];
    return aboutAxis(scaled(aside, 1 / lengthOf(aside)), 180);
  }
  return aboutAxis(scaled(cross, 1 / sine), Math.atan2(sine, dot(a, b)) / radians);
}

/** Turns a vector. */
export function turned(r: Rotation, v: Vector): Vector {
  return [r[0] * v[0] + r[1] * v[1] + r[2] * v[2], r[3] * v[0] + r[4] * v[1] + r[5] * v[2], r[6] * v[0] + r[7] * v[1] + r[8] * v[2]];
}

/** First `b`, then `a`. */
export function after(a: Rotation, b: Rotation): Rotation {
  return [
    a[0] * b[0] + a[1] * b[3] + a[2] * b[6],
    a[0] * b[1] + a[1] * b[4] + a[2] * b[7],
    a[0] * b[2] + a[1] * b[5] + a[2] * b[8],
    a[3] * b[0] + a[4] * b[3] + a[5] * b[6],
    a[3] * b[1] + a[4] * b[4] + a[5] * b[7],
    a[3] * b[2] + a[4] * b[5] + a[5] * b[8],
    a[6] * b[0] + a[7] * b[3] + a[8] * b[6],
    a[6] * b[1] + a[7] * b[4] + a[8] * b[7],
    a[6] * b[2] + a[7] * b[5] + a[8] * b[8],
  ];
}

/** About the axis that points to the child's left: what points up comes forward. */
export function aboutX(degrees: Degrees): Rotation {
  const [c, s] = [Math.cos(degrees * radians), Math.sin(degrees * radians)];
  return [1, 0, 0, 0, c, -s, 0, s, c];
}

/** About the axis that points up: what points forward comes to the left. */
export function aboutY(degrees: Degrees): Rotation {
  const [c, s] = [Math.cos(degrees * radians), Math.sin(degrees * radians)];
  return [c, 0, s, 0, 1, 0, -s, 0, c];
}

/** About the axis that points forward: what points to the left comes up. */
export function aboutZ(degrees: Degrees): Rotation {
  const [c, s] = [Math.cos(degrees * radians), Math.sin(degrees * radians)];
  return [c, -s, 0, s, c, 0, 0, 0, 1];
}
