import type { Library } from '../movement/library.js';
import { regionWord } from '../movement/region-word.js';
import { clockText } from '../clock-text.js';
import type { Timeline } from '../timing/timeline.js';
import { barWords } from '../versions/version-words.js';
import type { Finding } from './finding.js';

/** A finding in plain words: what, why in one sentence, and what the mend does. */
export interface FindingWords {
  readonly title: string;
  readonly sentence: string;
  readonly mend: string | null;
}

/** Says a finding in a sentence that can be read to a parent. */
export function wordsOf(finding: Finding, timeline: Timeline, library: Library): FindingWords {
  const name = nameOfFirst(finding, timeline);
  const words = sentenceOf(finding, name, library);
  return { ...words, mend: finding.mend ? mendWords(finding, library) : null };
}

function nameOfFirst(finding: Finding, timeline: Timeline): string {
  const names = finding.itemIds.map((id) => timeline.items.find(({ item }) => item.id === id)?.movement.name ?? 'An item');
  const others = names.length - 1;
  const [first = 'This class'] = names;
  if (others <= 0) return first;
  return others === 1 ? `${first} and ${names[1] ?? ''}` : `${first} and ${String(others)} more`;
}

function sentenceOf({ fact }: Finding, name: string, library: Library): Omit<FindingWords, 'mend'> {
  switch (fact.kind) {
    case 'no-safety-talk':
      return { title: 'No safety and space talk', sentence: `${name} comes before anybody has looked at floor, space and water.` };
    case 'cold-load':
      return {
        title: 'Not warm yet',
        sentence: `${name} asks ${coldWords[fact.because]}, after only ${clockText(fact.movedSeconds)} of moving.`,
      };
    case 'unprepared-region':
      return {
        title: `${capitalised(regionWord(fact.region))} not prepared`,
        sentence: `${name}: nothing in the 15 minutes before readies the ${regionWord(fact.region)}.`,
      };
    case 'back-bend-not-undone':
      return { title: 'Back bend not undone', sentence: `Nothing in the two items after ${name} rounds the back again.` };
    case 'one-side-only':
      return { title: 'One side only', sentence: `${name} is planned on the ${fact.planned} only.` };
    case 'unequal-sides':
      return { title: 'Sides not equal', sentence: `${name}: one side does more than the other.` };
    case 'no-break':
      return {
        title: `${clockText(fact.seconds)} without a drink`,
        sentence: `At this age ${String(fact.limitSeconds / 60)} minutes are usual.`,
      };
    case 'full-effort-at-once':
      return { title: 'Full effort at once', sentence: `${name} comes in the first two minutes; let the effort climb.` };
    case 'no-peak':
      return { title: 'No peak', sentence: 'The effort never gets hard for a minute; the class may feel flat.' };
    case 'peak-too-early':
    case 'peak-too-late':
      return {
        title: fact.kind === 'peak-too-early' ? 'Peak too early' : 'Peak too late',
        sentence: `The hardest minute comes at ${String(Math.round(fact.atShare * 100))} % of the class; between 40 and 80 % is usual.`,
      };
    case 'end-not-calm':
      return {
        title: 'The end is not calm',
        sentence: `${name} is more than gentle within the last ${String(fact.calmSeconds / 60)} minutes.`,
      };
    case 'no-cool-down':
      return { title: 'No cool-down', sentence: 'Nothing brings the children down before they leave the screen.' };
    case 'over-time':
      return {
        title: `Runs ${clockText(fact.overSeconds)} over`,
        sentence: 'Trim a dose, shorten what is explained, or leave an item for next time.',
      };
    case 'time-unused':
      return { title: `${clockText(fact.unusedSeconds)} not used yet`, sentence: 'There is room for another item or a larger dose.' };
    case 'cold-static':
      return { title: 'Stretched cold', sentence: `${name} is held after only ${clockText(fact.movedSeconds)} of moving.` };
    case 'prerequisite':
      return {
        title: 'Not ready for it yet',
        sentence: `${name}: ${childCount(fact.children)} ${fact.children === 1 ? 'has' : 'have'} not shown ${library.get(fact.movement)?.name ?? fact.movement} alone, and nothing else fits.`,
      };
    case 'no-version':
      return {
        title: `No version for ${childCount(fact.children)}`,
        sentence:
          fact.bar.kind === 'health'
            ? `${name}: ${childCount(fact.children)} ${barWords(fact.bar, library, null)}.`
            : `${name}: nothing easier fits either – ${barWords(fact.bar, library, null)}.`,
      };
    case 'home-lacks':
      return {
        title: capitalised(homeTitles[fact.need]),
        sentence: `${name}: at home ${childCount(fact.children)} cannot do it – ${barWords({ kind: 'home', need: fact.need }, library, null)}.`,
      };
    case 'out-of-room':
      return { title: roomTitles[fact.short], sentence: `${name} ${roomWords[fact.short]}.` };
    case 'wrist-time':
      return {
        title: `${clockText(fact.seconds)} on the hands`,
        sentence: `${name}: at this age ${String(fact.limitSeconds)} seconds without half a minute of relief are usual.`,
      };
    case 'too-many-landings':
      return { title: `${String(fact.landings)} hard landings`, sentence: `At this age up to ${String(fact.most)} in a class are usual.` };
    case 'landing-not-practised':
      return { title: 'Landing not practised', sentence: `${name} lands hard before the landing position was practised.` };
    case 'hold-too-long':
      return {
        title: `Held for ${String(fact.seconds)} seconds`,
        sentence: `${name}: at this age ${String(fact.limitSeconds)} seconds are usual.`,
      };
    case 'static-before-power':
      return { title: 'Long hold before power', sentence: `${name}: ${String(fact.seconds)} seconds held before jumps, kicks or turns.` };
    case 'too-long-at-once':
      return {
        title: `${clockText(fact.seconds)} of one thing`,
        sentence: `${name}: at this age ${String(fact.limitSeconds / 60)} minutes without a change are usual.`,
      };
    case 'too-much-new':
      return {
        title: `${String(fact.skills)} new skills`,
        sentence: `At this age ${fact.most === 1 ? 'one is' : `${String(fact.most)} are`} enough for one class.`,
      };
    case 'section-late':
      return { title: 'Sections out of order', sentence: `${name} opens a part that usually comes before the one above it.` };
    case 'drill-after-skill':
      return { title: 'The basics come after', sentence: `${name}: the first leads to the second, and comes after it.` };
    case 'up-and-down':
      return {
        title: `${String(fact.changes)} times down or up`,
        sentence: `In a class of this length ${String(fact.most)} are usual; put what is on the floor together.`,
      };
    case 'reframed':
      return {
        title: `Camera moved ${String(fact.times)} times`,
        sentence: `More than ${String(fact.most)} times costs the children’s eyes.`,
      };
    case 'little-moving':
      return {
        title: 'Little moving',
        sentence: `The children move ${String(Math.round(fact.share * 100))} % of the time; 40 % and more are usual.`,
      };
    case 'no-closing':
      return { title: 'No closing', sentence: 'Nothing ends the class together.' };
    case 'no-home-task':
      return { title: 'Nothing for the week', sentence: 'No small task is sent home.' };
    case 'one-for-all':
      return {
        title: 'One version for all',
        sentence: `${name} has others: ${[
          ...(fact.easier > 0 ? [`${childCount(fact.easier)} would do an easier one`] : []),
          ...(fact.harder > 0 ? [`${childCount(fact.harder)} could do a harder one`] : []),
        ].join(', ')}.`,
      };
  }
}

const childCount = (count: number): string => (count === 1 ? 'one child' : `${String(count)} children`);

const homeTitles = {
  surface: 'floor not for it',
  space: 'not enough room',
  equipment: 'thing not at home',
  adult: 'no adult at hand',
  partner: 'no partner',
  quiet: 'too loud for the hour',
} as const;

const roomTitles = { room: 'Out of space', 'frame-width': 'Out of the picture', 'frame-height': 'Cut at the top' } as const;
const roomWords = {
  room: 'needs more room than there is where you teach',
  'frame-width': 'goes further than the camera sees',
  'frame-height': 'reaches higher than the camera sees',
} as const;

const coldWords = {
  region: 'much of wrists, shoulders, neck or back',
  split: 'a split',
  inverted: 'to go upside down',
  'hard-landing': 'for hard landings',
} as const;

function mendWords(finding: Finding, library: Library): string | null {
  const edit = finding.mend?.[0];
  switch (edit?.kind) {
    case 'insert':
      return `${finding.mend?.length === 2 ? 'Do' : 'Put in'} “${library.get(edit.item.movement)?.name ?? edit.item.movement}”${finding.mend?.length === 2 ? ' instead' : ''}`;
    case 'move':
      return finding.fact.kind === 'no-safety-talk' ? 'Move it to the front' : 'Move it before';
    case 'set-sides':
      return finding.fact.kind === 'one-side-only'
        ? `Add the ${finding.fact.planned === 'left' ? 'right' : 'left'}, same dose`
        : 'Do both sides';
    case 'set-dose':
      return finding.fact.kind === 'hold-too-long'
        ? `Hold it ${String(finding.fact.limitSeconds)} seconds`
        : 'Give both sides the larger dose';
    case 'set-tier-by-hand':
      return 'Let it be reckoned';
    case 'set-tiers':
      return 'Use all its versions';
    case 'remove':
    case 'double':
    case 'accept':
    case 'open-again':
    case 'set-familiarity':
    case 'set-words':
    case 'set-focus':
    case 'make-circuit':
    case 'set-circuit':
    case 'break-circuit':
    case 'set-item-music':
    case 'set-section-music':
    case 'add-section':
    case 'remove-section':
    case 'move-section':
    case undefined:
      return null;
  }
}

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
