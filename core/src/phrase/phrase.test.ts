import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countsOf, mirroredPhrase, phraseSeconds, rowsAt, writtenSide, type Phrase, type Row } from './phrase.js';
import { phraseTextFaultWords, readPhrase } from './phrase-text.js';
import { anEight, aPhrase, quayLight, writtenPhrase } from '../testing/phrases.js';
import { phraseFindingWords, walk } from './walk.js';

const faultsOf = (text: string): readonly string[] => {
  const phrase = readPhrase(writtenPhrase(text));
  return phrase.ok ? [] : phrase.error.map((fault) => `${String(fault.line)} ${fault.kind} ${fault.found}`);
};

describe('the row of a count', () => {
  it('is that of its pass, half counts too; in the count-in the first is next; what is left of a group keeps the last', () => {
    const phrase = aPhrase('1 R fwd, 2 L fwd, & R back, 3-6 both sink');
    const at = (counts: number): readonly (number | undefined)[] => {
      const { now, next } = rowsAt(phrase, counts);
      return [now?.at, next?.at];
    };
    expect(at(-1)).toEqual([undefined, 0]);
    expect(at(0)).toEqual([0, 1]);
    expect(at(1.4)).toEqual([1, 1.5]);
    expect(at(1.5)).toEqual([1.5, 2]);
    expect(at(7.9)).toEqual([2, 0]);
    expect(at(8)).toEqual([0, 1]);
  });

  it('goes to the side of the foot that acts first', () => {
    expect(writtenSide(aPhrase('1-2 both sink, 3 L side, 4 R close'))).toBe('left');
    expect(writtenSide(mirroredPhrase(aPhrase('1-2 both sink, 3 L side, 4 R close')))).toBe('right');
    expect(writtenSide(aPhrase('1-2 both sink'))).toBeNull();
  });
});

describe('a phrase as it is written', () => {
  it('is rows on their counts, with feet, arms and words, in segments', () => {
    const { rows, segments } = aPhrase(quayLight);
    expect(rows).toHaveLength(18);
    expect(rows[3]).toMatchObject({ at: 2.5, counts: 0.5, foot: 'right', act: 'step', place: 'back' });
    expect(rows[2]).toMatchObject({ at: 2, counts: 0.5, act: 'kick', arms: 'low V' });
    expect(rows.at(-2)).toMatchObject({ at: 14, foot: 'left', place: 'fwd' });
    expect(segments).toEqual([
      { name: 'First eight', from: 0, to: 9 },
      { name: 'Second eight', from: 9, to: 18 },
    ]);
    expect(countsOf(rows)).toBe(16);
    expect(phraseSeconds(aPhrase(quayLight))).toBeCloseTo((16 * 60) / 108, 9);
  });

  it('parts what is done at a comma before a count; another comma is part of the words', () => {
    const { rows } = aPhrase('1 R fwd / low, long, through the ball / say walk, walk, 2 L fwd');
    expect(rows).toHaveLength(2);
    expect(rows[0]).toMatchObject({ words: 'low, long, through the ball', say: 'walk, walk' });
  });

  it('covers its counts without hole or overlap where every count is written; ranges last as long as they say', () => {
    const { rows } = aPhrase('1-4 both sink, 5 R fwd, 7-8 L fwd');
    expect(rows.map(({ at, counts }) => [at, counts])).toEqual([
      [0, 4],
      [4, 2],
      [6, 2],
    ]);
    expect(walk(aPhrase('1-2 both sink, 5 R fwd')).findings).toMatchObject([{ row: 0, kind: 'hole', amount: 2 }]);
  });

  it.each([
    ['R fwd', '1 no-count R'],
    ['1 L fwd / say walk, R fwd', '1 no-count R'],
    ['1 R fwd, 1 L fwd, 3 R fwd, 2 L fwd', '1 count-goes-back 2'],
    ['1 R fwd\n9 L fwd', '2 count-beyond 9'],
    ['1 fwd', '1 no-such-word fwd'],
    ['1 R turn round', '1 no-degrees turn round'],
    ['', '1 nothing '],
    ['& R fwd', '1 no-count &'],
  ])('“%s” is refused at its line', (text, fault) => {
    expect(faultsOf(text)).toContain(fault);
  });

  it('says once that there are too many rows, however many more there are', () => {
    expect(faultsOf(Array.from({ length: 150 }, () => '1 R fwd, 2 L fwd, 3 R fwd, 4 L fwd').join('\n'))).toEqual(['101 too-many-rows 400']);
  });

  it('never throws, and says of every fault what it is', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ maxLength: 300, unit: fc.constantFrom(...'123456789&LRfbwd turn left right / , # \n - say arms'.split('')) }),
          fc
            .array(
              fc.constantFrom(
                ...[
                  '1 R fwd',
                  '& L fwd',
                  ', ',
                  '\n',
                  'partner',
                  'easier',
                  'small room',
                  ':',
                  ' ahead 1.2',
                  ' left',
                  ' 9 m',
                  '# x',
                  '5-8 both sink',
                  ' / do ',
                ],
              ),
              { maxLength: 30 },
            )
            .map((pieces) => pieces.join('')),
        ),
        (text) => {
          const phrase = readPhrase(writtenPhrase(text));
          if (!phrase.ok) for (const fault of phrase.error) expect(phraseTextFaultWords(fault).length).toBeGreaterThan(8);
          else for (const row of [...phrase.value.rows, ...(phrase.value.partner?.rows ?? [])]) expect(row.counts).toBeGreaterThan(0);
        },
      ),
    );
  });
});

/** Any phrase of steps, whether it can be done or not. */
const anyRow = fc.record({
  foot: fc.constantFrom<Row['foot']>('left', 'right', 'both', null),
  act: fc.constantFrom<Row['act']>('step', 'touch', 'kick', 'hop', 'leap', 'jump', 'sink'),
  place: fc.constantFrom<Row['place']>('fwd', 'back', 'side', 'cross', 'behind', 'close', 'place'),
  turn: fc.constantFrom(0, 0, 0, 90, -180, 360),
});
const anyPhrase = fc
  .tuple(
    fc.array(anyRow, { minLength: 1, maxLength: 40 }),
    fc.constantFrom('left' as const, 'right' as const, 'both' as const),
    fc.integer({ min: 1, max: 8 }),
  )
  .map(([rows, startWeight, startFacing]): Phrase => ({
    ...anEight,
    startWeight,
    startFacing,
    segments: [],
    tiers: [],
    partner: null,
    stride: 1,
    rows: rows.map((row, at): Row => ({
      ...row,
      act: row.foot === null ? null : row.act,
      at,
      counts: 1,
      arms: 'R high',
      look: null,
      say: 'left',
      words: null,
      watch: null,
      movement: null,
      free: null,
    })),
  }));

describe('walking a phrase', () => {
  it('knows the foot that stands after every row: Quay light can be danced, ends on the left and faces the back', () => {
    const { stands, findings, startsOtherSide } = walk(aPhrase(quayLight));
    expect(findings).toEqual([]);
    expect(stands.map(({ weight }) => weight[0]).join('')).toBe('lrllrlrlrlrrlrlrrll');
    expect(stands.at(-1)?.facing).toBe(180);
    expect(startsOtherSide).toBe(false);
  });

  it('finds a foot that is moved while it carries the weight, and a turn on a lifted foot, with the ways out', () => {
    const wrong = walk(aPhrase('1 R fwd, 2 R fwd, 3 L touch side, 4 L turn left 180'));
    expect(wrong.findings).toMatchObject([
      { row: 1, kind: 'foot-carries', foot: 'right' },
      { row: 3, kind: 'turn-on-lifted-foot', foot: 'left' },
    ]);
    expect(phraseFindingWords(wrong.findings[0] ?? { row: 0, kind: 'hole', foot: null, amount: 0 })).toContain('ball change');
    expect(walk(aPhrase('1 R fwd, 2 R hop, 3 L fwd, 4 L sink')).findings).toEqual([]);
  });

  it('finds the same as a walk by hand that knows nothing but which foot stands', () => {
    fc.assert(
      fc.property(anyPhrase, (phrase) => {
        let weight = phrase.startWeight;
        const wrong: number[] = [];
        phrase.rows.forEach(({ foot, act }, index) => {
          if (foot === 'both') weight = 'both';
          else if (foot !== null && act !== null) {
            const opposite = foot === 'left' ? 'right' : 'left';
            if (act === 'hop' ? weight !== foot : act !== 'sink' && weight === foot) wrong.push(index);
            if (act === 'step' || act === 'leap' || act === 'hop') weight = foot;
            else if (act !== 'sink' && weight !== opposite) weight = opposite;
          }
        });
        const { findings, stands } = walk(phrase);
        expect(findings.filter(({ kind }) => kind === 'foot-carries').map(({ row }) => row)).toEqual(wrong);
        expect(stands.at(-1)?.weight).toBe(weight);
      }),
      { numRuns: 2000 },
    );
  });

  it('of the mirrored phrase is the mirror image with the same findings, and mirrored twice it is itself', () => {
    fc.assert(
      fc.property(anyPhrase, (phrase) => {
        const image = mirroredPhrase(phrase);
        expect(mirroredPhrase(image)).toEqual(phrase);
        const [one, other] = [walk(phrase), walk(image)];
        expect(other.findings.map(({ row, kind }) => `${String(row)} ${kind}`)).toEqual(
          one.findings.map(({ row, kind }) => `${String(row)} ${kind}`),
        );
        one.stands.forEach((stand, index) => {
          const mirror = other.stands[index];
          expect(mirror?.right.x).toBeCloseTo(-Number(stand.left.x), 9);
          expect(mirror?.right.z).toBeCloseTo(stand.left.z, 9);
        });
        expect(other.footprint.widthM).toBeCloseTo(one.footprint.widthM, 9);
      }),
    );
  });

  it('of one phrase after another is the sum of both', () => {
    const once = aPhrase('1 R fwd, 2 L fwd, 3 R side, 4 L close');
    const twice = aPhrase('1 R fwd, 2 L fwd, 3 R side, 4 L close, 5 R fwd, 6 L fwd, 7 R side, 8 L close');
    const [a, b] = [walk(once).stands.at(-1), walk(twice).stands.at(-1)];
    expect(b?.left.z).toBeCloseTo((a?.left.z ?? 0) * 2, 9);
    expect(b?.left.x).toBeCloseTo((a?.left.x ?? 0) * 2 - 0.1, 9);
  });

  it('says how far a form ends from its mark, and how it is turned', () => {
    const form = { endsAtStart: true, startWeight: 'both' as const };
    expect(walk(aPhrase('1 L fwd, 2 R fwd, 3 L back, 4 R back, 5 L close', form)).findings).toEqual([]);
    expect(walk(aPhrase('1 L fwd, 2 R fwd, 3 L turn left 90', form)).findings.map(({ kind }) => kind)).toContain('not-on-the-mark');
    expect(walk(aPhrase('1 L place turn left 90', form)).findings).toMatchObject([{ kind: 'faces-elsewhere', amount: 90 }]);
  });
});
