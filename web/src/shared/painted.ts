/** A page that is hidden paints nothing: nobody waits longer for it. */
const mostMilliseconds = 150;

/** Is there when what was changed just now has been painted. */
export function painted(): Promise<void> {
  return new Promise((resolve) => {
    setTimeout(resolve, mostMilliseconds);
    // asked for in a frame of its own, for what was changed is drawn in a task that is still to come
    setTimeout(() => {
      requestAnimationFrame(() => {
        setTimeout(resolve);
      });
    });
  });
}
