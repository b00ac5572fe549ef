import type { Party } from '@leiter/core';
import { afterAll, expect, it } from 'vitest';
import { TookTooLong, WorkersService } from '../src/work/workers.service.js';

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
