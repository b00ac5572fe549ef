import { aMovement } from '@leiter/core/testing';
import { describe, expect, it } from 'vitest';
import { itemWritten, readBlock, readWritten } from './written-item';

it.each([
  ['forward roll 3x4', 'forward roll', '3x4'],
  ['side split 2x20s', 'side split', '2x20s'],
  ['jog 4 min', 'jog', '4 min'],
  ['phrase 8x8 @ 96', 'phrase', '8x8 @ 96'],
  ['forward roll', 'forward roll', ''],
  ['kata 2 of the harbour', 'kata 2 of the harbour', ''],
  ['kata 2 3x4', 'kata 2', '3x4'],
  ['  ', '', ''],
])('%j names %j with the dose %j', (line, name, dose) => {
  expect(readWritten(line)).toEqual({ name, dose });
});

it('an item has the dose that was typed, or that of its age where none was', () => {
  const roll = aMovement('roll', { dose: { '4-6': { kind: 'timed', seconds: 30 }, '7-9': null, '10-13': null } });
  expect(itemWritten(roll, '4 min', '4-6').dose).toEqual({ kind: 'timed', seconds: 240 });
  expect(itemWritten(roll, '', '4-6').dose).toEqual({ kind: 'timed', seconds: 30 });
});

describe('a block in one line', () => {
  const none = { dose: '' };
  it.each<[string, ReturnType<typeof readBlock>]>([
    [
      'front kick 2x8 + roundhouse each side',
      {
        parts: [
          { name: 'front kick', dose: '2x8' },
          { name: 'roundhouse', ...none },
        ],
        of: 'chain',
        rounds: 1,
      },
    ],
    [
      'squat+plank 20 s +jump 3 rounds',
      {
        parts: [
          { name: 'squat', ...none },
          { name: 'plank', dose: '20 s' },
          { name: 'jump', ...none },
        ],
        of: 'circuit',
        rounds: 3,
      },
    ],
    [
      'jump + hold in turns 2 times',
      {
        parts: [
          { name: 'jump', ...none },
          { name: 'hold', ...none },
        ],
        of: 'pair',
        rounds: 2,
      },
    ],
    [
      'a + b',
      {
        parts: [
          { name: 'a', ...none },
          { name: 'b', ...none },
        ],
        of: 'circuit',
        rounds: 2,
      },
    ],
    [
      'a + b 99 rounds',
      {
        parts: [
          { name: 'a', ...none },
          { name: 'b', ...none },
        ],
        of: 'circuit',
        rounds: 10,
      },
    ],
    ['forward roll 3x4', null],
    ['a + ', null],
    ['+', null],
  ])('“%s” is read', (line, block) => {
    expect(readBlock(line)).toEqual(block);
  });
});
