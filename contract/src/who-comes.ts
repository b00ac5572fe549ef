import type { ExpectedChild } from './class.js';

type Coming = Pick<ExpectedChild, 'attendance'>;

/** Expected in a class: nobody told that it stays away. */
export const isExpected = ({ attendance }: Coming): boolean => attendance !== 'absent';

/** There, as far as is known: who watches the recording later is expected, and not there. */
export const isThere = ({ attendance }: Coming): boolean => attendance !== 'absent' && attendance !== 'watched';
