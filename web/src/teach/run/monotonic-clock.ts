/**
 * Milliseconds of a clock that never jumps while the page lives: it is not moved by changes of the machine's clock and does
 * not slow down in a tab in the background. Counted from 1970, so that a run goes on after a reload.
 */
export function monotonicNow(): number {
  return performance.timeOrigin + performance.now();
}
