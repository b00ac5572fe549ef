import type { NoticeChannel, NoticesService } from './notices.service.js';

/** Values that a process keeps of the database, each until a notice names its key, the line of notices is lost, or its time is over. */
export class Kept<Value> {
  private readonly values = new Map<string, { readonly value: Value; readonly until: number }>();
  /** Grows with each notice: what was being read when one came is not kept. */
  private generation = 0;

  constructor(
    private readonly notices: NoticesService,
    channel: NoticeChannel,
    private readonly limits: { readonly most: number; readonly milliseconds: number },
  ) {
    notices.on(channel, {
      told: (key) => {
        this.generation += 1;
        this.values.delete(key);
      },
      missed: () => {
        this.generation += 1;
        this.values.clear();
      },
    });
  }

  /** @param read asks the database where nothing is kept that may be believed */
  async of(key: string, read: () => Promise<Value>): Promise<Value> {
    if (!this.notices.isListening) return read();
    const kept = this.values.get(key);
    if (kept && kept.until > performance.now()) return kept.value;
    const { generation } = this;
    const value = await read();
    if (generation === this.generation) {
      // the oldest goes: a Map keeps the order in which its keys came
      const [oldest] = this.values.keys();
      if (this.values.size >= this.limits.most && oldest !== undefined) this.values.delete(oldest);
      this.values.set(key, { value, until: performance.now() + this.limits.milliseconds });
    }
    return value;
  }
}
