import 'reflect-metadata';
import { createRequire } from 'node:module';
import { LibraryFile } from '@leiter/contract';
import { libraryIntake, libraryOf, openMovement, phraseFormat, readPhraseFile, refused, type Library } from '@leiter/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import pdfmake from 'pdfmake';
import { rawFaultIn, rawFaultWords } from '../http/raw-json.js';
import { fieldProblems, validationRules } from '../http/validation.js';
import type { Answers, Tasks } from './tasks.js';

// Each function is a task; it runs in a thread of its own and is told everything it needs.

export function readLibraryFile({ text, current }: Tasks['readLibraryFile']): Answers['readLibraryFile'] {
  const raw = rawFaultIn(Buffer.from(text));
  if (raw) return refused({ kind: 'unreadable', words: rawFaultWords[raw] });
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch {
    return refused({ kind: 'unreadable', words: 'This is not JSON.' });
  }
  if (typeof body !== 'object' || body === null || Array.isArray(body))
    return refused({ kind: 'unreadable', words: 'This is not a leiter-library/1 file.' });
  const library = libraryOf(
    current.flatMap((one) => {
      const movement = openMovement(JSON.parse(one));
      return movement.ok ? [movement.value] : [];
    }),
  );
  if ('format' in body && body.format === phraseFormat) return readStepsOf(text, library);
  const { movements, ...about } = body as { readonly movements?: unknown }; // looked at field by field below
  // what is in the entries is looked at by core; here it is enough that there is a list of objects
  const isList = Array.isArray(movements) && movements.every((one) => typeof one === 'object' && one !== null && !Array.isArray(one));
  const file = plainToInstance(LibraryFile, { ...about, movements: isList ? movements.slice(0, 5001).map(() => ({})) : 0 });
  const errors = validateSync(file, validationRules);
  if (errors.length > 0) return refused({ kind: 'fields', fields: fieldProblems(errors) });
  const entries = movements as readonly object[]; // see isList
  return intakeInto(library, entries);
}

/** The steps of one entry: it must be there, for a phrase alone is no movement. */
function readStepsOf(text: string, library: Library): Answers['readLibraryFile'] {
  const read = readPhraseFile(text);
  if (!read.ok) return refused({ kind: 'fields', fields: read.error.map((message) => ({ field: 'phrase', message })) });
  const { value } = read;
  const entry = value.kind === 'phrase' && value.movement !== null ? library.get(value.movement) : undefined;
  if (value.kind !== 'phrase' || !entry) {
    const named = value.kind === 'phrase' ? value.movement : null;
    const message =
      named === null
        ? 'It does not say whose steps these are.'
        : `“${named}” is no movement of this library: steps come to one that is there, or with it in a leiter-library/1 file.`;
    return refused({ kind: 'fields', fields: [{ field: 'movement', message }] });
  }
  return intakeInto(library, [{ ...entry, phrase: value.phrase }]);
}

function intakeInto(library: Library, entries: readonly object[]): Answers['readLibraryFile'] {
  const intake = libraryIntake(library, entries);
  return intake.ok ? intake : refused({ kind: 'entries', faults: intake.error });
}

const packages = createRequire(import.meta.url);
const fontFile = (path: string): string => packages.resolve(`@expo-google-fonts/${path}`);

pdfmake.setFonts({
  text: {
    normal: fontFile('atkinson-hyperlegible/400Regular/AtkinsonHyperlegible_400Regular.ttf'),
    bold: fontFile('atkinson-hyperlegible/700Bold/AtkinsonHyperlegible_700Bold.ttf'),
  },
  heading: {
    normal: fontFile('bricolage-grotesque/600SemiBold/BricolageGrotesque_600SemiBold.ttf'),
    bold: fontFile('bricolage-grotesque/700Bold/BricolageGrotesque_700Bold.ttf'),
  },
});
const line = '#DDD5C5';
const ruled = { hLineColor: () => line, vLineWidth: () => 0, hLineWidth: () => 0.5 };
/** The ways in which a table is ruled, by the names that documents use. */
pdfmake.addTableLayouts({
  ruled,
  order: { ...ruled, hLineWidth: (index: number) => (index === 0 ? 0 : 0.5), paddingTop: () => 0.5, paddingBottom: () => 0.5 },
});
// everything that a page needs is here
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setLocalAccessPolicy((path) => path.includes('@expo-google-fonts'));

/** Often enough to be seen going on. */
const toldMilliseconds = 200;

export async function setPaper({ document, told }: Tasks['setPaper']): Promise<Answers['setPaper']> {
  let last = 0;
  const tell = (pages: number): void => {
    if (!told || performance.now() - last < toldMilliseconds) return;
    last = performance.now();
    told.port.postMessage(Math.floor(pages));
  };
  // a page is laid out first and drawn when all are: half of it each
  let laidOut = 0;
  pdfmake.setProgressCallback((share) => {
    tell(((1 + share) / 2) * (told?.pages ?? 0));
  });
  const background = (): undefined => {
    laidOut += 1;
    tell(laidOut / 2);
  };
  try {
    return await pdfmake.createPdf(told ? { background, ...document } : document).getBuffer();
  } finally {
    told?.port.close();
  }
}

export { readClip } from './read-clip.js';
export { findTimetable } from './find-timetable.js';
