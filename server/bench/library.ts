import { Agent, get } from 'node:http';
import { performance } from 'node:perf_hooks';
import { fileURLToPath } from 'node:url';
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { benchClub } from './bench-club.js';

/**
 * Measures how often the library is answered in a second: unchanged (304), compressed, and as it is; prints one JSON line per row.
 * Who asks is in a thread of its own, as browsers are elsewhere.
 */
const seconds = 4;
const connections = 16;

interface Asking {
  readonly address: string;
  readonly headers: Readonly<Record<string, string>>;
}

interface Answered {
  readonly perSecond: number;
  readonly status: number;
  readonly etag: string;
  readonly bytes: number;
}

/** Asks for so long over so many connections, after as long to warm up. */
async function ask({ address, headers }: Asking): Promise<Answered> {
  const agent = new Agent({ keepAlive: true, maxSockets: connections });
  const once = (): Promise<Omit<Answered, 'perSecond'>> =>
    new Promise((resolve, reject) => {
      get(address, { agent, headers }, (response) => {
        let bytes = 0;
        response.on('data', (chunk: Buffer) => (bytes += chunk.length));
        response.on('end', () => {
          resolve({ status: response.statusCode ?? 0, etag: response.headers.etag ?? '', bytes });
        });
      }).on('error', reject);
    });
  const forAWhile = async (): Promise<number> => {
    let answered = 0;
    const until = performance.now() + seconds * 1000;
    await Promise.all(
      Array.from({ length: connections }, async () => {
        while (performance.now() < until) {
          await once();
          answered += 1;
        }
      }),
    );
    return answered / seconds;
  };
  const answer = await once();
  await forAWhile();
  const perSecond = await forAWhile();
  agent.destroy();
  return { perSecond, ...answer };
}

function inAThread(asking: Asking): Promise<Answered> {
  return new Promise((resolve, reject) => {
    const thread = new Worker(fileURLToPath(import.meta.url), { workerData: asking });
    thread.once('message', resolve);
    thread.once('error', reject);
  });
}

if (isMainThread) {
  const club = await benchClub();
  const address = `${club.base}/library`;
  const cookie = club.cookies[0] ?? '';
  const { etag } = await inAThread({ address, headers: { cookie, 'accept-encoding': 'br' } });
  for (const [name, headers, limit, status] of [
    ['unchanged (304)', { 'if-none-match': etag, 'accept-encoding': 'br' }, 1000, 304],
    ['compressed (br)', { 'accept-encoding': 'br' }, 1000, 200],
    ['as it is', { 'accept-encoding': 'identity' }, null, 200],
  ] as const) {
    const answered = await inAThread({ address, headers: { cookie, ...headers } });
    if (answered.status !== status) throw new Error(`${name}: answered ${String(answered.status)}`);
    const { perSecond, bytes } = answered;
    console.log(JSON.stringify({ name: `library, ${name}`, perSecond, bytes, limit, connections }));
  }
  await club.close();
} else parentPort?.postMessage(await ask(workerData as Asking));
