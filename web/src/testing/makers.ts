import type { ClassPageResponse, StoredPlan } from '@leiter/contract';
import { learnedPace, type ClassPlan } from '@leiter/core';
import { vi } from 'vitest';

/** A class of nobody, planned as said. */
export function aClassPage(said: Partial<ClassPageResponse> = {}): ClassPageResponse {
  return {
    class: {
      id: 'class',
      groupId: 'group',
      groupName: 'Group',
      programme: 'gymnastics',
      day: '2026-03-02',
      startsAt: '16:00',
      lengthMinutes: 45,
      instructorId: null,
      taughtAt: null,
      endedAt: null,
      stopsNote: null,
      hasPlan: true,
      slotDay: null,
      cancelledBecause: null,
      note: null,
      rehearsedAt: null,
    },
    children: [],
    stored: null,
    exposures: [],
    pace: learnedPace([]),
    style: 'as-it-comes',
    observations: [],
    room: null,
    syllabus: null,
    callNames: [],
    ...said,
  };
}

export function stored(version: number, plan: ClassPlan): StoredPlan {
  return { version, plan, savedAt: '2026-03-01T12:00:00Z', savedBy: 'Somebody' };
}

type Answer = { readonly status: number; readonly body?: unknown } | 'no answer';

export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}

/** Stands for the network. @returns what was sent so far, in order. */
export function answerWith(answer: (sent: Sent, nth: number) => Answer | Promise<Answer>): readonly Sent[] {
  const sent: Sent[] = [];
  vi.stubGlobal('fetch', async (path: string, init: RequestInit = {}): Promise<Response> => {
    const one: Sent = {
      method: init.method ?? 'GET',
      path,
      body: typeof init.body === 'string' ? (JSON.parse(init.body) as unknown) : undefined,
    };
    sent.push(one);
    const given = await answer(one, sent.length - 1);
    if (given === 'no answer') throw new TypeError('Failed to fetch');
    return new Response(given.status === 204 ? null : JSON.stringify(given.body ?? {}), { status: given.status });
  });
  return sent;
}
