import type { ClubChecksResponse } from '@leiter/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { otherClub, testApp, type Agent, type TestApp } from './test-app.js';

let club: TestApp;
let owner: Agent;
let tomasz: Agent;
beforeAll(async () => {
  club = await testApp({ filled: 'demo' });
  [owner, tomasz] = await Promise.all([club.as('owner'), club.as('gymnastics')]);
});
afterAll(() => club.close());

const about = async (asked: Agent = owner): Promise<ClubChecksResponse> => (await asked.get('/api/club/checks').expect(200)).body;
const turn = (check: string, body: object) => owner.put(`/api/club/checks/${check}`).send(body);
const set = (number: string, body: object) => owner.put(`/api/club/check-numbers/${number}`).send(body);

/** Half a plan: judged as it is sent. */
const plan = {
  format: 'leiter-plan/1',
  programme: 'gymnastics',
  lengthMinutes: 20,
  sections: [
    {
      kind: 'warm-up',
      items: [{ movement: 'jog-on-the-spot', dose: { kind: 'timed', seconds: 300 } }],
    },
  ],
};
const checksFound = async (): Promise<readonly string[]> => {
  const { findings } = (await owner.post('/api/class-plans/preview').send({ plan }).expect(200)).body;
  return (findings as readonly { readonly check: string }[]).map(({ check }) => check);
};

describe('what a club holds otherwise than usual', () => {
  it('is nothing at first', async () => {
    expect(await about()).toEqual({ rules: { off: [], numbers: {} }, changes: [] });
  });

  it('is asked in its plans: a check that is off is silent, and on again it speaks', async () => {
    expect(await checksFound()).toContain('no-closing');
    await turn('no-closing', { isOn: false }).expect(204);
    expect(await checksFound()).not.toContain('no-closing');
    await turn('no-closing', { isOn: true }).expect(204);
    expect(await checksFound()).toContain('no-closing');
  });

  it('a check that can stop a class is turned off with a reason, which is kept with who gave it', async () => {
    const refused = (await turn('safety-talk', { isOn: false, reason: '  ' }).expect(422)).body;
    expect(refused.errors).toEqual([{ field: 'reason', message: 'This check can stop a class. Say why your club does not make it.' }]);
    expect(await checksFound()).toContain('safety-talk');
    await turn('safety-talk', { isOn: false, reason: 'Told by the host before every call' }).expect(204);
    expect(await checksFound()).not.toContain('safety-talk');
    const { rules, changes } = await about(tomasz);
    expect(rules.off).toEqual([{ check: 'safety-talk', reason: 'Told by the host before every call' }]);
    expect(changes[0]).toMatchObject({
      rule: 'safety-talk',
      to: 'off',
      reason: 'Told by the host before every call',
      by: expect.stringMatching(/\w/),
    });
    await turn('safety-talk', { isOn: true }).expect(204);
    // the reason stays to be read
    expect((await about()).changes.slice(0, 2)).toMatchObject([{ to: 'on' }, { to: 'off', reason: 'Told by the host before every call' }]);
  });

  it('a number of its own holds, by age as well, and goes back to what is usual', async () => {
    expect(await checksFound()).toContain('clock');
    await set('clock.unused', { value: 60 }).expect(204);
    expect(await checksFound()).not.toContain('clock');
    const steps = [
      { upToYears: 10, limit: 30 },
      { upToYears: 99, limit: 200 },
    ];
    await set('hands-volume.in-all', { steps }).expect(204);
    expect((await about()).rules.numbers).toEqual({ 'clock.unused': 60, 'hands-volume.in-all': steps });
    // said once more it is no news
    const before = (await about()).changes.length;
    await set('hands-volume.in-all', { steps }).expect(204);
    expect((await about()).changes).toHaveLength(before);
    await owner.delete('/api/club/check-numbers/clock.unused').expect(204);
    expect(await checksFound()).toContain('clock');
    await set('hands-volume.in-all', {
      steps: [
        { upToYears: 7, limit: 150 },
        { upToYears: 99, limit: 240 },
      ],
    }).expect(204);
    const { rules, changes } = await about();
    expect(rules.numbers).toEqual({});
    expect(changes[0]).toMatchObject({ rule: 'hands-volume.in-all', to: 'usual' });
  });

  it('comes with the page of a class, on the plan, the paper and the outlook alike', async () => {
    await turn('landings', { isOn: false, reason: 'Ours counts by itself' }).expect(204);
    const [coming] = (await tomasz.get('/api/coming-classes').expect(200)).body as readonly {
      readonly class: { readonly id: string } | null;
    }[];
    const page = (await tomasz.get(`/api/classes/${coming?.class?.id ?? ''}`).expect(200)).body;
    expect(page.rules.off).toEqual([{ check: 'landings', reason: 'Ours counts by itself' }]);
    await turn('landings', { isOn: true }).expect(204);
  });

  it.each([
    ['landings.most', { value: 20 }, 'This number is told by age.'],
    ['landings.most', { steps: [{ upToYears: 9, limit: 20 }] }, 'The last step is for all who are older.'],
    ['wrist-time.relief', { steps: [{ upToYears: 99, limit: 20 }] }, 'This number is the same at every age.'],
    ['wrist-time.relief', { value: 2 }, 'From 5 to 180 seconds.'],
    ['wrist-time.relief', {}, 'What shall it be?'],
  ])('refuses what %s cannot be: %j', async (number, body, words) => {
    expect((await set(number, body).expect(422)).body.detail).toBe(words);
    expect((await about()).rules.numbers).toEqual({});
  });

  it('knows no other checks and numbers', async () => {
    await turn('no-such-check', { isOn: false, reason: 'x' }).expect(404);
    await turn('landings.most', { isOn: false, reason: 'x' }).expect(404);
    await set('landings', { value: 3 }).expect(404);
    await set('__proto__', { value: 3 }).expect(404);
    await owner.delete('/api/club/check-numbers/toString').expect(404);
  });

  it('is the owner’s to change, and stays in the club', async () => {
    await tomasz.put('/api/club/checks/landings').send({ isOn: false, reason: 'x' }).expect(403);
    await tomasz.put('/api/club/check-numbers/wrist-time.relief').send({ value: 20 }).expect(403);
    await tomasz.delete('/api/club/check-numbers/wrist-time.relief').expect(403);
    await club.visitor().get('/api/club/checks').expect(401);
    const theirs = await otherClub(club.source);
    await club.source.query(`INSERT INTO check_rule (club_id, rule, value) SELECT club_id, 'landings', '"off"' FROM child WHERE id = $1`, [
      theirs.child,
    ]);
    expect((await about()).rules).toEqual({ off: [], numbers: {} });
  });

  it('what a newer Leiter stored is left alone, and breaks no plan', async () => {
    const [{ club_id: id }] = await club.source.query("SELECT club_id FROM person WHERE name LIKE 'Tomasz%'");
    for (const [rule, value] of [
      ['a-check-to-come', '"off"'],
      ['wrist-time.relief', '"short"'],
      ['landings.most', '7'],
    ])
      await club.source.query('INSERT INTO check_rule (club_id, rule, value) VALUES ($1, $2, $3)', [id, rule, value]);
    expect((await about()).rules).toEqual({ off: [], numbers: {} });
    expect(await checksFound()).toContain('no-closing');
  });
});
