import type { BodyAt } from '@leiter/core';
import { expect, it } from 'vitest';
import { bodyWords } from './body-words';

const body: BodyAt = { effort: 3, movedSeconds: 130, isWarm: true, loads: [], prepares: [], onHandsSeconds: 0 };

it.each<[Partial<BodyAt>, string]>([
  [{}, 'Effort hard · bodies warm'],
  [{ isWarm: false, movedSeconds: 70 }, 'Effort hard · bodies not warm yet, 1:10 of 2:00'],
  [
    {
      loads: [
        { region: 'wrists', preparedSecondsAgo: 61 },
        { region: 'core', preparedSecondsAgo: null },
      ],
      onHandsSeconds: 40,
    },
    'Effort hard · bodies warm · loads wrists (ready since 1:01) · loads core, which nothing has readied · 0:40 on the hands',
  ],
  [{ prepares: ['hips', 'calves'] }, 'Effort hard · bodies warm · readies hips, calves'],
])('%j reads', (said, words) => {
  expect(bodyWords({ ...body, ...said })).toBe(words);
});
