import type { ClassPageResponse, StoredPlan } from '@leiter/contract';
import type { ClassPlan, Movement, SectionKind } from '@leiter/core';
import { vi } from 'vitest';

type Item = ClassPlan['sections'][number]['items'][number];

/** A movement of which only what matters is said. */
export function aMovement(slug: string, said: Partial<Movement> = {}): Movement {
  const dose = { kind: 'timed', seconds: 60 } as const;
  return {
    slug,
    name: slug,
    programmes: [],
    kind: 'mobiliser',
    sections: ['warm-up'],
    plainMeaning: slug,
    term: null,
    posture: { from: 'standing', through: [], to: 'standing' },
    level: 'standing',
    effort: 1,
    prepares: [],
    loads: [],
    lengthens: [],
    hazards: [],
    undoneBy: [],
    needs: {
      surface: 'any-dry',
      footprint: { lengthM: 1, widthM: 1 },
      headroomM: 2,
      equipment: [],
      wall: false,
      partner: false,
      adult: 'none',
      quiet: 'quiet',
    },
    equipmentStandIns: {},
    leastAge: 4,
    homeTask: 'yes',
    instead: null,
    sides: 'none',
    dose: { '4-6': dose, '7-9': dose, '10-13': dose },
    stages: [],
    prerequisites: [],
    leadsTo: [],
    tiers: {},
    cues: [],
    picture: null,
    faults: [],
    support: null,
    cautions: [],
    view: { facing: 'front', framing: 'standing' },
    ...said,
  };
}

export function anItem(id: string, said: Partial<Item> = {}): Item {
  return { id, movement: id, dose: { kind: 'timed', seconds: 60 }, sides: 'none', tiers: ['core'], ...said };
}

/** A plan of one section per kind, each named by it. */
export function aPlan(sections: Partial<Record<SectionKind, readonly Item[]>>): ClassPlan {
  return {
    sections: (Object.entries(sections) as [SectionKind, readonly Item[]][]).map(([kind, items]) => ({ id: kind, kind, items })),
    focus: [],
  };
}

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
    },
    children: [],
    stored: null,
    exposures: [],
    paces: [],
    observations: [],
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
