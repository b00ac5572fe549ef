import {
  AddObservationRequest,
  AttendanceRequest,
  CallNamesRequest,
  ChangeClassRequest,
  ItemTimesRequest,
  PresenceRequest,
  PressRequest,
  RemoteRequest,
  RollRequest,
  StageRequest,
} from '../index.js';
import type { Json } from './nasty.js';

/** A body that is right for each request there is, to be made wrong in one place at a time. */
export interface BodyOf {
  readonly name: string;
  readonly of: new () => object;
  readonly body: Json;
}

/** Of what a body names, any will do where nothing is stored; and what makes new ones. */
export interface Ids {
  readonly group: string;
  readonly child: string;
  readonly class: string;
  readonly newId: () => string;
}

/** What is sent in and about a class: right bodies. */
export function bodiesInAClass(ids: Ids): readonly BodyOf[] {
  return [
    { name: 'say the roll', of: RollRequest, body: { childIds: [ids.newId()], status: 'present' } },
    {
      name: 'change a class',
      of: ChangeClassRequest,
      body: {
        teaching: 'started',
        at: '2026-01-05T16:30:00Z',
        taughtSeconds: 60,
        stopsNote: 'mats out',
        note: 'went well',
        day: '2027-03-04',
        startsAt: '16:00',
        lengthMinutes: 45,
        cancelledBecause: null,
      },
    },
    { name: 'set attendance', of: AttendanceRequest, body: { status: 'late' } },
    {
      name: 'show the stage',
      of: StageRequest,
      body: {
        tab: ids.child,
        item: 'Front kick',
        what: 'Set 2 of 3',
        side: 'left',
        next: 'Drink',
        remainingSeconds: 41.5,
        isPaused: false,
        isWaiting: false,
        isOver: false,
        canPutOff: true,
        canUndo: false,
        watch: {
          movement: 'front-kick',
          name: 'Front kick',
          side: 'left',
          children: [{ id: ids.child, name: 'Mei H.', note: 'seen today', mark: 'alone' }],
        },
        done: [ids.child],
      },
    },
    { name: 'keep names of a call', of: CallNamesRequest, body: { names: [{ name: 'tablet 3', childIds: [ids.child] }] } },
    { name: 'press', of: PressRequest, body: { id: ids.child, tab: ids.child, press: 'mark', childId: ids.child, mark: 'clean' } },
    { name: 'press on a remote', of: PressRequest, body: { id: ids.child, tab: ids.child, press: 'on' } },
    { name: 'follow the link of a remote', of: RemoteRequest, body: { token: 'a'.repeat(43) } },
    {
      name: 'store real times',
      of: ItemTimesRequest,
      body: { times: [{ itemId: 'a', plannedSeconds: 60, realSeconds: 62.5 }], visits: [{ item: 'a', beginsSecond: 0, seconds: 62.5 }] },
    },
    {
      name: 'give a mark',
      of: AddObservationRequest,
      body: {
        childId: ids.child,
        movement: 'cartwheel',
        stage: 1,
        side: 'left',
        mark: 'alone',
        help: null,
        measure: { seconds: 3, reps: 2, correct: 1, of: 2 },
        faults: [],
        note: 'fine',
        seenOn: '2026-01-05',
        source: 'entered-later',
        classId: null,
        supersedes: null,
        isWithdrawal: false,
      },
    },
    { name: 'say where one is', of: PresenceRequest, body: { tab: ids.newId(), itemId: 'a', isHere: true } },
  ];
}
