/** Time for the page that is opened first: it has what it needs before anything is kept for later. */
const quietMilliseconds = 4000;

let ready: Promise<boolean> | null = null;

/**
 * Has this browser keep the interface and what a class needs, so that one is taught without a connection.
 * @returns whether it does: not where a page came without TLS over a network, nor where the browser keeps nothing
 */
export function atHand(): Promise<boolean> {
  ready ??= register();
  return ready;
}

async function register(): Promise<boolean> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return false;
  const { serviceWorker } = navigator;
  if (!serviceWorker.controller) await new Promise((resolve) => setTimeout(resolve, quietMilliseconds));
  try {
    await serviceWorker.register('/sw.js');
    await serviceWorker.ready;
    if (!serviceWorker.controller)
      await new Promise((resolve) => {
        serviceWorker.addEventListener('controllerchange', resolve, { once: true });
      });
    return true;
  } catch {
    return false;
  }
}
