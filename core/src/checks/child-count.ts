/** @returns `one child`, `3 children` */
export const childCount = (count: number): string => (count === 1 ? 'one child' : `${String(count)} children`);
