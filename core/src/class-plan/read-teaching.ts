import { readDose, writeDose } from '../movement/read-dose.js';
import type { Dose } from '../movement/dose.js';
import { talkLimits, type Item } from './class-plan.js';
import { mostSegments } from '../phrase/phrase.js';
import { partsText } from './teaching-text.js';
import { ways } from './way.js';
import { teachingOf, type ItemTeaching } from './item-teaching.js';

/** How much of an item is done, and how it is taught, as one writes both in one line. */
export interface WrittenTeaching {
  readonly dose: Dose;
  readonly teaching: ItemTeaching;
}

const wayAtEnd = new RegExp(`(?:^|[\\s,])(${ways.join('|')})$`);
const talkAtEnd = /(?:^|[\s,])talk (\d+(?:[.,]\d+)?) ?(s|min)$/;
const turnsAtEnd = /(?:^|[\s,])in turns$/;
const cameraAtEnd = /(?:^|[\s,])camera$/;
const eyesAtEnd = /(?:^|[\s,])eyes closed$/;
const musicAtEnd = /(?:^|[\s,])music stops$/;
/** Segments of a phrase, counted from 1. */
const partsAtEnd = /(?:^|[\s,])(new|known) (\d{1,2}(?:\+\d{1,2})*)$/;

/**
 * Reads a dose with what may stand behind it, in any order: `3x8 flow`, `4 min talk 90s`, `2x20s watch, in turns, camera, eyes
 * closed, music stops`, `6 min new 2 known 1`. What is not written in words – what is built, called, chosen, who leads and helps – stays.
 * @param like the item it takes the place of: where only the teaching is written, its dose stays
 * @returns null for what is neither a dose nor a way of teaching, or beyond what anybody can do
 */
export function readTeaching(text: string, like: Pick<Item, 'dose'> & ItemTeaching): WrittenTeaching | null {
  let rest = text.trim().toLowerCase().replace(/\s+/g, ' ');
  const {
    way: _way,
    explainSeconds: _talk,
    takesTurns: _turns,
    isCameraMoved: _camera,
    areEyesClosed: _eyes,
    stopsWithMusic: _stops,
    parts: _parts,
    ...others
  } = teachingOf(like);
  let teaching: ItemTeaching = others;
  for (let found = true; found;) {
    found = false;
    const taken = (form: RegExp): RegExpExecArray | null => {
      const match = form.exec(rest);
      if (!match) return null;
      rest = rest.slice(0, match.index).replace(/[\s,]+$/, '');
      found = true;
      return match;
    };
    const way = taken(wayAtEnd);
    const said = ways.find((one) => one === way?.[1]);
    if (said) teaching = { ...teaching, way: said };
    const talk = taken(talkAtEnd);
    if (talk) teaching = { ...teaching, explainSeconds: Number(talk[1]?.replace(',', '.')) * (talk[2] === 'min' ? 60 : 1) };
    if (taken(turnsAtEnd)) teaching = { ...teaching, takesTurns: true };
    if (taken(cameraAtEnd)) teaching = { ...teaching, isCameraMoved: true };
    if (taken(eyesAtEnd)) teaching = { ...teaching, areEyesClosed: true };
    const parts = taken(partsAtEnd);
    if (parts) {
      const list = (parts[2] ?? '').split('+').map((one) => Number(one) - 1);
      if (list.some((one) => one < 0 || one >= mostSegments)) return null;
      teaching = { ...teaching, parts: { ...(teaching.parts ?? { new: [], known: [] }), [parts[1] === 'new' ? 'new' : 'known']: list } };
    }
    if (taken(musicAtEnd)) teaching = { ...teaching, stopsWithMusic: true };
  }
  const { least, most } = talkLimits.explainSeconds;
  if (teaching.explainSeconds !== undefined && !(teaching.explainSeconds >= least && teaching.explainSeconds <= most)) return null;
  if (rest === '') return text.trim() === '' ? null : { dose: like.dose, teaching };
  const dose = readDose(rest, like.dose);
  return dose && { dose, teaching };
}

/** Dose and teaching of an item as `readTeaching` reads them. */
export function writeTeaching({
  dose,
  way,
  explainSeconds,
  takesTurns,
  isCameraMoved,
  areEyesClosed,
  stopsWithMusic,
  parts,
}: Pick<Item, 'dose'> & ItemTeaching): string {
  return [
    writeDose(dose),
    way,
    explainSeconds === undefined ? undefined : `talk ${String(explainSeconds)}s`,
    takesTurns ? 'in turns' : undefined,
    isCameraMoved ? 'camera' : undefined,
    areEyesClosed ? 'eyes closed' : undefined,
    stopsWithMusic ? 'music stops' : undefined,
    parts && partsText(parts).replace(', ', ' '),
  ]
    .filter((word) => word !== undefined)
    .join(' ');
}
