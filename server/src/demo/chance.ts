import { chanceOf } from '@leiter/core';

/** A seeded source of chance: the same seed gives the same demo, every time. */
export class Chance {
  /** A number from 0 up to, not including, 1. */
  readonly next: () => number;

  constructor(seed: number) {
    this.next = chanceOf(seed);
  }

  happens(probability: number): boolean {
    return this.next() < probability;
  }

  between(least: number, most: number): number {
    return least + this.next() * (most - least);
  }

  pick<Value>(values: readonly Value[]): Value | undefined {
    return values[Math.floor(this.next() * values.length)];
  }

  /** A version 4 UUID from this source. */
  uuid(): string {
    const hex = Array.from({ length: 32 }, () => Math.floor(this.next() * 16).toString(16)).join('');
    const variant = '89ab'.charAt(Math.floor(this.next() * 4));
    return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-${variant}${hex.slice(17, 20)}-${hex.slice(20)}`;
  }
}
