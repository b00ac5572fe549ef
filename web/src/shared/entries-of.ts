/** So long the page may be held up by reading, before it may draw and answer in between. */
const mostMilliseconds = 8;

/** A turn of everybody else. Not by a timer: those of a page that is hidden go off once a second. */
const forOthers = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });

/**
 * Reads a list in JSON while it comes, where each entry has a line of its own (as `GET /api/library` answers); any other list is read at its end.
 * @param onSome all that was read so far, again and again: the list itself, which grows; not after the last. Reading goes on when what it promises is there
 * @returns all of them; the type is what the caller was promised
 * @throws SyntaxError for what is not JSON or was cut off, what the body throws where the connection ends
 */
export async function entriesOf<Entry>(
  response: Response,
  onSome: (entries: readonly Entry[]) => Promise<void> | undefined,
): Promise<readonly Entry[]> {
  if (!response.body) return (await response.json()) as readonly Entry[]; // see above
  const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
  const entries: Entry[] = [];
  let isByLine: boolean | null = null;
  let rest = '';
  let begun = performance.now();
  for (;;) {
    const { done, value = '' } = await reader.read();
    rest += value;
    isByLine ??= rest.length < 2 ? null : rest.startsWith('[\n');
    if (done) break;
    const end = isByLine === true ? rest.lastIndexOf('\n') : -1;
    if (end < 0) continue;
    const lines = rest.slice(0, end).split('\n');
    rest = rest.slice(end + 1);
    for (const line of lines) {
      if (line === '[' || line === '') continue;
      entries.push(JSON.parse(line.endsWith(',') ? line.slice(0, -1) : line) as Entry); // see above
      if (performance.now() - begun < mostMilliseconds) continue;
      await (onSome(entries) ?? forOthers());
      begun = performance.now();
    }
  }
  if (isByLine !== true) return JSON.parse(rest) as readonly Entry[]; // see above
  if (rest.trim() !== ']') throw new SyntaxError('The list was cut off.');
  return entries;
}
