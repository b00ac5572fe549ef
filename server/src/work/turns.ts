import { ProblemException } from '../http/problem.js';

/** Work of one kind, so many at once; a bounded number waits its turn, and who comes after is told to come again (503). */
export class Turns {
  private running = 0;
  private readonly waiting: (() => void)[] = [];

  constructor(
    private readonly limits: { readonly atOnce: number; readonly waiting: number },
    private readonly words: string,
  ) {}

  async take<Done>(work: () => Promise<Done>): Promise<Done> {
    if (this.running >= this.limits.atOnce) {
      if (this.waiting.length >= this.limits.waiting) throw new ProblemException(503, this.words);
      await new Promise<void>((resolve) => this.waiting.push(resolve));
    } else this.running += 1;
    try {
      return await work();
    } finally {
      // the place is handed on, so that nobody slips in between
      const next = this.waiting.shift();
      if (next) next();
      else this.running -= 1;
    }
  }
}
