/** A side of a body. */
export type Side = 'left' | 'right';
