import {
  AcceptInvitationRequest,
  AddChildRequest,
  AddClassRequest,
  AddGroupRequest,
  AddObservationRequest,
  AttendanceRequest,
  AwardGradeRequest,
  ChangeChildRequest,
  ChangeChildrenRequest,
  CallNamesRequest,
  ChangeClassRequest,
  ChangeGroupRequest,
  ChangeMovementRequest,
  ChangePasswordRequest,
  ChangePersonRequest,
  ClipsRequest,
  HolidayRequest,
  ImportPlanRequest,
  InviteRequest,
  ItemTimesRequest,
  LibraryFile,
  MakeClubRequest,
  MoveOverRequest,
  PresenceRequest,
  PressRequest,
  PreviewPlanRequest,
  RemoteRequest,
  RollRequest,
  SaveHealthNotesRequest,
  SaveMovementRequest,
  SavePlanRequest,
  SaveRoomRequest,
  SaveStyleRequest,
  SaveSyllabusRequest,
  SaveTemplateRequest,
  SaveVoiceRequest,
  SignInRequest,
  SpreadsheetRequest,
  StageRequest,
  SyllabusFile,
  TakeBackGradeRequest,
} from '../index.js';

/** A body that is right for each request there is, to be made wrong in one place at a time. */
export interface BodyOf {
  readonly name: string;
  readonly of: new () => object;
  readonly body: Json;
}

export type Json = string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json };

const household = {
  surface: 'carpet',
  clearLengthM: 2,
  clearWidthM: 2,
  things: ['chair'],
  adult: 'in-the-room',
  partner: false,
  quietHours: { from: '19:00', to: '07:00' },
};
const item = {
  id: 'a',
  movement: 'drink-break',
  dose: { kind: 'timed', seconds: 60 },
  sides: 'none',
  tiers: ['core'],
  familiarity: 'new',
  cue: 'x',
  note: 'y',
  leader: 'a-child',
  stands: 'facing',
  helper: { who: 'adult', does: 'holds it' },
  calls: { what: 'shapes', everySeconds: 4, from: 'kneeling' },
  choice: ['drink-break'],
  areEyesClosed: true,
  stopsWithMusic: true,
};
const homeTask = { tasks: [{ movement: 'drink-break', dose: { kind: 'timed', seconds: 60 }, sides: 'none' }], note: 'Film one' };
const music = { name: 'Sea song', seconds: 90, bpm: 96 };
const ownMovement = {
  slug: 'harbour-hop',
  name: 'Harbour hop',
  kind: 'drill',
  sections: ['drills'],
  plainMeaning: 'Hop along the quay',
  posture: { from: 'standing', to: 'standing' },
  level: 'standing',
  effort: 2,
  dose: { '7-9': { kind: 'timed', seconds: 30 } },
  loads: [{ region: 'calves', amount: 1 }],
  stages: [{ name: 'One', see: 'Two feet' }],
  cues: ['Light'],
  figure: ['hop'],
};

const planFile = {
  format: 'leiter-plan/1',
  programme: 'gymnastics',
  lengthMinutes: 30,
  startsAt: '16:00',
  focus: ['drink-break'],
  story: 'pirates',
  homeTask,
};

const ownGrade = {
  slug: 'first',
  name: 'First',
  leastWeeksInGrade: 8,
  leastClasses: 6,
  leastAgeYears: 5,
  requirements: [
    {
      movement: 'cartwheel',
      stage: 1,
      criterion: {
        leastMark: 'clean',
        sides: 'both',
        leastSeconds: 2,
        leastCorrect: { correct: 1, of: 2 },
        faults: [],
        times: 2,
        days: 2,
        withinWeeks: 20,
      },
    },
  ],
};

/** @param ids of what a body names, any will do where nothing is stored; and what makes new ones */
export function bodies(ids: {
  readonly group: string;
  readonly child: string;
  readonly class: string;
  readonly newId: () => string;
}): readonly BodyOf[] {
  return [
    { name: 'sign in', of: SignInRequest, body: { email: 'a@b.example', password: 'wrong password' } },
    {
      name: 'make a club',
      of: MakeClubRequest,
      body: { clubName: 'X', ownerName: 'Y', email: 'a@b.example', password: 'long enough it is', timeZone: 'UTC' },
    },
    {
      name: 'say where one teaches',
      of: SaveRoomRequest,
      body: { room: { clearLengthM: 3, clearWidthM: 3, cameraDistanceM: 3, cameraHeightM: 1, viewAngleDegrees: 70 } },
    },
    { name: 'say how one teaches', of: SaveStyleRequest, body: { style: 'along' } },
    {
      name: 'say how one leads',
      of: SaveVoiceRequest,
      body: {
        counts: true,
        sides: true,
        cues: false,
        names: true,
        halves: true,
        counting: 'down',
        countLanguage: 'ko',
        nameSource: 'clips',
        loudness: 0.5,
        go: 'on-signal',
        stance: 'turned',
      },
    },
    { name: 'have clips spoken', of: ClipsRequest, body: { clips: [{ text: 'one', language: 'en', isQuick: false }] } },
    {
      name: 'add a child',
      of: AddChildRequest,
      body: {
        givenName: 'Una',
        familyInitial: 'P.',
        birthDate: '2018-05-05',
        leadSide: 'left',
        groupIds: [ids.group],
        household,
        startingGradeId: ids.newId(),
      },
    },
    {
      name: 'change a child',
      of: ChangeChildRequest,
      body: {
        givenName: 'Una',
        familyInitial: 'P.',
        birthDate: '2018-05-05',
        leadSide: 'left',
        groupIds: [ids.group],
        household,
        householdVersion: 1,
        archived: false,
        contacts: [{ name: 'Ida', email: 'ida@home.example', phone: '+44 1234 567' }],
      },
    },
    {
      name: 'keep health notes',
      of: SaveHealthNotesRequest,
      body: { version: 1, notes: [{ text: 'x', regions: ['wrists'], hazards: [], untilDay: null }] },
    },
    { name: 'give a grade', of: AwardGradeRequest, body: { gradeId: ids.newId(), awardedOn: '2026-05-05', reason: 'earned before' } },
    {
      name: 'change several children',
      of: ChangeChildrenRequest,
      body: { childIds: [ids.newId()], joinGroupId: ids.group, leaveGroupId: ids.group, archived: false },
    },
    { name: 'say the roll', of: RollRequest, body: { childIds: [ids.newId()], status: 'present' } },
    { name: 'add a holiday', of: HolidayRequest, body: { name: 'Half-term', fromDay: '2027-03-01', toDay: '2027-03-05' } },
    {
      name: 'make a group',
      of: AddGroupRequest,
      body: {
        name: ids.newId().slice(0, 8),
        programme: 'dance',
        weekday: 5,
        startsAt: '16:00',
        lengthMinutes: 45,
        instructorId: null,
      },
    },
    {
      name: 'change a group',
      of: ChangeGroupRequest,
      body: { name: ids.newId().slice(0, 8), weekday: 5, startsAt: '16:00', lengthMinutes: 45, archived: false },
    },
    { name: 'add a class', of: AddClassRequest, body: { groupId: ids.group, day: '2027-03-03', startsAt: '17:00', lengthMinutes: 30 } },
    {
      name: 'change a class',
      of: ChangeClassRequest,
      body: {
        teaching: 'started',
        taughtSeconds: 60,
        stopsNote: 'mats out',
        note: 'went well',
        day: '2027-03-04',
        startsAt: '16:00',
        lengthMinutes: 45,
        cancelledBecause: null,
      },
    },
    {
      name: 'save a plan',
      of: SavePlanRequest,
      body: {
        version: 0,
        plan: {
          v: 1,
          sections: [{ id: 's', kind: 'drills', items: [{ ...item, circuit: 'c', music, tierByHand: { child: 'core' } }] }],
          focus: ['drink-break'],
          accepted: [{ check: 'clock', itemIds: [], reason: 'a long one' }],
          circuits: [{ id: 'c', rounds: 2, restSeconds: 10 }],
        },
      },
    },
    {
      name: 'keep a template',
      of: SaveTemplateRequest,
      body: {
        name: ids.newId().slice(0, 8),
        programme: 'dance',
        lengthMinutes: 45,
        ageBand: '7-9',
        plan: { sections: [{ id: 's', kind: 'drills', items: [item] }], focus: ['drink-break'], story: 'pirates', homeTask },
      },
    },
    {
      name: 'judge a plan',
      of: PreviewPlanRequest,
      body: {
        plan: { ...planFile, sections: [{ kind: 'drills', items: [{ ...item, movementInline: { ...ownMovement } }] }] },
        children: [
          {
            id: 'a',
            birthDate: '2018-01-01',
            grade: 'reef',
            leadSide: 'left',
            household,
            standings: [{ movement: 'lever', stage: 1, mark: 'alone' }],
          },
        ],
        instructor: { learnedPace: true },
      },
    },
    {
      name: 'take in a plan',
      of: ImportPlanRequest,
      body: { version: 0, file: { ...planFile, sections: [{ kind: 'drills', items: [item] }] } },
    },
    { name: 'save a movement', of: SaveMovementRequest, body: { movement: { ...ownMovement } } },
    { name: 'put a movement away', of: ChangeMovementRequest, body: { isPutAway: false, ownCue: 'Quiet' } },
    { name: 'change a ladder', of: SaveSyllabusRequest, body: { version: 1, grades: [ownGrade] } },
    {
      name: 'take in a ladder',
      of: SyllabusFile,
      body: {
        format: 'leiter-syllabus/1',
        syllabuses: [{ programme: 'dance', name: 'Dance', stretchingSchool: 'dynamic-first', startsAs: 'New', grades: [ownGrade] }],
      },
    },
    { name: 'take in a ladder as a table', of: SpreadsheetRequest, body: { text: 'grade,movement\nA,cartwheel' } },
    { name: 'take in a list of children', of: SpreadsheetRequest, body: { text: 'name,birth date\nA B,2018-01-01' } },
    { name: 'move a child over', of: MoveOverRequest, body: { programme: 'dance' } },
    { name: 'take in a library', of: LibraryFile, body: { format: 'leiter-library/1', movements: [{ ...ownMovement }] } },
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
    { name: 'invite somebody', of: InviteRequest, body: { name: 'X', email: `${ids.newId()}@b.example`, role: 'assistant' } },
    { name: 'take an invitation up', of: AcceptInvitationRequest, body: { name: 'X', password: 'long enough it is' } },
    { name: 'change a password', of: ChangePasswordRequest, body: { oldPassword: 'not the one', newPassword: 'long enough it is' } },
    { name: 'change a person', of: ChangePersonRequest, body: { role: 'assistant', isPutAway: false } },
    { name: 'take a grade back', of: TakeBackGradeRequest, body: { reason: 'given to the wrong child' } },
    { name: 'say where one is', of: PresenceRequest, body: { tab: ids.newId(), itemId: 'a', isHere: true } },
  ];
}

/** What somebody may send in the place of anything. */
export const nasty: readonly (readonly [string, Json])[] = [
  ['null', null],
  ['a number', 7],
  ['a huge number', 1e308],
  ['a negative number', -1],
  ['a fraction', 0.333],
  ['text', 'abc'],
  ['empty text', ''],
  ['an array', []],
  ['an object', {}],
  ['true', true],
  ['long text', 'x'.repeat(20_000)],
  ['half of a character', 'a\ud800b'],
  ['an object that is no text', { toString: 'x' }],
  ['nothing that one sees', '\u200b\u200b'],
  ['a list with nothing in it', [null]],
  ['the smallest number', 5e-324],
  ['ten thousand things', Array.from({ length: 10_000 }, () => 'x')],
  ['something deep', JSON.parse('['.repeat(60) + ']'.repeat(60)) as Json],
  ['the prototype', JSON.parse('{"__proto__": {"admin": true}}') as Json],
];

/** Every place of a body, nested ones too, as a path. */
export function pathsIn(value: Json, path: readonly (string | number)[] = []): readonly (readonly (string | number)[])[] {
  if (typeof value !== 'object' || value === null) return [path];
  const entries: readonly (readonly [string | number, Json])[] = isList(value)
    ? value.map((one, index) => [index, one] as const)
    : Object.entries(value);
  return [path, ...entries.flatMap(([key, inner]) => pathsIn(inner, [...path, key]))];
}

/** A body with another value in one place. */
export function withValue(body: Json, path: readonly (string | number)[], value: Json): Json {
  const [first, ...rest] = path;
  if (first === undefined) return value;
  if (isList(body)) return body.map((one, index) => (index === first ? withValue(one, rest, value) : one));
  if (typeof body !== 'object' || body === null) return body;
  return { ...body, [first]: withValue(body[first] ?? null, rest, value) };
}

const isList = (value: Json): value is readonly Json[] => Array.isArray(value);
