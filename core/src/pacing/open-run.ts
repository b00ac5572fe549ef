import { noPause, type Pass, type RealParts, type Run, type Visit } from './run.js';

/**
 * Reads a run as a browser kept it, whichever version of Leiter wrote it.
 * @returns null for what is no run: then the class begins anew
 */
export function openRun(kept: unknown): Run | null {
  if (typeof kept !== 'object' || kept === null) return null;
  const {
    v,
    startedAt,
    itemIndex,
    itemStartedAt,
    workStartedAt = null,
    pausedAt,
    pausedSeconds,
    realSeconds,
    realParts,
    pass,
    go,
    visits,
  } = kept as Readonly<Record<string, unknown>>;
  const isTime = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value);
  // before 2 nothing was known of parts
  if (v !== undefined && v !== 1 && v !== 2) return null;
  if (!isTime(startedAt) || !isTime(itemIndex) || !isTime(itemStartedAt) || !(pausedAt === null || isTime(pausedAt))) return null;
  if (workStartedAt !== null && !isTime(workStartedAt)) return null;
  if (typeof realSeconds !== 'object' || realSeconds === null || !Object.values(realSeconds).every(isTime)) return null;
  const parts = typeof realParts === 'object' && realParts !== null ? Object.entries(realParts) : [];
  return {
    v: 2,
    startedAt,
    itemIndex: Math.max(0, Math.floor(itemIndex)),
    pass: pass === 'over' || isPass(pass) ? pass : null,
    itemStartedAt,
    workStartedAt,
    pausedAt,
    go: go === 'on-signal' ? go : 'by-itself',
    pausedSeconds: isParts(pausedSeconds) ? pausedSeconds : noPause,
    realSeconds: realSeconds as Run['realSeconds'], // looked at above
    realParts: Object.fromEntries(parts.flatMap(([key, value]) => (isParts(value) ? [[key, value]] : []))),
    visits: Array.isArray(visits) ? visits.filter(isVisit) : [],
  };
}

function isParts(value: unknown): value is RealParts {
  if (typeof value !== 'object' || value === null) return false;
  const { explain, work } = value as Readonly<Record<string, unknown>>;
  return typeof explain === 'number' && Number.isFinite(explain) && typeof work === 'number' && Number.isFinite(work);
}

function isPass(value: unknown): value is Pass {
  return typeof value === 'object' && value !== null && 'item' in value && typeof value.item === 'string' && 'round' in value;
}

function isVisit(value: unknown): value is Visit {
  if (typeof value !== 'object' || value === null) return false;
  const { item, beginsSecond, seconds } = value as Readonly<Record<string, unknown>>;
  return typeof item === 'string' && Number.isFinite(beginsSecond) && Number.isFinite(seconds);
}
