const windowMilliseconds = 5000;
/** What it is off by is followed within about so many seconds … */
const followSeconds = 10;
/** … by no more than this share of the time that passed: hardly anybody hears that as another tempo. */
const mostSlew = 0.02;
/** In one reading by no more than this, however long ago the last one was. */
const mostStepSeconds = 0.02;
/** Further off, it stood still or slept: it is set anew. */
const jumpSeconds = 1.5;
/** Between two beats it is set right at once where it is off by more: less is not worth a break. */
const settleSeconds = 0.1;

/**
 * Says when, on the clock of the sound card, a moment of the page's clock is. The sound card's clock is read in steps and late, never
 * early: the earliest of the last seconds is right. It may run faster or slower than the page's, or stand still for a moment; that is
 * followed a little at a time, so that what is on a beat stays even, and at once where it is far off.
 */
export class AudioClock {
  private readings: { readonly at: number; readonly offset: number }[] = [];
  private followed: number | null = null;

  /** Takes a reading. @param now milliseconds of the page's clock @param audioSeconds of the sound card's */
  read(now: number, audioSeconds: number): void {
    const passed = (now - (this.readings.at(-1)?.at ?? now)) / 1000;
    const offset = audioSeconds - now / 1000;
    this.readings = [...this.readings.filter(({ at }) => now - at < windowMilliseconds), { at: now, offset }];
    const right = this.right();
    if (this.followed === null || Math.abs(right - this.followed) > jumpSeconds) {
      this.followed = right;
      return;
    }
    const off = right - this.followed;
    const most = Math.min(mostStepSeconds, passed * Math.min(mostSlew, Math.abs(off) / followSeconds));
    this.followed += Math.sign(off) * most;
  }

  /** Nothing is on a beat at this moment, so that it can be set right at once. */
  settle(): void {
    if (this.followed !== null && Math.abs(this.right() - this.followed) > settleSeconds) this.followed = this.right();
  }

  private right(): number {
    return Math.max(...this.readings.map((one) => one.offset));
  }

  /** What was read no longer holds: the sound card stood still. */
  forget(): void {
    this.readings = [];
    this.followed = null;
  }

  /** @returns seconds of the sound card's clock; null as long as nothing was read */
  audioAt(now: number): number | null {
    return this.followed === null ? null : now / 1000 + this.followed;
  }
}
