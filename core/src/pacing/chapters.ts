import type { ItemId, Seconds } from '../values/unit.js';
import type { Visit } from './run.js';

/** One part of a recording. */
export interface Chapter {
  /** Seconds of the recording. */
  readonly beginsSecond: Seconds;
  readonly endsSecond: Seconds;
  readonly title: string;
}

/** What an item is called in a chapter, and which circuit it belongs to. */
export interface Titled {
  readonly title: string;
  readonly circuit?: string;
}

/** What was gone through faster was skipped: it has no chapter. */
const leastSeconds = 5;

/**
 * The chapters of a recording from what was really done. An item that was gone back to is one chapter with what followed it at once; a circuit
 * is one chapter, with what is in it.
 * @param titleOf nothing for an item that is not known any more: it belongs to the chapter before
 * @param recordingBeganSecond when the recording began, in seconds of the class; less than 0 where it began before the class
 */
export function chaptersOf(
  visits: readonly Visit[],
  titleOf: (item: ItemId) => Titled | undefined,
  recordingBeganSecond: Seconds,
): readonly Chapter[] {
  const parts: { key: string; titles: string[]; begins: Seconds; ends: Seconds }[] = [];
  for (const { item, beginsSecond, seconds } of visits) {
    const begins = beginsSecond - recordingBeganSecond;
    const ends = begins + seconds;
    const known = titleOf(item);
    const last = parts.at(-1);
    if (ends <= 0) continue;
    const key = known?.circuit ?? item;
    if (last && (!known || seconds < leastSeconds || last.key === key)) {
      last.ends = ends;
      if (known && last.key === key && !last.titles.includes(known.title)) last.titles.push(known.title);
    } else if (known && seconds >= leastSeconds) parts.push({ key, titles: [known.title], begins: Math.max(0, begins), ends });
  }
  return parts.map(({ titles, begins, ends }) => ({ beginsSecond: begins, endsSecond: ends, title: titles.join(', ') }));
}

const two = (value: number): string => String(value).padStart(2, '0');

/** `HH:MM:SS.mmm` */
function stamp(seconds: Seconds): string {
  const milliseconds = Math.round(seconds * 1000);
  const whole = Math.floor(milliseconds / 1000);
  return `${two(Math.floor(whole / 3600))}:${two(Math.floor(whole / 60) % 60)}:${two(whole % 60)}.${String(milliseconds % 1000).padStart(3, '0')}`;
}

/** As a chapters track (WebVTT, W3C). */
export function chaptersAsVtt(chapters: readonly Chapter[]): string {
  const safe = (text: string): string => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
  const cues = chapters.map(
    ({ beginsSecond, endsSecond, title }, index) =>
      `${String(index + 1)}\n${stamp(beginsSecond)} --> ${stamp(endsSecond)}\n${safe(title.replace(/\s+/g, ' '))}\n`,
  );
  return ['WEBVTT\n', ...cues].join('\n');
}

/** As lines `M:SS title`, with hours where there are any. */
export function chaptersAsList(chapters: readonly Chapter[]): string {
  return chapters
    .map(({ beginsSecond, title }) => {
      const whole = Math.floor(beginsSecond);
      const hours = Math.floor(whole / 3600);
      const minutes = Math.floor(whole / 60) % 60;
      return `${hours > 0 ? `${String(hours)}:${two(minutes)}` : String(minutes)}:${two(whole % 60)} ${title}`;
    })
    .join('\n');
}
