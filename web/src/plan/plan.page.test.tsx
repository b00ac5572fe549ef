// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import type { ClassPageResponse } from '@leiter/contract';
import type { ClassPlan } from '@leiter/core';
import { aMovement, anItem, aPlan } from '@leiter/core/testing';
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { aClassPage, stored, type Sent } from '../testing/makers';
import { renderAt, serverWith } from '../testing/rendered';
import { Page as PlanPage } from './plan.page';

const movements = [
  aMovement('balance', { name: 'Balance', kind: 'basic' }),
  aMovement('quay-hop', { name: 'Quay hop' }),
  aMovement('slack-tide', { name: 'Slack tide', sections: ['cool-down'] }),
];
const hold = { kind: 'hold', sets: 2, holdSeconds: 20, restSeconds: 25 } as const;
const counts = { kind: 'counts', eights: 4, bpm: 96, repeats: 3, countIn: 8 } as const;

function aClass(id: string, plan: ClassPlan | null, said: Partial<ClassPageResponse['class']> = {}): ClassPageResponse {
  const page = aClassPage({ stored: plan && stored(3, plan) });
  return { ...page, class: { ...page.class, id, groupName: `Group ${id}`, ...said } };
}

function open(classes: Readonly<Record<string, ClassPageResponse>>, id: string) {
  const sent = serverWith({ classes, movements });
  return { sent, ...renderAt(`/classes/${id}/plan`, '/classes/:id/plan', <PlanPage />) };
}

const rung = (name: RegExp) => within(screen.getByRole('region', { name: 'Running order' })).getByRole('button', { name });
const saves = (sent: readonly Sent[]) => sent.filter(({ method, path }) => method === 'PUT' && path.endsWith('/plan'));
const planIn = (one: Sent | undefined): ClassPlan => {
  if (!one) throw new Error('nothing was sent');
  return (one.body as { readonly plan: ClassPlan }).plan;
};
const press = (key: string, said: object = {}): void => {
  fireEvent.keyDown(document.activeElement ?? document.body, { key, code: key.length === 1 ? `Key${key.toUpperCase()}` : key, ...said });
};
/** Types one character after the other, as a person does. */
function type(field: HTMLElement, text: string): void {
  fireEvent.change(field, { target: { value: '' } });
  for (let end = 1; end <= text.length; end += 1) fireEvent.change(field, { target: { value: text.slice(0, end) } });
}
async function chosen(name: RegExp): Promise<void> {
  fireEvent.click(await waitFor(() => rung(name)));
}

beforeEach(() => {
  localStorage.clear();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('the plan of a class', () => {
  it('is that of its address: going back to another class carries nothing over', async () => {
    const one = aPlan({ drills: [anItem('balance')] });
    const { sent, go } = open({ a: aClass('a', one), b: aClass('b', null) }, 'b');
    fireEvent.click(await screen.findByRole('button', { name: 'Start empty' }));
    await waitFor(() => {
      expect(saves(sent).map(({ path }) => path)).toEqual(['/api/classes/b/plan']);
    });
    await go('/classes/a/plan');
    await waitFor(() => rung(/Balance/));
    await new Promise((resolve) => setTimeout(resolve, 900));
    expect(saves(sent).filter(({ path }) => path.includes('/a/'))).toEqual([]);
  });

  it('keeps a dose of its kind while one types, with the rest that was said, and takes it with Enter', async () => {
    const { sent } = open({ a: aClass('a', aPlan({ drills: [anItem('balance', { id: 'a', dose: hold })] })) }, 'a');
    await chosen(/Balance/);
    const field = screen.getByLabelText('Dose');
    type(field, '3x30s');
    expect(field).toHaveProperty('value', '3x30s');
    fireEvent.keyDown(field, { key: 'Enter' });
    await waitFor(() => {
      expect(saves(sent)).toHaveLength(1);
    });
    expect(planIn(saves(sent)[0]).sections[0]?.items[0]?.dose).toEqual({ kind: 'hold', sets: 3, holdSeconds: 30, restSeconds: 25 });
  });

  it.each([
    ['8x8 @ 100', { ...counts, eights: 8, bpm: 100 }],
    ['4 min', { kind: 'timed', seconds: 240 }],
  ])('reads “%s” as it was meant, whatever it was on the way', async (text, dose) => {
    const { sent } = open({ a: aClass('a', aPlan({ drills: [anItem('balance', { id: 'a', dose: counts })] })) }, 'a');
    await chosen(/Balance/);
    type(screen.getByLabelText('Dose'), text);
    fireEvent.blur(screen.getByLabelText('Dose'));
    await waitFor(() => {
      expect(planIn(saves(sent).at(-1)).sections[0]?.items[0]?.dose).toEqual(dose);
    });
  });

  it('takes how it is taught with the dose, and says in figures what that costs', async () => {
    const { sent } = open({ a: aClass('a', aPlan({ drills: [anItem('balance', { id: 'a', dose: hold })] })) }, 'a');
    await chosen(/Balance/);
    type(screen.getByLabelText('Dose'), '2x20s watch talk 90s');
    fireEvent.keyDown(screen.getByLabelText('Dose'), { key: 'Enter' });
    await waitFor(() => {
      expect(planIn(saves(sent).at(-1)).sections[0]?.items[0]).toMatchObject({ way: 'watch', explainSeconds: 90 });
    });
    // ninety seconds of talk, and the hold of twenty once by the instructor alone
    expect(screen.getByText('Explain: watch, as you wrote').parentElement?.textContent).toContain('1:50');
    expect(rung(/Balance/).textContent).toContain('watch, talk 1:30');
    rung(/Balance/).focus();
    press('w');
    await waitFor(() => {
      expect(planIn(saves(sent).at(-1)).sections[0]?.items[0]?.way).toBeUndefined();
    });
  });

  it('asks for what is built before it and how long that takes, and keeps both once one has left them', async () => {
    const { sent } = open({ a: aClass('a', aPlan({ drills: [anItem('balance', { id: 'a', dose: hold })] })) }, 'a');
    await chosen(/Balance/);
    const [what, takes] = [screen.getByLabelText('Built or fetched before it'), screen.getByLabelText('Takes s')];
    what.focus();
    type(what, 'a line of tape');
    act(() => {
      takes.focus();
    });
    type(takes, '30');
    act(() => {
      screen.getByLabelText('Your cue').focus();
    });
    await waitFor(() => {
      expect(planIn(saves(sent).at(-1)).sections[0]?.items[0]?.build).toEqual({ what: 'a line of tape', seconds: 30 });
    });
  });

  it('is taught as its instructor does, or as it says itself, with what that takes', async () => {
    const { sent } = open({ a: aClass('a', aPlan({ drills: [anItem('balance', { id: 'a', familiarity: 'new' })] })) }, 'a');
    fireEvent.mouseDown(await screen.findByLabelText('How this class is taught'));
    fireEvent.click(await screen.findByRole('option', { name: /^Along with me/ }));
    await waitFor(() => {
      expect(planIn(saves(sent).at(-1)).style).toBe('along');
    });
  });

  it('says of half a set that it cannot be, and stores nothing of it', async () => {
    const { sent } = open({ a: aClass('a', aPlan({ drills: [anItem('balance', { id: 'a', dose: hold })] })) }, 'a');
    await chosen(/Balance/);
    type(screen.getByLabelText('Sets'), '2.5');
    fireEvent.blur(screen.getByLabelText('Sets'));
    expect(screen.getByText('whole, 1–20')).toBeTruthy();
    await new Promise((resolve) => setTimeout(resolve, 900));
    expect(saves(sent)).toEqual([]);
  });

  it('does not bring an undone cue back when one leaves its field', async () => {
    const { sent } = open({ a: aClass('a', aPlan({ drills: [anItem('balance', { id: 'a' })] })) }, 'a');
    await chosen(/Balance/);
    const cue = () => screen.getByLabelText('Your cue');
    fireEvent.change(cue(), { target: { value: 'Light feet' } });
    fireEvent.blur(cue());
    rung(/Balance/).focus();
    press('z', { ctrlKey: true });
    await waitFor(() => {
      expect(cue()).toHaveProperty('value', '');
    });
    fireEvent.focus(cue());
    fireEvent.blur(cue());
    await new Promise((resolve) => setTimeout(resolve, 900));
    expect(cue()).toHaveProperty('value', '');
    for (const one of saves(sent)) expect(planIn(one).sections[0]?.items[0]?.cue).toBeUndefined();
  });

  it('is left alone by keys while a dialog lies over it', async () => {
    const { sent } = open({ a: aClass('a', aPlan({ drills: [anItem('balance', { id: 'a' }), anItem('quay-hop', { id: 'b' })] })) }, 'a');
    await waitFor(() => rung(/Balance/));
    fireEvent.click(await screen.findByRole('button', { name: /Fit to the clock/ }));
    await screen.findByRole('dialog');
    for (const key of ['ArrowDown', 'd', 'Delete']) press(key);
    await new Promise((resolve) => setTimeout(resolve, 900));
    expect(saves(sent)).toEqual([]);
    expect(
      within(screen.getByRole('region', { name: 'Running order', hidden: true })).getAllByRole('button', { name: /takes/, hidden: true }),
    ).toHaveLength(2);
  });

  it('takes a block from one line: what stands between two plus signs, and what is done with it', async () => {
    const { sent } = open({ a: aClass('a', aPlan({ drills: [anItem('balance', { id: 'a' })] })) }, 'a');
    await chosen(/Balance/);
    rung(/Balance/).focus();
    press('n');
    const line = await screen.findByLabelText('Write what comes here');
    fireEvent.change(line, { target: { value: 'quay hop 2x6 + balance each side' } });
    expect(screen.getByText('Quay hop + Balance')).toBeTruthy();
    expect(screen.getByText('chain, left then right')).toBeTruthy();
    fireEvent.keyDown(line, { key: 'Enter' });
    await waitFor(() => {
      const plan = planIn(saves(sent).at(-1));
      expect(plan.sections[0]?.items.map(({ movement }) => movement)).toEqual(['balance', 'quay-hop', 'balance']);
      expect(plan.sections[0]?.items[1]?.dose).toMatchObject({ kind: 'reps', sets: 2, reps: 6 });
      expect(plan.circuits).toMatchObject([{ kind: 'chain', rounds: 1 }]);
    });
    // the next line comes after the block
    const next = await screen.findByLabelText('Write what comes here');
    fireEvent.change(next, { target: { value: 'slack tide' } });
    fireEvent.keyDown(next, { key: 'Enter' });
    await waitFor(() => {
      expect(planIn(saves(sent).at(-1)).sections[0]?.items.map(({ movement }) => movement)).toEqual([
        'balance',
        'quay-hop',
        'balance',
        'slack-tide',
      ]);
    });
  });

  it('takes what is written into the part one stands in, also where nothing is yet', async () => {
    const empty = {
      sections: ['opening', 'drills', 'cool-down'].map((kind) => ({ id: kind, kind, items: [] })),
      focus: [],
    } as unknown as ClassPlan;
    const { sent } = open({ a: aClass('a', empty) }, 'a');
    fireEvent.click(await screen.findByRole('button', { name: /Cool-down/i }));
    press('n');
    const line = await screen.findByLabelText('Write what comes here');
    fireEvent.change(line, { target: { value: 'slack tide' } });
    fireEvent.keyDown(line, { key: 'Enter' });
    const next = await screen.findByLabelText('Write what comes here');
    fireEvent.change(next, { target: { value: 'balance' } });
    fireEvent.keyDown(next, { key: 'Enter' });
    await waitFor(() => {
      const at = planIn(saves(sent).at(-1)).sections.find(({ kind }) => kind === 'cool-down');
      expect(at?.items.map(({ movement }) => movement)).toEqual(['slack-tide', 'balance']);
    });
  });

  it('takes a line at once where there is nothing at all: N begins in the first part', async () => {
    const empty = { sections: ['opening', 'drills'].map((kind) => ({ id: kind, kind, items: [] })), focus: [] } as unknown as ClassPlan;
    open({ a: aClass('a', empty) }, 'a');
    await screen.findByRole('region', { name: 'Running order' });
    press('n');
    expect(await screen.findByLabelText('Write what comes here')).toBeTruthy();
  });

  it('shows each finding once, and none that is mended', async () => {
    const bear = { kind: 'timed', seconds: 60 } as const;
    const loading = aMovement('bridge', {
      name: 'Bridge',
      kind: 'skill',
      loads: [
        { region: 'neck', amount: 2 },
        { region: 'wrists', amount: 2 },
      ],
    });
    const plan = aPlan({ skill: [anItem('bridge', { id: 'a', dose: bear }), anItem('balance', { id: 'b' })] });
    const sent = serverWith({ classes: { a: aClass('a', plan) }, movements: [...movements, loading] });
    renderAt('/classes/a/plan', '/classes/:id/plan', <PlanPage />);
    await waitFor(() => rung(/Bridge/));
    const found = () => within(screen.getByRole('group', { name: 'Findings' })).queryAllByText(/neck|wrists/);
    await waitFor(() => {
      expect(found().length).toBeGreaterThan(1);
    });
    const texts = found().map(({ textContent }) => textContent);
    expect(new Set(texts).size).toBe(texts.length);
    fireEvent.click(rung(/Bridge/));
    for (let nth = 0; nth < 3; nth += 1) press('+');
    press('Delete');
    await waitFor(() => {
      expect(found()).toEqual([]);
    });
    expect(sent.length).toBeGreaterThan(0);
  });

  it('groups findings by what they are about, mends one with a press once that was tried, and says what it did to the total', async () => {
    const plan = aPlan({ skill: [anItem('kick', { id: 'k', sides: 'left', dose: { kind: 'timed', seconds: 40 } })] });
    const kick = aMovement('kick', { name: 'Kick', kind: 'drill', sides: 'each' });
    serverWith({ classes: { a: aClass('a', plan) }, movements: [...movements, kick] });
    renderAt('/classes/a/plan', '/classes/:id/plan', <PlanPage />);
    const bodies = await screen.findByRole('region', { name: 'Bodies' });
    expect(screen.getByRole('region', { name: 'Order' })).toBeTruthy();
    fireEvent.click(await within(bodies).findByRole('button', { name: /^Add the right, same dose \(\+0:5\d\)$/ }));
    expect((await screen.findByRole('status', { name: 'What changed the total' })).textContent).toMatch(/^\+0:5\d – more of Kick/);
    await waitFor(() => {
      expect(within(screen.getByRole('group', { name: 'Findings' })).queryByText(/One side only/)).toBeNull();
    });
  });

  it('answers how a figure was reckoned where it is pointed at', async () => {
    const plan = aPlan({ skill: [anItem('balance', { id: 'b', dose: { kind: 'timed', seconds: 40 } })] });
    serverWith({ classes: { a: aClass('a', plan) }, movements });
    renderAt('/classes/a/plan', '/classes/:id/plan', <PlanPage />);
    await waitFor(() => rung(/takes/));
    const takes = rung(/takes/).querySelector('.takes');
    if (!takes) throw new Error('no length');
    fireEvent.pointerOver(takes);
    expect(screen.getByRole('status', { name: 'What it asks of bodies' }).textContent).toMatch(
      / takes \d:\d\d: explaining \(.+\) .*doing it 0:4\d/,
    );
  });
});
