import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import { Piscina } from 'piscina';
import { ProblemException } from '../http/problem.js';
import { root } from '../root.js';
import type { Answers, Tasks } from './tasks.js';

/** Heavy work runs beside, in threads, so that nobody else waits for it: what was built runs there, also where tests run the source. */
const script = `${root}server/dist/work/worker.js`;
const mostWaiting = 8;

/** A task was ended because it took longer than it may. */
export class TookTooLong extends Error {}

@Injectable()
export class WorkersService implements OnApplicationShutdown {
  private readonly pool = new Piscina({
    filename: script,
    minThreads: 0,
    maxThreads: 1,
    maxQueue: mostWaiting,
    idleTimeout: 60_000,
    // nothing of how this process was started, or of its secrets, goes along
    execArgv: [],
    env: {},
    // a thread that would take the whole machine ends instead
    resourceLimits: { maxOldGenerationSizeMb: 1024 },
  });

  /**
   * @param mostSeconds the thread is ended when it takes longer: of what strangers send, nobody knows how it is read
   * @throws TookTooLong, and 503 where too much waits already
   */
  async run<Name extends keyof Tasks>(name: Name, task: Tasks[Name], mostSeconds?: number): Promise<Answers[Name]> {
    const signal = mostSeconds === undefined ? undefined : AbortSignal.timeout(mostSeconds * 1000);
    return this.start(name, task, signal).catch((error: unknown) => {
      if (signal?.aborted) throw new TookTooLong();
      throw error;
    });
  }

  /**
   * Sets a document on paper, and says how many of its pages are set while it is at it.
   * @param signal ends it when nobody waits for it any more; left out, it is set to its end
   */
  async setPaper(
    document: object,
    pages: number,
    { onPages, signal }: { readonly onPages: (set: number) => void; readonly signal?: AbortSignal | undefined },
  ): Promise<Buffer> {
    const { port1, port2 } = new MessageChannel();
    port1.on('message', onPages);
    const task: Tasks['setPaper'] = { document, told: { port: port2, pages } };
    try {
      return Buffer.from(await this.start('setPaper', task, signal, [port2]));
    } finally {
      port1.close();
    }
  }

  /** @throws 503 where too much waits already */
  private async start<Name extends keyof Tasks>(
    name: Name,
    task: Tasks[Name],
    signal?: AbortSignal,
    transferList: readonly MessagePort[] = [],
  ): Promise<Answers[Name]> {
    try {
      return (await this.pool.run(task, { name, transferList: [...transferList], ...(signal ? { signal } : {}) })) as Answers[Name]; // each task is a function of that name in worker.ts
    } catch (error) {
      if (
        !signal?.aborted &&
        error instanceof Error &&
        /Task queue is at limit|ERR_WORKER_OUT_OF_MEMORY|terminating worker/i.test(
          `${error.message} ${'code' in error ? String(error.code) : ''}`,
        )
      )
        throw new ProblemException(503, 'Too much is being worked on at this moment. Nothing was stored; try again in a moment.');
      throw error;
    }
  }

  async onApplicationShutdown(): Promise<void> {
    await this.pool.destroy();
  }
}
