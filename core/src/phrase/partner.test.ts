import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anEight, aPhrase, writtenPhrase } from '../testing/phrases.js';
import { compacted } from './compact.js';
import { mendedText } from './mend-text.js';
import { partnerAtCount, partnerOn, partnersPhrase, walkOfPartner } from './partner.js';
import { mirroredPhrase, partnerPlaces, type Phrase } from './phrase.js';
import { phraseTextFaultWords, readPhrase } from './phrase-text.js';
import { segmentsOf } from './tiers.js';
import { middleOf, phraseFindingWords, walk, type Stand } from './walk.js';
import { walkingFigure } from './walking-figure.js';

/** A step back under a rising block, while the partner steps in with a punch; then both come home. */
const set = `partner ahead 1.4 m
# One
1 R back / hands rising block L, 2 both sink / hands reverse punch R
partner: 1 L fwd / hands lunge punch L, 2 both sink
# Two
3 R close / hands fists ahead, 4 both sink
partner: 3 L back, & R close`;

const faultsOf = (text: string): readonly string[] => {
  const read = readPhrase(writtenPhrase(text));
  return read.ok ? [] : read.error.map((fault) => `${String(fault.line)} ${fault.kind} ${fault.found}`);
};
const apart = (a: Stand | undefined, b: Stand | undefined): number => {
  if (!a || !b) return NaN;
  const [one, two] = [middleOf(a), middleOf(b)];
  return Math.hypot(one.x - two.x, one.z - two.z);
};
const together = (phrase: Phrase) => {
  const other = walkOfPartner(phrase);
  if (!other) throw new Error('there is a partner');
  return { own: walk(phrase), other };
};

describe('a partner', () => {
  it('stands where the phrase says, and looks at the child only from ahead', () => {
    for (const [place, spot, isLooking] of [
      ['ahead 1.4', { x: 0, z: 1.4 }, true],
      ['behind', { x: 0, z: -1.2 }, false],
      ['left 2 m', { x: 2, z: 0 }, false],
      ['right 0.5', { x: -0.5, z: 0 }, false],
    ] as const) {
      const { other } = together(aPhrase(`partner ${place}\n1 R fwd`));
      const begins = other.stands[0];
      expect([begins && middleOf(begins).x, begins && middleOf(begins).z].map((one) => one?.toFixed(6))).toEqual([
        spot.x.toFixed(6),
        spot.z.toFixed(6),
      ]);
      expect(Math.abs((begins?.facing ?? NaN) % 360)).toBe(isLooking ? 180 : 0);
    }
  });

  it('does its own rows on the same counts, and comes nearer as it steps in', () => {
    const phrase = aPhrase(set);
    const { own, other } = together(phrase);
    expect(other.phrase.rows.map(({ at, foot, place }) => [at, foot, place])).toEqual([
      [0, 'left', 'fwd'],
      [1, 'both', 'place'],
      [2, 'left', 'back'],
      [2.5, 'right', 'close'],
    ]);
    expect(partnerOn(phrase, 0)).toHaveLength(1);
    expect(partnerOn(phrase, 3)).toEqual([]);
    expect(partnerOn(phrase, 2)).toHaveLength(2);
    expect([-1, 0, 1.9, 2.5, 9].map((count) => partnerAtCount(phrase, count)?.at)).toEqual([undefined, 0, 1, 2.5, 2.5]);
    // the child's step back and the partner's step in: nearly as far apart as before
    expect(apart(own.stands[1], other.stands[1])).toBeCloseTo(1.4 - 0.55 / 2 + 0.45 / 2, 1);
    expect(other.findings).toEqual([]);
    expect(other.tooNear).toEqual([]);
    expect(other.together.lengthM).toBeGreaterThan(own.footprint.lengthM + 0.8);
  });

  it('may only stand there, holding a pad', () => {
    const { other } = together(aPhrase('partner ahead 1\n1 R kick fwd'));
    expect([other.stands.length, other.findings, other.phrase.rows]).toEqual([1, [], []]);
  });

  it('is nobody where no line names one', () => {
    const phrase = aPhrase('1 R fwd, 2 L close');
    expect([phrase.partner, partnersPhrase(phrase), walkOfPartner(phrase)]).toEqual([null, null, null]);
  });

  it('moved on a foot that carries is found at its own row; its rests are no holes', () => {
    const { other } = together(aPhrase('1 R fwd, 2 L fwd, 3 R fwd, 4 L fwd\npartner: 1 R back, 4 R back'));
    expect(other.findings).toEqual([{ row: 1, kind: 'foot-carries', foot: 'right', amount: 0 }]);
  });

  it.each([
    ['partner ahead 1.44\n1 both jump fwd, 2 both jump fwd', [1]],
    ['partner ahead 1.45\n1 both jump fwd, 2 both jump fwd', []],
  ])('that a child walks into is found at the row, and not at the exact limit: %s', (text, rows) => {
    // two jumps of 0.55: 1.1 m gone
    const found = together(aPhrase(text)).other.tooNear;
    expect(found.map(({ row }) => row)).toEqual(rows);
    for (const finding of found) expect(phraseFindingWords(finding)).toContain('0.3 m from middle');
  });

  it('goes to the other side with the child: mirrored twice it is as it was, mirrored once its way is the mirror image', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...partnerPlaces),
        fc.double({ min: 0.5, max: 4, noNaN: true }),
        fc.integer({ min: 1, max: 8 }),
        (place, away, startFacing) => {
          const phrase = aPhrase(set.replace('ahead 1.4 m', `${place} ${away.toFixed(2)}`), { startFacing });
          const mirrored = mirroredPhrase(phrase);
          expect(mirroredPhrase(mirrored)).toEqual(phrase);
          const [ours, theirs] = [together(phrase).other.stands, together(mirrored).other.stands];
          ours.forEach((stand, index) => {
            const image = theirs[index];
            expect(image && middleOf(image).x).toBeCloseTo(0 - middleOf(stand).x, 9);
            expect(image && middleOf(image).z).toBeCloseTo(middleOf(stand).z, 9);
          });
        },
      ),
    );
  });

  it('stands to the child in the second part alone as it does in the whole', () => {
    const phrase = aPhrase(set, { startFacing: 3 });
    const alone = segmentsOf(phrase, [1]);
    expect(alone.partner?.rows.map(({ at }) => at)).toEqual([2, 2.5]);
    const [whole, part] = [together(phrase), together(alone)];
    expect(apart(part.own.stands[0], part.other.stands[0])).toBeCloseTo(apart(whole.own.stands[2], whole.other.stands[2]), 9);
    expect((part.other.stands[0]?.facing ?? 0) - (part.own.stands[0]?.facing ?? 0)).toBeCloseTo(180, 9);
  });

  it('stays on the spot in a small room where the child does, as far away as before', () => {
    const text = 'partner ahead 1.2\n1 R back, 2 L back, 3 R back, 4 L back\npartner: 1 L fwd, 2 R fwd, 3 L fwd, 4 R fwd';
    const fitted = compacted(aPhrase(text), { widthM: 1.2, lengthM: 1.2 });
    if (!fitted.fits) throw new Error('it fits');
    const { own, other } = together(fitted.phrase);
    expect(other.tooNear).toEqual([]);
    expect(apart(own.stands.at(-1), other.stands.at(-1))).toBeCloseTo(1.2, 0);
  });

  it('is a body of its own, opposite the child, and standing while it is counted in', () => {
    const phrase = aPhrase(set);
    const partners = partnersPhrase(phrase);
    if (!partners) throw new Error('there is a partner');
    const [child, other] = [walkingFigure(phrase), walkingFigure(partners)].map((figure) => figure.at(-1).pelvis);
    expect(child?.[2]).toBeCloseTo(0, 6);
    expect(other?.[2]).toBeCloseTo(1.4 / 1.7, 2);
  });

  it.each([
    ['partner near 1\n1 R fwd', '1 partner-where near 1'],
    ['partner ahead 0.4\n1 R fwd', '1 partner-where ahead 0.4'],
    ['partner ahead 4.1\n1 R fwd', '1 partner-where ahead 4.1'],
    ['1 R fwd\npartner:', '2 partner-where '],
    ['partner: 1 R fwd\n1 R fwd', '1 stands-in-for-nothing partner'],
    ['1 R fwd\npartner: 1 R sideways', '2 unknown-word sideways'],
    ['1 R fwd, 2 L fwd\npartner: 1 R fwd, 2 L fwd\npartner: 2 R fwd', '3 count-goes-back 2'],
  ])('%s is refused at its line', (text, fault) => {
    expect(faultsOf(text)).toEqual([fault]);
  });

  it('is said in words where it cannot be', () => {
    expect(phraseTextFaultWords({ line: 1, kind: 'partner-where', found: 'near 1' })).toContain('0.5 to 4');
    expect(faultsOf('partner ahead 0.5\npartner left 4\n1 R fwd')).toEqual([]);
  });

  it('counts toward the most rows, and is passed over where a row of the child is mended', () => {
    const long = `1 R fwd\npartner: ${Array.from({ length: 8 }, (_, index) => `${String(index + 1)} R fwd`).join(', ')}\n`.repeat(60);
    expect(faultsOf(long).at(-1)).toMatch(/too-many-rows/);
    expect(mendedText('1 R fwd\npartner: 1 L fwd\n2 R fwd', 1, 'right', 'other-foot')).toBe('1 R fwd\npartner: 1 L fwd\n2 L fwd');
    expect(anEight).not.toHaveProperty('partner');
  });
});
