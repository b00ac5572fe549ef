import { describe, expect, it } from 'vitest';
import { chanceOf, type Chance } from '../values/chance.js';
import { callNameKey, readCallNames, type NamedChild } from './call-names.js';

const children: readonly NamedChild[] = [
  { id: 'zoe', name: 'Zoë K.' },
  { id: 'lucja', name: 'Łucja W.' },
  { id: 'ana', name: 'Ana B.' },
  { id: 'ana-maria', name: 'Ana Maria S.' },
  { id: 'finn-d', name: 'Finn D.' },
  { id: 'finn-r', name: 'Finn R.' },
  { id: 'sebastian', name: 'Sebastian O.' },
];
const read = (line: string) => readCallNames(line, children)[0];

describe('the names in a call', () => {
  it.each([
    ['Zoe', ['zoe']],
    ['zoe kallio', ['zoe']],
    ['LUCJA W', ['lucja']],
    ['Mum of Zoë', ['zoe']],
    ['Lucja’s iPad (2)', ['lucja']],
    ['Finn Robertson', ['finn-r']],
    ['Ana Maria Santos', ['ana-maria']],
    ['Ana Brandt', ['ana']],
    ['Zoe & Lucja', ['zoe', 'lucja']],
    ['Zoe K and Finn D', ['zoe', 'finn-d']],
  ])('“%s” is beyond doubt', (line, childIds) => {
    expect(read(line)).toMatchObject({ isSure: true, childIds });
  });

  it.each([
    ['Finn', ['finn-d', 'finn-r']],
    ['Ana', ['ana', 'ana-maria']],
    ['Seb', ['sebastian']],
    ['Lucya', ['lucja']],
    ['Zoe Okafor', ['zoe']],
    ['Zoe & Finn', ['zoe', 'finn-d', 'finn-r']],
  ])('“%s” is asked', (line, childIds) => {
    expect(read(line)).toMatchObject({ isSure: false, childIds });
  });

  it.each(['tablet 3', 'iPhone', 'Kitchen', 'Guest', 'Maren Solberg', '12345', '🙂'])('“%s” is nobody', (line) => {
    expect(read(line)).toMatchObject({ isSure: false, childIds: [] });
  });

  it('are known once somebody has answered, however they are written, as long as that child is there', () => {
    const kept = new Map([
      [callNameKey('Tablet 3'), ['finn-d']],
      [callNameKey('Oma’s laptop'), ['zoe', 'gone']],
    ]);
    const read = (line: string) => readCallNames(line, children, kept)[0];
    expect(read('TABLET  3')).toMatchObject({ isSure: true, childIds: ['finn-d'] });
    expect(read('Oma’s laptop')).toMatchObject({ isSure: true, childIds: ['zoe'] });
    expect(read('tablet 4')).toMatchObject({ isSure: false, childIds: [] });
    expect(
      readCallNames(
        'Tablet 3',
        children.filter(({ id }) => id !== 'finn-d'),
        kept,
      )[0],
    ).toMatchObject({ isSure: false });
  });

  it('are one a line, and empty lines are none', () => {
    expect(readCallNames('Zoe\r\n\n  Finn D  \n', children).map(({ line }) => line)).toEqual(['Zoe', 'Finn D']);
    expect(readCallNames('', children)).toEqual([]);
  });
});

const given = [
  'Zoë',
  'Łucja',
  'Änne',
  'Søren',
  'Ana',
  'Ana Maria',
  'Finn',
  'Noor',
  'Imani',
  'Efe',
  'José',
  'Mei',
  'Otto',
  'Priya',
  'Quinn',
  'Tariq',
  'Una',
  'Wren',
];
const families = ['Berg', 'Costa', 'Dahl', 'Evans', 'Fujita', 'Garcia', 'Haddad', 'Iversen'];

interface Whole extends NamedChild {
  readonly given: string;
  readonly family: string;
}
const pick = <Value>(from: readonly Value[], chance: Chance): Value => from[Math.floor(chance() * from.length)] as Value; // never empty here

function lost(text: string): string {
  return text.normalize('NFD').replaceAll(/\p{M}/gu, '').replaceAll('Ł', 'L').replaceAll('ø', 'o');
}

/** A line as a call would show a child, or several of a home, and who that is. */
function shown(group: readonly Whole[], chance: Chance): { readonly line: string; readonly who: readonly string[] } {
  const child = pick(group, chance);
  const other = pick(group, chance);
  const forms: readonly (() => string)[] = [
    () => child.given,
    () => `${child.given} ${child.family}`,
    () => `${child.given} ${child.family.charAt(0)}`,
    () => lost(`${child.given} ${child.family}`).toLowerCase(),
    () => `Mum of ${child.given}`,
    () => `${lost(child.given)}'s tablet`,
    () => `${child.given} (${child.family})`,
    () => child.given.slice(0, 3),
    () => `${child.given.slice(0, -1)}${child.given.at(-1)?.toUpperCase() ?? ''} ${child.family.charAt(0)}.`,
  ];
  const chosen = Math.floor(chance() * (forms.length + 3));
  if (chosen === forms.length) return { line: `tablet ${String(Math.floor(chance() * 9))}`, who: [] };
  // somebody else of the same given name, whose family name begins otherwise
  if (chosen === forms.length + 1) return { line: `${child.given} Zwick`, who: [] };
  if (chosen === forms.length + 2) return { line: `${child.given} & ${other.given}`, who: [child.id, other.id] };
  return { line: forms[chosen]?.() ?? '', who: [child.id] };
}

it('of two hundred made-up lists everybody is right or asked, never silently wrong, and most are right at once', () => {
  let [sure, all] = [0, 0];
  for (let seed = 0; seed < 200; seed += 1) {
    const chance = chanceOf(seed);
    const group = Array.from({ length: 6 + (seed % 10) }, (_, index): Whole => {
      const [own, family] = [pick(given, chance), pick(families, chance)];
      return { id: `c${String(index)}`, given: own, family, name: `${own} ${family.charAt(0)}.` };
    });
    const lines = Array.from({ length: group.length }, () => shown(group, chance));
    const read = readCallNames(lines.map(({ line }) => line).join('\n'), group);
    expect(read).toHaveLength(lines.length);
    read.forEach(({ isSure, childIds, line }, index) => {
      const who = lines[index]?.who ?? [];
      all += who.length > 0 ? 1 : 0;
      if (!isSure) return;
      sure += 1;
      expect([...childIds].sort(), `${line} among ${group.map(({ name }) => name).join(', ')}`).toEqual([...new Set(who)].sort());
    });
  }
  expect(sure / all).toBeGreaterThan(0.5);
});
