const windowMilliseconds = 5000;

/**
 * Says when, on the clock of the sound card, a moment of the page's clock is. The sound card's clock is read in steps and late, never
 * early: the earliest of the last seconds is right. It may run faster or slower than the page's; that is followed.
 */
export class AudioClock {
  private readings: { readonly at: number; readonly offset: number }[] = [];

  /** Takes a reading. @param now milliseconds of the page's clock @param audioSeconds of the sound card's */
  read(now: number, audioSeconds: number): void {
    const offset = audioSeconds - now / 1000;
    this.readings = [...this.readings.filter(({ at }) => now - at < windowMilliseconds), { at: now, offset }];
  }

  /** What was read no longer holds: the sound card stood still. */
  forget(): void {
    this.readings = [];
  }

  /** @returns seconds of the sound card's clock; null as long as nothing was read */
  audioAt(now: number): number | null {
    if (this.readings.length === 0) return null;
    return now / 1000 + Math.max(...this.readings.map(({ offset }) => offset));
  }
}
