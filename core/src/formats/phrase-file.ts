import { fieldShapes } from '../movement/library-shapes.js';
import { phraseTextFaultWords, readPhrase } from '../phrase/phrase-text.js';
import { phraseLimits, type WrittenPhrase } from '../phrase/phrase.js';
import { accepted, refused, type Result } from '../values/result.js';
import type { MovementSlug } from '../values/unit.js';

export const phraseFormat = 'leiter-phrase/1';

/** A phrase as a file holds it, with the entry it belongs to. */
export interface PhraseFile {
  readonly format: typeof phraseFormat;
  readonly movement: MovementSlug;
  readonly name: string;
  readonly phrase: WrittenPhrase;
}

export const phraseFile = (movement: MovementSlug, name: string, phrase: WrittenPhrase): PhraseFile => ({
  format: phraseFormat,
  movement,
  name,
  phrase,
});

/** What a file brings: a whole phrase, or the steps alone as one writes them by hand. */
export type PhraseRead =
  | { readonly kind: 'phrase'; readonly movement: string | null; readonly phrase: WrittenPhrase }
  | { readonly kind: 'steps'; readonly text: string };

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Reads a phrase from a file, or from text that was pasted: `leiter-phrase/1` where it is JSON, else the steps as they are written by hand.
 * @returns what is wrong with it, in words, where it can be neither. Never throws.
 */
export function readPhraseFile(text: string): Result<PhraseRead, readonly string[]> {
  if (!text.trimStart().startsWith('{')) {
    if (text.length > phraseLimits.text) return refused([`More than ${String(phraseLimits.text)} characters: that is no phrase.`]);
    return text.trim() === '' ? refused(['There is nothing in it.']) : accepted({ kind: 'steps', text: text.trim() });
  }
  let file: unknown;
  try {
    file = JSON.parse(text);
  } catch {
    return refused(['It is neither JSON nor steps that are written by hand.']);
  }
  if (!isObject(file)) return refused(['It is no phrase.']);
  if (file['format'] !== phraseFormat)
    return refused([`It is no ${phraseFormat}: its format is ${JSON.stringify(file['format'] ?? null)}.`]);
  const surplus = Object.keys(file).filter((field) => !['format', 'movement', 'name', 'phrase'].includes(field));
  if (surplus.length > 0) return refused(surplus.map((field) => `“${field}” is no field of it.`));
  const { phrase, movement } = file;
  if (!fieldShapes['phrase']?.fits(phrase))
    return refused(['Its phrase lacks a field, or one of them cannot be: beats, tempi, count-in, weight, facing, text.']);
  const written = phrase as WrittenPhrase; // its shape was looked at just now
  const read = readPhrase(written);
  if (!read.ok) return refused(read.error.map((fault) => `Line ${String(fault.line)}: ${phraseTextFaultWords(fault)}`));
  return accepted({ kind: 'phrase', movement: typeof movement === 'string' ? movement : null, phrase: written });
}

/** The schema of `leiter-phrase/1`, from the rules that validate it. */
export function phraseSchema(): object {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: phraseFormat,
    type: 'object',
    additionalProperties: false,
    required: ['format', 'phrase'],
    properties: {
      format: { const: phraseFormat },
      movement: { type: 'string', description: 'The entry of the library that it belongs to.' },
      name: { type: 'string' },
      phrase: fieldShapes['phrase']?.schema ?? {},
    },
  };
}
