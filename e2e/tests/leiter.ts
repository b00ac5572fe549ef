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

  /** Ends the server itself, as a crash would. */
  killServer(): void {
    const found = spawnSync('pgrep', ['-P', String(this.process?.pid ?? 0), '-f', 'server/dist/main.js'], { encoding: 'utf8' });
    process.kill(Number(found.stdout.trim()), 'SIGKILL');
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

const names: Readonly<Record<DemoPerson, string>> = {
  owner: 'Solveig Aune',
  gymnastics: 'Tomasz Bielik',
  dance: 'Amara Osei-Lund',
  'martial-arts': 'Kenji Marwick',
  assistant: 'Runa Petrie',
};

export async function signIn(page: Page, leiter: Leiter, person: DemoPerson): Promise<void> {
  await page.goto(`${leiter.url}/sign-in`);
  await page.getByRole('button', { name: names[person] }).click();
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();
}

/** What the API answers the person who is signed in on the page. */
export async function ask<Answer>(page: Page, path: string): Promise<Answer> {
  const answer = await page.request.get(new URL(`/api/${path}`, page.url()).href);
  expect(answer.ok(), `${path}: ${String(answer.status())}`).toBe(true);
  return (await answer.json()) as Answer;
}

export interface Coming {
  readonly group: { readonly id: string; readonly name: string; readonly programme: string };
  readonly class: { readonly id: string; readonly hasPlan: boolean } | null;
}

/** The class to come of a group, of a programme or by its name, that nobody has planned yet. */
export async function openClass(page: Page, wanted: string): Promise<{ readonly id: string; readonly group: Coming['group'] }> {
  const coming = await ask<readonly Coming[]>(page, 'coming-classes');
  const open = coming.find((one) => (one.group.programme === wanted || one.group.name === wanted) && one.class && !one.class.hasPlan);
  if (!open?.class) throw new Error(`no open class of ${wanted}`);
  return { id: open.class.id, group: open.group };
}

let classesMade = 0;

/** A class of a programme that no other test has touched: on a day far ahead, not planned. @returns its id. */
export async function freshClass(page: Page, programme: string): Promise<string> {
  const groups = await ask<readonly { readonly id: string; readonly programme: string }[]>(page, 'groups');
  const group = groups.find((one) => one.programme === programme);
  classesMade += 1;
  const day = `2030-01-${String(classesMade).padStart(2, '0')}`;
  const made = await page.request.post(new URL('/api/classes', page.url()).href, { data: { groupId: group?.id, day } });
  expect(made.status()).toBe(201);
  return ((await made.json()) as { readonly id: string }).id;
}

/** Tests with one Leiter for all of a file, filled with the demo club. */
export const test = base.extend<object, { leiter: Leiter }>({
  leiter: [
    // eslint-disable-next-line no-empty-pattern -- Playwright reads the names of the fixtures from the pattern
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
