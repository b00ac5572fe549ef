export { FamilyContact } from './family-contact.js';
export { ClipsRequest, mostClipsAtOnce, SaveVoiceRequest, type ClipBody, type ClipsResponse } from './voice.js';
export { SaveRoomRequest, SaveStyleRequest, SignInRequest, type SessionResponse, type WelcomeResponse } from './session.js';
export { ClubLookRequest, type BadgeResponse, type ClubLookResponse } from './badge.js';
export {
  familyLanguages,
  letterKinds,
  SendLetterRequest,
  type FamilyLanguage,
  type LetterFacts,
  type LetterKind,
  type LetterResponse,
  type LetterState,
  type LettersResponse,
  type LettersToWriteResponse,
} from './letter.js';
export { ClipQuery, type ClipResponse, type SentClip } from './clip.js';
export { CheckNumberRequest, TurnCheckRequest, type CheckChange, type ClubChecksResponse } from './check.js';
export { MakeClubRequest } from './club.js';
export {
  AcceptInvitationRequest,
  ChangePasswordRequest,
  ChangePersonRequest,
  InviteRequest,
  roles,
  type InvitationForGuest,
  type InvitationResponse,
  type MadeInvitation,
  type PersonResponse,
  type Role,
} from './person.js';
export { paperWithProgress, type PaperLine } from './paper.js';
export { PresenceRequest, topics, type LiveEvent, type Presence, type Topic } from './live.js';
export { Household, QuietHours, adultPlaces, type AdultPlace } from './household.js';
export {
  AddChildRequest,
  ChangeChildrenRequest,
  type ChangedChildren,
  AwardGradeRequest,
  ChangeChildRequest,
  MoveOverRequest,
  TakeBackGradeRequest,
  type ChildLadder,
  type ChildRecordResponse,
  type ChildPageResponse,
  type ChildResponse,
} from './child.js';
export type { ChildLogEntry } from './child-log.js';
export {
  AddGroupRequest,
  ChangeGroupRequest,
  type BoardCell,
  type BoardRow,
  type GroupBestsResponse,
  type GroupBoardResponse,
  type GroupResponse,
} from './group.js';
export {
  SaveSyllabusRequest,
  SyllabusFile,
  type GradeResponse,
  type RequirementResponse,
  type SavedSyllabusResponse,
  type SyllabusImportResponse,
  type SyllabusResponse,
} from './syllabus.js';
export { SpreadsheetRequest, type ChildrenImportResponse } from './spreadsheet.js';
export {
  LibraryFile,
  ChangeMovementRequest,
  SaveMovementRequest,
  SavePhraseRequest,
  type LibraryImportResponse,
  type MovementResponse,
  type PhraseResponse,
} from './library.js';
export { PlanDocument, SavePlanRequest } from './class-plan.js';
export { doseClassNames, doseRule } from './dose.js';
export { SaveTemplateRequest, type TemplateResponse } from './plan-template.js';
export {
  ImportPlanRequest,
  PlanFile,
  PreviewPlanRequest,
  type PlanImportResponse,
  type PlanPreviewResponse,
  type PreviewChild,
} from './plan-file.js';
export {
  RollRequest,
  AttendanceRequest,
  CallNamesRequest,
  ChangeClassRequest,
  ItemTimesRequest,
  attendances,
  type Attendance,
  type ClassPageResponse,
  type ClassResponse,
  type ExpectedChild,
  type PlanConflict,
  type PlanVersion,
  type StoredPlan,
  type TaughtClass,
  type TaughtItem,
} from './class.js';
export { HealthNoteBody, SaveHealthNotesRequest, type HealthNotes } from './health-note.js';
export { AddObservationRequest, type ObservationResponse } from './observation.js';
export { type FieldProblem, type Problem } from './problem.js';
export {
  AddClassRequest,
  HolidayRequest,
  type ClassOutlook,
  type CloseToGrade,
  type HolidayResponse,
  type WeekEntry,
  type WeekResponse,
  type ComingClass,
  type TodayResponse,
} from './calendar.js';
export type { CalendarLinkMade, CalendarLinkResponse } from './calendar-link.js';
export { PressRequest, RemoteRequest, StageRequest, type Press, type PressBody, type RemoteMade, type StageView } from './remote.js';
export {
  consentKinds,
  ConsentRequest,
  HomeLanguageRequest,
  homeLooks,
  type HomeLook,
  PracticeRequest,
  ToldAbsenceRequest,
  ToldHomeRequest,
  type Consent,
  type ConsentKind,
  type HomeClass,
  type HomeLadder,
  type HomeLinkMade,
  type HomeLinkResponse,
  type HomeMovement,
  type HomePageResponse,
  type HomeStep,
  type HomeTaskForChild,
  type HomeWord,
  type Practice,
} from './home.js';
export {
  AddGradingRequest,
  ChangeGradingRequest,
  CloseGradingRequest,
  EnterChildRequest,
  GradingDecision,
  GradingMarkRequest,
  ReopenGradingRequest,
  type ClosedGradingResponse,
  type GradingChild,
  type GradingEntry,
  type GradingMark,
  type GradingPageResponse,
  type GradingResponse,
  type GradingTimetable,
  type MissingResponse,
  type ReadinessResponse,
} from './grading.js';
export type { AttendanceLine, GroupReport, ReportResponse, StallResponse } from './report.js';
