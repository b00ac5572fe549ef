/** Time for what is seen first. */
const quietMilliseconds = 2000;

/** Has the phone keep this page, so that it opens without a connection; its data keeps `home-client`. */
export async function keepHere(): Promise<void> {
  if (!import.meta.env.PROD || !('serviceWorker' in navigator)) return;
  if (!navigator.serviceWorker.controller) await new Promise((resolve) => setTimeout(resolve, quietMilliseconds));
  // not where a page came without TLS over a network: then it is there while there is a connection
  await navigator.serviceWorker.register('/home-sw.js', { scope: '/home' }).catch(() => undefined);
}
