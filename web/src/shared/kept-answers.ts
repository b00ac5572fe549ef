/** The names under which the service worker (offline/kept.ts) keeps what a class needs. */
const keptAnswers = 'leiter-answers';

/** Where this browser keeps nothing, nothing is forgotten. */
export async function forgetKeptAnswers(): Promise<void> {
  if ('caches' in window) await caches.delete(keptAnswers).catch(() => false);
}

/** Has what the API answers under these paths kept, where it is not yet. @returns whether all of it is */
export async function keepAnswers(paths: readonly string[]): Promise<boolean> {
  const cache = await caches.open(keptAnswers);
  for (const path of paths) {
    const url = new URL(`/api/${path}`, location.origin).href;
    if (!(await cache.match(url))) await fetch(url, { credentials: 'same-origin' }).catch(() => null);
  }
  const kept = await Promise.all(paths.map((path) => cache.match(new URL(`/api/${path}`, location.origin).href)));
  return kept.every((answer) => answer !== undefined);
}
