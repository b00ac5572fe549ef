import type { BodyAt } from '@leiter/core';
import { expect, it } from 'vitest';
import { bodyWords } from './body-words';

const body: BodyAt = { effort: 3, warmShare: 1, isWarm: true, isCooled: false, loads: [], prepares: [], onHandsSeconds: 0 };

it.each<[Partial<BodyAt>, string]>([
  [{}, 'Effort hard · bodies warm'],
  [{ isWarm: false, warmShare: 0.597 }, 'Effort hard · bodies 59 % of the way to warm'],
  [{ isCooled: true }, 'Effort hard · bodies cooled off'],
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
