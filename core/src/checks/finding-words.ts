import type { Library } from '../movement/library.js';
import type { Region } from '../movement/region.js';
import { clockText } from '../clock-text.js';
import type { Timeline } from '../timing/timeline.js';
import type { Finding } from './finding.js';

/** A finding in plain words: what, why in one sentence, and what the mend does. */
export interface FindingWords {
  readonly title: string;
  readonly sentence: string;
  readonly mend: string | null;
}

const regionWords: Readonly<Record<Region, string>> = {
  neck: 'neck',
  shoulders: 'shoulders',
  wrists: 'wrists',
  'upper-back': 'upper back',
  'lower-back': 'lower back',
  core: 'core',
  hips: 'hips',
  'hip-flexors': 'hip flexors',
  adductors: 'inner thighs',
  hamstrings: 'back of the thighs',
  quadriceps: 'front of the thighs',
  calves: 'calves',
  ankles: 'ankles',
};

/** @returns the region as one says it to a child or a parent. */
export function regionWord(region: Region): string {
  return regionWords[region];
}

/** Says a finding in a sentence that can be read to a parent. */
export function wordsOf(finding: Finding, timeline: Timeline, library: Library): FindingWords {
  const name = nameOfFirst(finding, timeline);
  const words = sentenceOf(finding, name);
  return { ...words, mend: finding.mend ? mendWords(finding, library) : null };
}

function nameOfFirst(finding: Finding, timeline: Timeline): string {
  const names = finding.itemIds.map((id) => timeline.items.find(({ item }) => item.id === id)?.movement.name ?? 'An item');
  const others = names.length - 1;
  const [first = 'This class'] = names;
  if (others <= 0) return first;
  return others === 1 ? `${first} and ${names[1] ?? ''}` : `${first} and ${String(others)} more`;
}

function sentenceOf({ fact }: Finding, name: string): Omit<FindingWords, 'mend'> {
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
  }
}

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
      return `Put in “${library.get(edit.item.movement)?.name ?? edit.item.movement}”`;
    case 'move':
      return 'Move it to the front';
    case 'set-sides':
      return finding.fact.kind === 'one-side-only'
        ? `Add the ${finding.fact.planned === 'left' ? 'right' : 'left'}, same dose`
        : 'Do both sides';
    case 'set-dose':
      return 'Give both sides the larger dose';
    case 'remove':
    case 'double':
    case 'set-tiers':
    case 'set-familiarity':
    case 'set-words':
    case 'set-focus':
    case undefined:
      return null;
  }
}

function capitalised(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
