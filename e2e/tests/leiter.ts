import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { fileURLToPath } from 'node:url';
import { test as base, expect, type Page } from '@playwright/test';

export const root = fileURLToPath(new URL('../../', import.meta.url));

async function freePort(): Promise<number> {
  const probe = createServer();
  await new Promise<void>((resolve) => probe.listen(0, '127.0.0.1', resolve));
  const address = probe.address();
  await new Promise((resolve) => probe.close(resolve));
  return address && typeof address === 'object' ? address.port : 0;
}

/** A Leiter of its own, started as a newcomer would, with data that is gone afterwards. */
export class Leiter {
  private process: ChildProcess | null = null;
  output = '';

  private constructor(
    readonly port: number,
    readonly databasePort: number,
    readonly folder: string,
  ) {}

  static async at(name: string): Promise<Leiter> {
    const leiter = new Leiter(await freePort(), await freePort(), `${root}.leiter-test/${name}-${String(process.pid)}`);
    rmSync(leiter.folder, { recursive: true, force: true });
    return leiter;
  }

  get url(): string {
    return `http://127.0.0.1:${String(this.port)}`;
  }

  get environment(): NodeJS.ProcessEnv {
    return {
      ...process.env,
      PORT: String(this.port),
      LEITER_PGPORT: String(this.databasePort),
      LEITER_FOLDER: this.folder,
      LEITER_DATABASE_URL: '',
    };
  }

  /** Resolves when it says where it is. @throws what it printed, when it ends instead. */
  async start(...options: readonly string[]): Promise<void> {
    this.output = '';
    const child = spawn(process.execPath, ['tools/start.mjs', ...options], { cwd: root, env: this.environment });
    this.process = child;
    await new Promise<void>((resolve, reject) => {
      const listen = (chunk: Buffer): void => {
        this.output += chunk.toString();
        if (this.output.includes(this.url)) resolve();
      };
      child.stdout.on('data', listen);
      child.stderr.on('data', listen);
      child.on('exit', (code) => {
        reject(new Error(`ended with ${String(code)}: ${this.output}`));
      });
    });
  }

  /** @returns its exit code. */
  async stop(signal: 'SIGTERM' | 'SIGINT' | 'SIGKILL' = 'SIGTERM'): Promise<number | null> {
    const child = this.process;
    if (!child) return null;
    if (child.exitCode !== null) return child.exitCode;
    child.kill(signal);
    await new Promise((resolve) => child.on('exit', resolve));
    return child.exitCode;
  }

  /** Ends the server itself, as a crash would; the one that stands by is younger. */
  killServer(): void {
    const found = spawnSync('pgrep', ['-o', '-P', String(this.process?.pid ?? 0), '-f', 'server/dist/leiter.mjs'], { encoding: 'utf8' });
    process.kill(Number(found.stdout.trim()), 'SIGKILL');
  }

  /** Takes the database away and holds back who would start it again. */
  takeDatabaseAway(): void {
    this.process?.kill('SIGSTOP');
    this.cluster('away');
  }

  bringDatabaseBack(): void {
    this.cluster('back');
    this.process?.kill('SIGCONT');
  }

  cluster(...args: readonly string[]): string {
    return spawnSync(process.execPath, ['tools/e2e-cluster.mjs', ...args], {
      cwd: root,
      env: this.environment,
      encoding: 'utf8',
    }).stdout.trim();
  }

  async remove(): Promise<void> {
    await this.stop();
    this.cluster('destroy');
    rmSync(this.folder, { recursive: true, force: true });
  }
}

export type DemoPerson = 'owner' | 'gymnastics' | 'dance' | 'martial-arts' | 'assistant';

const demoPassword = 'farholm-demo';

/** Where those signed in by a page are. */
const origins = new WeakMap<Page, string>();

/** Signs in as the form does, and opens nothing yet. That the form itself works, its own tests say. */
export async function signIn(page: Page, leiter: Leiter, person: DemoPerson): Promise<void> {
  const data = { email: `${person}@sail-loft.example`, password: demoPassword };
  expect((await page.request.post(`${leiter.url}/api/session`, { data })).status()).toBe(200);
  origins.set(page, leiter.url);
}

/** Signs in and stands on Today. */
export async function openToday(page: Page, leiter: Leiter, person: DemoPerson): Promise<void> {
  await signIn(page, leiter, person);
  await page.goto(leiter.url);
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();
}

/** An address of the API of the Leiter that a page is in. */
const apiAddress = (page: Page, path: string): string => new URL(`/api/${path}`, origins.get(page) ?? page.url()).href;

/** Everything that a page fetches has come, and it is painted. A page that is told what happens is never without a request. */
export async function settled(page: Page): Promise<void> {
  await expect(page.getByText(/^Fetching the /)).toHaveCount(0);
  await page.evaluate(async () => {
    await document.fonts.ready;
    for (let frame = 0; frame < 3; frame += 1) await new Promise(requestAnimationFrame);
  });
}

/** What the API answers the person who is signed in on the page. */
export async function ask<Answer>(page: Page, path: string): Promise<Answer> {
  const answer = await page.request.get(apiAddress(page, path));
  expect(answer.ok(), `${path}: ${String(answer.status())}`).toBe(true);
  return (await answer.json()) as Answer;
}

export interface Coming {
  readonly group: { readonly id: string; readonly name: string; readonly programme: string };
  readonly day: string;
  readonly class: { readonly id: string; readonly hasPlan: boolean } | null;
}

/** `Thu 26 Nov`, as pages write a day. */
export function dayText(day: string): string {
  const options = { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' } as const;
  return new Date(day).toLocaleDateString('en-GB', options).replace(',', '');
}

/** The class to come of a group, of a programme or by its name, that nobody has planned yet. */
export async function openClass(
  page: Page,
  wanted: string,
): Promise<{ readonly id: string; readonly group: Coming['group']; readonly day: string }> {
  const coming = await ask<readonly Coming[]>(page, 'coming-classes');
  const open = coming.find((one) => (one.group.programme === wanted || one.group.name === wanted) && one.class && !one.class.hasPlan);
  if (!open?.class) throw new Error(`no open class of ${wanted}`);
  return { id: open.class.id, group: open.group, day: open.day };
}

let classesMade = 0;

/** A class of a programme that no other test has touched: on a day far ahead, not planned. @returns its id. */
export async function freshClass(page: Page, programme: string): Promise<string> {
  const groups = await ask<readonly { readonly id: string; readonly programme: string }[]>(page, 'groups');
  const group = groups.find((one) => one.programme === programme);
  classesMade += 1;
  const day = new Date(Date.now() + (200 + classesMade) * 86_400_000).toISOString().slice(0, 10);
  const made = await page.request.post(apiAddress(page, 'classes'), { data: { groupId: group?.id, day } });
  expect(made.status()).toBe(201);
  return ((await made.json()) as { readonly id: string }).id;
}

/** Tests with one Leiter for all of a file, filled with the demo club. */
export const test = base.extend<object, { leiter: Leiter }>({
  leiter: [
    // oxlint-disable-next-line no-empty-pattern -- Playwright reads the names of the fixtures from the pattern
    async ({}, use) => {
      const leiter = await Leiter.at('shared');
      await leiter.start();
      await use(leiter);
      await leiter.remove();
    },
    { scope: 'worker', timeout: 180_000 },
  ],
});
export { expect } from '@playwright/test';
