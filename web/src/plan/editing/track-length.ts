/** Reads the length of a track as one writes it: `3:20`, `200`, `3 min`, `1:02:05`. @returns seconds; null for what is none of these. */
export function readLength(text: string): number | null {
  const typed = text.trim();
  const minutes = /^(\d+(?:[.,]\d+)?)\s*min$/.exec(typed)?.[1];
  if (minutes !== undefined) return Math.round(Number(minutes.replace(',', '.')) * 60);
  if (!/^\d+(:[0-5]\d){0,2}$/.test(typed)) return null;
  return typed.split(':').reduce((sum, part) => sum * 60 + Number(part), 0);
}
