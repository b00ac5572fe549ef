import { readdirSync, readFileSync } from 'node:fs';
import { root } from '../root.js';
import { readLibrary, type Criterion, type Library, type PlanTemplate, type StretchingSchool } from '@leiter/core';

/** The ladder of a programme as its file says it; what a criterion leaves out has its default. */
export interface ShippedSyllabus {
  readonly programme: string;
  readonly name: string;
  readonly stretchingSchool: StretchingSchool;
  readonly startsAs: string;
  readonly grades: readonly {
    readonly slug: string;
    readonly name: string;
    readonly leastWeeksInGrade: number;
    readonly leastClasses: number;
    readonly leastAgeYears: number;
    readonly requirements: readonly { readonly movement: string; readonly stage?: number; readonly criterion: Partial<Criterion> }[];
  }[];
}

const content = `${root}content/`;

function filesIn(folder: string): readonly unknown[] {
  return readdirSync(`${content}${folder}`)
    .filter((name) => name.endsWith('.json'))
    .sort()
    .map((name): unknown => JSON.parse(readFileSync(`${content}${folder}/${name}`, 'utf8')));
}

export function contentFile(name: string): unknown {
  return JSON.parse(readFileSync(`${content}${name}`, 'utf8'));
}

/** The library that ships with Leiter. A file that is wrong is a bug of ours: it throws, naming entry and field. */
export function shippedLibrary(): Library {
  const files = filesIn('library') as readonly { movements: readonly unknown[] }[]; // readLibrary checks what is in them
  const library = readLibrary(files.flatMap(({ movements }) => movements));
  if (!library.ok) throw new Error(`shipped library: ${JSON.stringify(library.error)}`);
  return library.value;
}

export function shippedSyllabuses(): readonly ShippedSyllabus[] {
  return filesIn('syllabuses') as readonly ShippedSyllabus[]; // our own files, checked in a test
}

export function shippedTemplates(): readonly PlanTemplate[] {
  const files = filesIn('templates') as readonly { templates: readonly PlanTemplate[] }[]; // our own files, checked in a test
  return files.flatMap(({ templates }) => templates);
}
