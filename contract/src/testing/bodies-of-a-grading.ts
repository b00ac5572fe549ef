import {
  AddGradingRequest,
  ChangeGradingRequest,
  CloseGradingRequest,
  CheckNumberRequest,
  ClubLookRequest,
  ConsentRequest,
  HomeLanguageRequest,
  SendLetterRequest,
  EnterChildRequest,
  GradingMarkRequest,
  PracticeRequest,
  ReopenGradingRequest,
  ToldAbsenceRequest,
  ToldHomeRequest,
  TurnCheckRequest,
} from '../index.js';
import type { BodyOf, Ids } from './bodies-in-a-class.js';

/** What is sent on a grading day, and by families. */
export function bodiesOfAGrading(ids: Ids, household: BodyOf['body']): readonly BodyOf[] {
  return [
    { name: 'plan a grading day', of: AddGradingRequest, body: { programme: 'gymnastics', day: '2027-03-06', startsAt: '10:00' } },
    {
      name: 'change a grading day',
      of: ChangeGradingRequest,
      body: {
        day: '2027-03-06',
        startsAt: '10:00',
        warmUpMinutes: 10,
        slotMinutes: 5,
        together: 2,
        perVisit: 1,
        examinerIds: [ids.newId()],
      },
    },
    { name: 'enter a child', of: EnterChildRequest, body: { size: 'medium' } },
    {
      name: 'mark on a grading day',
      of: GradingMarkRequest,
      body: {
        childId: ids.child,
        requirementId: ids.newId(),
        side: 'left',
        mark: 'alone',
        help: null,
        measure: { seconds: 3, reps: 2, correct: 1, of: 2 },
        faults: [],
        isSettled: false,
      },
    },
    {
      name: 'close a grading day',
      of: CloseGradingRequest,
      body: { decisions: [{ childId: ids.child, isGranted: true, reason: 'seen in the hall' }] },
    },
    { name: 'open a grading day again', of: ReopenGradingRequest, body: { reason: 'the wrong list' } },
    { name: 'note practice', of: PracticeRequest, body: { day: '2026-12-01', movement: 'cartwheel', feeling: 'well' } },
    { name: 'tell an absence', of: ToldAbsenceRequest, body: { groupId: ids.group, day: '2026-12-08', isAway: true } },
    { name: 'tell what is at home', of: ToldHomeRequest, body: { household, householdVersion: 1 } },
    { name: 'turn a check', of: TurnCheckRequest, body: { isOn: false, reason: 'Our governing body says otherwise.' } },
    { name: 'set a number of a check', of: CheckNumberRequest, body: { value: 20 } },
    {
      name: 'set a number by age',
      of: CheckNumberRequest,
      body: {
        steps: [
          { upToYears: 8, limit: 10 },
          { upToYears: 99, limit: 18 },
        ],
      },
    },
    { name: 'change the look', of: ClubLookRequest, body: { colour: '#17525c', secondColour: null } },
    { name: 'choose a language', of: HomeLanguageRequest, body: { language: 'de' } },
    {
      name: 'write to a family',
      of: SendLetterRequest,
      body: { childId: ids.child, kind: 'own', aboutId: ids.child, language: 'de', subject: 'Guten Tag', body: 'Eine Zeile.\nNoch eine.' },
    },
    { name: 'allow something', of: ConsentRequest, body: { kind: 'clips', isGiven: true } },
  ];
}
