import type { Party } from '@leiter/core';
import { afterAll, expect, it } from 'vitest';
import { certificatesDocument } from '../src/certificates/certificate-paper.js';
import { TookTooLong, WorkersService } from '../src/work/workers.service.js';
import { aCertificate } from './a-certificate.js';

const workers = new WorkersService();
afterAll(() => workers.onApplicationShutdown());

it('a task that takes longer than it may is ended, and the next one is done', async () => {
  const parties = Array.from({ length: 30 }, (_, index): Party => ({
    id: index + 1,
    children: 1,
    gradeId: 'reef',
    visits: (['basics', 'skills', 'strength', 'combinations', 'questions'] as const).map((station) => ({
      station,
      slots: 1 + (index % 2),
    })),
  }));
  const hall = { examiners: 3, perVisit: 1, warmUpSlots: 2, last: 'stretching' as const };
  await expect(workers.run('findTimetable', { parties, hall, milliseconds: 60_000 }, 1)).rejects.toThrow(TookTooLong);
  const pdf = await workers.run('setPaper', { document: { content: ['Something'], defaultStyle: { font: 'text' } } }, 20);
  expect(Buffer.from(pdf).subarray(0, 5).toString()).toBe('%PDF-');
}, 60_000);

const many = 120;
const paper = certificatesDocument(
  Array.from({ length: many }, () => aCertificate),
  { colour: null, secondColour: null, crest: null },
);

it('a long paper says how many of its pages are set, from few to all but all, and never fewer than before', async () => {
  const told: number[] = [];
  const pdf = await workers.setPaper(paper, many, { onPages: (set) => told.push(set), signal: new AbortController().signal });
  expect(pdf.toString('latin1').match(/\/Type \/Page\b/g)).toHaveLength(many);
  expect(told.length).toBeGreaterThan(1);
  expect(told).toEqual(told.toSorted((a, b) => a - b));
  expect(told[0]).toBeLessThan(many / 2);
  expect(told.at(-1)).toBeLessThanOrEqual(many);
}, 60_000);

it('a paper for which nobody waits any more is ended, and the next task is done', async () => {
  const gone = new AbortController();
  const set = workers.setPaper(paper, many, {
    onPages: () => {
      gone.abort();
    },
    signal: gone.signal,
  });
  await expect(set).rejects.toThrow(/abort/i);
  const pdf = await workers.run('setPaper', { document: { content: ['Something'], defaultStyle: { font: 'text' } } });
  expect(Buffer.from(pdf).subarray(0, 5).toString()).toBe('%PDF-');
}, 60_000);
