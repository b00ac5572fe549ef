/** Prints one row of the bench as a JSON line. */
export function tell(name: string, taken: readonly number[], limit: number | null): void {
  const sorted = taken.toSorted((a, b) => a - b);
  const at = (share: number): number => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0;
  console.log(`\n${JSON.stringify({ name, medianMs: at(0.5), p95Ms: at(0.95), limit, runs: sorted.length })}`);
}

/** Prints one row that is a count and not a time. @param limit what is asked for, in words */
export function tellCount(name: string, count: number, of: number, limit: string): void {
  console.log(`\n${JSON.stringify({ name, count, of, limit })}`);
}
