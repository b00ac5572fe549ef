/** What the browser keeps of the API: enough to teach a class and mark it. Gone when somebody signs out or in. */
export const keptAnswers = 'leiter-answers';
/** Words of the voice: they belong to nobody and never change. */
export const keptClips = 'leiter-clips';
/** Set on an answer that was kept: the server was not there. */
export const keptHeader = 'x-leiter-kept';

/** So long an answer is kept at most. */
const mostDays = 4;

/** What is asked to open a class, teach it and mark it. */
export const readsOfAClass =
  /^\/api\/(?:session|today|library|syllabuses|plan-templates|gradings\/[\w-]+|classes\/[\w-]+(?:\/taught)?|groups\/[\w-]+\/board)$/;

/** The answer of the server; where there is none, the one before. Nothing is kept of who is not signed in any more. */
export async function freshOrKept(request: Request): Promise<Response> {
  const cache = await caches.open(keptAnswers);
  try {
    const answer = await fetch(request);
    if (answer.status === 401) await caches.delete(keptAnswers);
    else if (answer.ok) await cache.put(request.url, answer.clone());
    if (answer.status < 500) return answer;
    return (await keptIn(cache, request)) ?? answer;
  } catch (error) {
    const kept = await keptIn(cache, request);
    if (kept) return kept;
    throw error;
  }
}

async function keptIn(cache: Cache, request: Request): Promise<Response | null> {
  const kept = await cache.match(request.url);
  if (!kept) return null;
  const since = Date.now() - Date.parse(kept.headers.get('date') ?? '');
  if (!(since < mostDays * 24 * 3600 * 1000)) {
    await cache.delete(request.url);
    return null;
  }
  const headers = new Headers(kept.headers);
  headers.set(keptHeader, 'yes');
  return new Response(await kept.arrayBuffer(), { status: kept.status, headers });
}

export async function keptFirst(request: Request): Promise<Response> {
  const cache = await caches.open(keptClips);
  const kept = await cache.match(request.url);
  if (kept) return kept;
  const answer = await fetch(request);
  if (answer.ok) await cache.put(request.url, answer.clone());
  return answer;
}
