import { get, type IncomingMessage } from 'node:http';
import type { NestExpressApplication } from '@nestjs/platform-express';

export interface Message {
  readonly id: string | null;
  readonly event: string;
  readonly data: { readonly topic?: string } & Readonly<Record<string, unknown>>;
}

/** An open page that reads what happens. */
export class ToldPage {
  readonly messages: Message[] = [];
  isOver = false;
  private text = '';
  private constructor(private readonly response: IncomingMessage) {
    response.setEncoding('utf8');
    response.on('data', (chunk: string) => {
      this.text += chunk;
      const blocks = this.text.split('\n\n');
      this.text = blocks.pop() ?? '';
      for (const block of blocks) {
        const field = (name: string): string | null => new RegExp(`^${name}: (.*)$`, 'm').exec(block)?.[1] ?? null;
        const data = field('data');
        if (data !== null)
          this.messages.push({ id: field('id'), event: field('event') ?? 'message', data: JSON.parse(data) as Message['data'] });
      }
    });
    response.on('close', () => (this.isOver = true));
  }

  /** @param at which events, with whose cookie, and after which @throws the status where it is refused */
  static open(
    app: NestExpressApplication,
    { cookie, path = '/api/events', lastId }: { readonly cookie: string; readonly path?: string; readonly lastId?: string | undefined },
  ): Promise<ToldPage> {
    const { port } = app.getHttpServer().address() as { port: number };
    const headers = { cookie, ...(lastId === undefined ? {} : { 'last-event-id': lastId }) };
    return new Promise((resolve, reject) => {
      get({ host: '127.0.0.1', port, path, headers }, (response) => {
        if (response.statusCode !== 200) reject(new Error(String(response.statusCode)));
        else resolve(new ToldPage(response));
      }).on('error', reject);
    });
  }

  async until(what: (messages: readonly Message[]) => boolean): Promise<void> {
    for (let tries = 0; tries < 200; tries += 1) {
      if (what(this.messages)) return;
      await new Promise((resolve) => setTimeout(resolve, 25));
    }
    throw new Error(`not told: ${JSON.stringify(this.messages).slice(0, 500)}`);
  }

  of(topic: string): readonly Message[] {
    return this.messages.filter(({ data }) => data.topic === topic);
  }

  close(): void {
    this.response.destroy();
  }
}
