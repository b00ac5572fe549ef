// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import type { SyllabusResponse } from '@leiter/contract';
import { wholeCriterion } from '@leiter/core';
import { aLibrary, aMovement } from '@leiter/core/testing';
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { queryClient } from '../../shared/query-client';
import { answerWith } from '../../testing/makers';
import { LadderEditor } from './ladder-editor';

const aLadder = (version: number, names: readonly string[]): SyllabusResponse => ({
  programme: 'dance',
  programmeName: 'Dance',
  stretchingSchool: 'dynamic-first',
  startsAs: 'New',
  version,
  grades: names.map((name, index) => ({
    id: `grade-${String(index)}`,
    slug: `grade-${String(index)}`,
    name,
    leastWeeksInGrade: 0,
    leastClasses: 0,
    leastAgeYears: 0,
    isPutAway: false,
    requirements: [],
    putAwayRequirements: [],
  })),
});
const library = aLibrary(aMovement('balance', { sides: 'each' }));

function open(syllabus: SyllabusResponse, onSaved = vi.fn(), onLeave = vi.fn()) {
  const editor = (shown: SyllabusResponse) => (
    <QueryClientProvider client={queryClient}>
      <MemoryRouter>
        <LadderEditor syllabus={shown} library={library} onLeave={onLeave} onSaved={onSaved} />
      </MemoryRouter>
    </QueryClientProvider>
  );
  const { rerender } = render(editor(syllabus));
  return {
    onSaved,
    onLeave,
    /** As when the list of ladders was read anew. */
    readAnew: (shown: SyllabusResponse) => {
      rerender(editor(shown));
    },
  };
}
const rename = (to: string): void => {
  const field = screen.getByLabelText('Name of the grade');
  fireEvent.change(field, { target: { value: to } });
  fireEvent.blur(field);
};

beforeEach(() => {
  localStorage.clear();
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

describe('a ladder that is changed', () => {
  it('is saved on the version it was opened on, also when somebody saved another one meanwhile: both are shown', async () => {
    const theirs = aLadder(2, ['Dawn', 'Noon']);
    const sent = answerWith(({ method }, nth) =>
      method === 'PUT' && nth === 0
        ? { status: 409, body: { type: 'about:blank', title: 'x', status: 409, current: theirs } }
        : { status: 200, body: { syllabus: aLadder(3, ['First Light', 'Noon']), lines: [], finishingOnEarlier: 0 } },
    );
    const { readAnew, onSaved } = open(aLadder(1, ['First', 'Noon']));
    rename('First Light');
    readAnew(theirs);
    fireEvent.click(screen.getByRole('button', { name: 'Save as version 2' }));
    const dialog = await screen.findByRole('dialog');
    expect(sent[0]?.body).toMatchObject({ version: 1 });
    expect(within(dialog).getByText(/version 2 of this ladder meanwhile/)).toBeTruthy();
    expect(within(dialog).getByText(/is changed/)).toBeTruthy();
    fireEvent.click(within(dialog).getByRole('button', { name: 'Go on with mine' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Save as version 3', hidden: true }));
    await waitFor(() => {
      expect(onSaved).toHaveBeenCalled();
    });
    const last = sent.filter(({ method }) => method === 'PUT').at(-1)?.body as { version: number; grades: readonly { name: string }[] };
    expect([last.version, last.grades[0]?.name]).toEqual([2, 'First Light']);
  });

  it('is there again when one comes back to it, until it is saved or dropped', async () => {
    answerWith(() => 'no answer');
    open(aLadder(1, ['First', 'Noon']));
    rename('First Light');
    fireEvent.click(screen.getByRole('button', { name: 'Go on later' }));
    cleanup();
    const { onLeave } = open(aLadder(1, ['First', 'Noon']));
    expect(screen.getByLabelText('Name of the grade')).toHaveProperty('value', 'First Light');
    fireEvent.click(screen.getByRole('button', { name: 'Drop the changes' }));
    expect(onLeave).toHaveBeenCalled();
    cleanup();
    open(aLadder(1, ['First', 'Noon']));
    expect(screen.getByLabelText('Name of the grade')).toHaveProperty('value', 'First');
    await Promise.resolve();
  });

  it('keeps what was changed when there is no answer, and says so', async () => {
    answerWith(() => 'no answer');
    open(aLadder(1, ['First', 'Noon']));
    rename('First Light');
    fireEvent.click(screen.getByRole('button', { name: 'Save as version 2' }));
    expect(await screen.findByText(/No answer just now/)).toBeTruthy();
    expect(screen.getByLabelText('Name of the grade')).toHaveProperty('value', 'First Light');
  });
});

describe('a criterion', () => {
  const asked = (requirement: Partial<SyllabusResponse['grades'][number]['requirements'][number]>): SyllabusResponse => {
    const ladder = aLadder(1, ['First']);
    const criterion = wholeCriterion({ leastSeconds: 4 });
    return {
      ...ladder,
      grades: ladder.grades.map((grade) => ({
        ...grade,
        requirements: [{ id: 'r', movement: 'balance', stage: null, isPutAway: false, criterion, ...requirement }],
      })),
    }; // a requirement as it is stored
  };

  it('is a sentence whose words are changed where they stand; a number that may be missing is taken out by emptying it', async () => {
    const sent = answerWith(() => ({ status: 200, body: { syllabus: aLadder(2, ['First']), lines: [], finishingOnEarlier: 0 } }));
    open(asked({}));
    const sentence = screen.getByRole('group', { name: 'balance: criterion' });
    const word = (label: string): HTMLElement => within(sentence).getByLabelText(label);
    const write = (label: string, value: string): void => {
      fireEvent.change(word(label), { target: { value } });
      fireEvent.blur(word(label));
    };
    fireEvent.change(word('Mark'), { target: { value: 'clean' } });
    fireEvent.change(word('Sides'), { target: { value: 'both' } });
    write('Seconds', '');
    expect(within(sentence).queryByLabelText('Seconds')).toBeNull();
    fireEvent.click(within(sentence).getByRole('button', { name: '+ right of' }));
    write('Out of', '5');
    write('Times', '3');
    write('Days', 'two');
    expect(word('Days')).toHaveProperty('value', '2');
    fireEvent.click(screen.getByRole('button', { name: 'Save as version 2' }));
    await waitFor(() => {
      expect(sent.some(({ method }) => method === 'PUT')).toBe(true);
    });
    const body = sent.find(({ method }) => method === 'PUT')?.body as {
      grades: readonly { requirements: readonly { criterion: unknown }[] }[];
    };
    expect(body.grades[0]?.requirements[0]?.criterion).toEqual(
      wholeCriterion({ leastMark: 'clean', sides: 'both', leastCorrect: { correct: 3, of: 5 }, times: 3 }),
    );
  });
});
