import type { LibraryImportResponse } from '@leiter/contract';
import { syllabusFaults, libraryOf, type Movement } from '@leiter/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { FoundingService } from '../src/club/founding.service.js';
import { testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  owner = await club.as('owner');
});
afterAll(() => club.close());

interface LibraryExport {
  readonly format: string;
  readonly movements: readonly Movement[];
}
const exported = async (): Promise<LibraryExport> => (await owner.get('/api/library/export').expect(200)).body as LibraryExport;
const take = (movements: readonly object[], dryRun = false) =>
  owner.post(`/api/library/import${dryRun ? '?dryRun=true' : ''}`).send({ format: 'leiter-library/1', movements });
const taken = async (movements: readonly object[], dryRun = false): Promise<LibraryImportResponse> =>
  (await take(movements, dryRun).expect(200)).body as LibraryImportResponse;
const quayHop = {
  slug: 'quay-hop',
  name: 'Quay hop',
  kind: 'drill',
  sections: ['drills'],
  plainMeaning: 'Hop along the quay',
  posture: { from: 'standing', to: 'standing' },
  level: 'standing',
  effort: 2,
  dose: { '7-9': { kind: 'timed', seconds: 30 } },
};

describe('the library as a file', () => {
  it('taken in again as it was given out changes nothing', async () => {
    const before = await exported();
    const answer = await taken(before.movements);
    expect(answer).toMatchObject({ added: [], changed: [], importId: null });
    expect(answer.same).toHaveLength(before.movements.length);
    expect(await exported()).toEqual(before);
  });

  it('is looked at first without storing anything', async () => {
    const before = await exported();
    const changed = { ...before.movements[0], plainMeaning: 'Said in other words' };
    const answer = await taken([quayHop, changed], true);
    expect(answer).toMatchObject({ added: ['quay-hop'], changed: [{ slug: changed.slug, fields: ['plainMeaning'] }], importId: null });
    expect(await exported()).toEqual(before);
  });

  it('says what safety rests on and the file does not say, and what a coach would not sign', async () => {
    const wheel = {
      ...quayHop,
      slug: 'quay-wheel',
      name: 'Quay wheel',
      kind: 'skill',
      hazards: ['inverted'],
      instead: 'bear-walk',
      leastAge: 7,
      homeTask: 'no',
      needs: { surface: 'any-dry', adult: 'none' },
    };
    const { filled, unsignable } = await taken([quayHop, wheel], true);
    expect(filled).toEqual([{ slug: 'quay-hop', fields: ['leastAge', 'homeTask', 'needs.surface', 'needs.adult'] }]);
    expect(unsignable).toEqual([
      { slug: 'quay-wheel', why: 'it can go wrong on wood, tiles, concrete; soft floors only.' },
      { slug: 'quay-wheel', why: 'no fault ends a try, though hands, neck, knees or a landing carry.' },
    ]);
  });

  it('is taken in whole, and undone whole', async () => {
    const before = await exported();
    const changed = { ...before.movements[0], plainMeaning: 'Said in other words' };
    const { importId } = await taken([quayHop, changed]);
    const after = await exported();
    expect(after.movements).toHaveLength(before.movements.length + 1);
    expect(after.movements.find(({ slug }) => slug === changed.slug)?.plainMeaning).toBe('Said in other words');
    await owner.delete(`/api/library/imports/${importId ?? ''}`).expect(204);
    expect(await exported()).toEqual(before);
    await owner.delete(`/api/library/imports/${importId ?? ''}`).expect(404);
  });

  it('with one wrong entry is refused by entry and field in plain words, and nothing of it is stored', async () => {
    const before = await exported();
    const answer = await take([
      quayHop,
      { ...quayHop, slug: 'other', name: 'Other', effort: 9 },
      { ...quayHop, slug: 'third', name: 'Cartwheel', prerequisites: [{ movement: 'levitate', mark: 'alone' }] },
    ]).expect(422);
    expect(answer.body.errors).toContainEqual({ field: 'other.effort', message: '“effort” cannot be 9: it is 0, 1, 2, 3, 4.' });
    expect(await exported()).toEqual(before);
    const second = await take([{ ...quayHop, prerequisites: [{ movement: 'levitate', mark: 'alone' }] }]).expect(422);
    expect(second.body.errors).toEqual([
      { field: 'quay-hop.prerequisites', message: '“prerequisites” names “levitate”, which is not there.' },
    ]);
  });

  it('stays when something that it brought is in use by then', async () => {
    const { importId } = await taken([quayHop]);
    const { class: open } = (await owner.get('/api/coming-classes').expect(200)).body.find(
      (one: { class: { hasPlan: boolean } | null }) => one.class && !one.class.hasPlan,
    );
    const items = [{ id: 'a', movement: 'quay-hop', dose: { kind: 'timed', seconds: 30 }, sides: 'none', tiers: ['core'] }];
    await owner
      .put(`/api/classes/${open.id}/plan`)
      .send({ version: 0, plan: { sections: [{ id: 's', kind: 'drills', items }], focus: [] } })
      .expect(200);
    const answer = await owner.delete(`/api/library/imports/${importId ?? ''}`).expect(409);
    expect(answer.body.detail).toMatch(/quay-hop/);
    await owner.get('/api/library/quay-hop').expect(200);
  });

  it('stays when another entry has come to name what it brought', async () => {
    const { importId } = await taken([{ ...quayHop, slug: 'pier-hop', name: 'Pier hop' }]);
    await taken([{ ...quayHop, slug: 'mole-hop', name: 'Mole hop', prerequisites: [{ movement: 'pier-hop', mark: 'alone' }] }]);
    const answer = await owner.delete(`/api/library/imports/${importId ?? ''}`).expect(409);
    expect(answer.body.detail).toMatch(/pier-hop” is in use/);
    await owner.get('/api/library/pier-hop').expect(200);
  });

  it('stays when one of its entries was changed again: the later words are not lost', async () => {
    const first = await taken([{ ...quayHop, slug: 'wharf-hop', name: 'Wharf hop' }]);
    await taken([{ ...quayHop, slug: 'wharf-hop', name: 'Wharf hop', plainMeaning: 'In later words' }]);
    const answer = await owner.delete(`/api/library/imports/${first.importId ?? ''}`).expect(409);
    expect(answer.body.detail).toMatch(/wharf-hop” was changed again/);
    expect((await owner.get('/api/library/wharf-hop').expect(200)).body.plainMeaning).toBe('In later words');
  });

  it('is the club’s own from then on: a later start does not write over it', async () => {
    const before = (await exported()).movements.find(({ slug }) => slug === 'cartwheel');
    await taken([{ ...before, plainMeaning: 'As our club says it' }]);
    await club.app.get(FoundingService).refreshLibraries();
    expect((await owner.get('/api/library/cartwheel').expect(200)).body.plainMeaning).toBe('As our club says it');
  });

  it('is not taken in from an assistant, nor in another format', async () => {
    await (await club.as('assistant')).post('/api/library/import').send({ format: 'leiter-library/1', movements: [] }).expect(403);
    await owner.post('/api/library/import').send({ format: 'something/2', movements: [] }).expect(400);
  });

  it('of three thousand movements is taken in', async () => {
    const many = Array.from({ length: 3000 }, (_, index) => ({ ...quayHop, slug: `hop-${String(index)}`, name: `Hop ${String(index)}` }));
    const { added, importId } = await taken(many);
    expect(added).toHaveLength(3000);
    await owner.delete(`/api/library/imports/${importId ?? ''}`).expect(204);
  }, 60_000);
});

describe('an entry of the club', () => {
  it('is written anew in one call, and is the club’s own from then on', async () => {
    const before = (await owner.get('/api/library/bridge').expect(200)).body;
    expect(before).toMatchObject({ isOwn: false, isPutAway: false });
    const { isOwn: _own, isPutAway: _away, ownCue: _said, ...movement } = before;
    const after = await owner
      .put('/api/library/bridge')
      .send({ movement: { ...movement, cues: ['Our own cue'] } })
      .expect(200);
    expect(after.body).toMatchObject({ cues: ['Our own cue'], isOwn: true });
  });

  it('may be a copy under another name, but not under a name that is there', async () => {
    const { isOwn: _own, isPutAway: _away, ownCue: _said, ...movement } = (await owner.get('/api/library/lever').expect(200)).body;
    await owner
      .put('/api/library/lever-on-a-line')
      .send({ movement: { ...movement, name: 'Lever on a line' } })
      .expect(200);
    const answer = await owner.put('/api/library/lever-again').send({ movement }).expect(422);
    expect(answer.body.errors[0].message).toMatch(/is there twice/);
    await owner.get('/api/library/lever-again').expect(404);
  });

  it('is told with the cue of the club, which is no change of the entry, and goes again when emptied', async () => {
    const before = (await owner.get('/api/library/export').expect(200)).body;
    const said = await owner.patch('/api/library/candle').send({ ownCue: '  Toes to the lamp ' }).expect(200);
    expect(said.body).toMatchObject({ ownCue: 'Toes to the lamp', isOwn: false, isPutAway: false });
    expect((await owner.get('/api/library/export').expect(200)).body).toEqual(before);
    expect((await owner.patch('/api/library/candle').send({ ownCue: '' }).expect(200)).body.ownCue).toBeNull();
    await owner
      .patch('/api/library/candle')
      .send({ ownCue: 'x'.repeat(61) })
      .expect(400);
  });

  it('put away is still there for plans and marks, and comes back', async () => {
    expect((await owner.patch('/api/library/candle').send({ isPutAway: true }).expect(200)).body.isPutAway).toBe(true);
    const list = (await owner.get('/api/library').expect(200)).body as readonly { slug: string; isPutAway: boolean }[];
    expect(list.find(({ slug }) => slug === 'candle')?.isPutAway).toBe(true);
    expect((await owner.patch('/api/library/candle').send({ isPutAway: false }).expect(200)).body.isPutAway).toBe(false);
  });

  it('is not changed by an assistant', async () => {
    const assistant = await club.as('assistant');
    await assistant.put('/api/library/bridge').send({ movement: {} }).expect(403);
    await assistant.patch('/api/library/bridge').send({ isPutAway: true }).expect(403);
  });
});

describe('the ladders as a file', () => {
  it('name movements and criteria, without an id of this club, and stand the validator', async () => {
    const { body } = await owner.get('/api/syllabuses/export').expect(200);
    expect(body.format).toBe('leiter-syllabus/1');
    expect(JSON.stringify(body)).not.toMatch(/[0-9a-f]{8}-[0-9a-f]{4}-/);
    const library = libraryOf((await exported()).movements);
    expect(body.syllabuses).toHaveLength(3);
    for (const ladder of body.syllabuses) expect(syllabusFaults(ladder, library)).toEqual([]);
  });
});
