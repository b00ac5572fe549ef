export { accepted, refused, type Result } from './values/result.js';
export type { Side } from './values/side.js';
export { itemSides, sidesText, sidesToChoose, type ItemSides } from './movement/sides.js';
export type {
  ChildId,
  CircuitId,
  ClassId,
  Day,
  GradeId,
  ItemId,
  Metres,
  MovementSlug,
  ObservationId,
  PersonId,
  ProgrammeSlug,
  RequirementId,
  Seconds,
  SectionId,
} from './values/unit.js';
export { differingFields } from './values/differing-fields.js';
export { documentFaultWords, isFields, openDocument, type DocumentFault } from './values/document.js';
export { contrast, isColour, type Colour } from './values/contrast.js';
export { groupBy } from './values/group-by.js';
export { slugOf } from './values/slug-of.js';
export { addDays, ageOn, daysBetween, isDay, weekdayOf } from './values/day.js';
export { clockText, timeOfDay } from './values/clock-text.js';
export { entriesBetween, isToCome, type CalendarEntry, type Holiday } from './calendar/calendar.js';
export { regions, type Load, type Region } from './movement/region.js';
export { regionWord } from './movement/region-word.js';
export { movementKinds, type MovementKind } from './movement/kind.js';
export { sectionKinds, type SectionKind } from './movement/section-kind.js';
export { hazards, type Hazard } from './movement/hazard.js';
export { hazardWord } from './movement/hazard-word.js';
export { effortWord, type Effort } from './movement/effort.js';
export {
  doseFaults,
  doseKindNames,
  doseKinds,
  doseLimits,
  doseFields,
  lengthBacks,
  repsOf,
  unevenOf,
  unevenSets,
  withUneven,
  type LengthBack,
  isDoseNumber,
  numbersOf,
  sameDose,
  stepDose,
  type Dose,
  type DoseNumber,
} from './movement/dose.js';
export { doseText } from './movement/dose-text.js';
export { readDose, writeDose } from './movement/read-dose.js';
export { ageBandOf, ageBands, type AgeBand } from './movement/age-band.js';
export {
  adultNeeds,
  doseFor,
  fromYears,
  isSided,
  marks,
  surfaces,
  tierNames,
  type Mark,
  type Movement,
  type Surface,
  type Tier,
  type TierName,
} from './movement/movement.js';
export { libraryOf, type Library } from './movement/library.js';
export { openMovement, writeMovement } from './movement/movement-document.js';
export { openPlan, openTemplate, writePlan, writeTemplate } from './class-plan/plan-document.js';
export { libraryFormat, readBeside, readLibrary } from './movement/library-file.js';
export { libraryFaultWords, type LibraryFault } from './movement/library-fault.js';
export { unsaidIn, unsignable, type Unsaid } from './movement/careful.js';
export { doseDefinition, librarySchema, movementSchema } from './movement/library-schema.js';
export { libraryIntake, type LibraryChanges, type LibraryCare, type LibraryIntake } from './movement/library-changes.js';
export {
  familiarities,
  findItem,
  mostItems,
  mostSections,
  placedItems,
  type AcceptedFinding,
  type Circuit,
  type ClassPlan,
  type Familiarity,
  type Item,
  type Section,
  circuitKinds,
  type CircuitKind,
  talkLimits,
  type Build,
} from './class-plan/class-plan.js';
export { circuitText, circuitFaultsIn, circuitLimits, newCircuit, roundsOf, rowsOf, type CircuitFault } from './class-plan/circuit.js';
export { trackLimits, type Track } from './class-plan/music.js';
export { fitToMusic, musicGaps, musicSettings, type MusicGap, type MusicTarget } from './composing/fit-to-music.js';
export { applyEdit, applyEdits, isSameFinding, stepItem, type Place, type PlanEdit } from './class-plan/edit.js';
export { sameTeaching, teachingOf, taughtAs, type ItemTeaching } from './class-plan/item-teaching.js';
export { itemOf } from './class-plan/new-item.js';
export { classLengths, type ClassLength, planFromTemplate, templateOf, templatesFor, type PlanTemplate } from './class-plan/template.js';
export { calmerOrder, type CalmerOrder } from './composing/calmer-order.js';
export { copyOf, stepFurther, type StepFurther } from './composing/step-further.js';
export { fitToClock, type Fit, type FitStep } from './composing/fit-to-clock.js';
export { refusalWords, type EditRefusal } from './class-plan/edit-refusal.js';
export { swapsFor, type Swaps } from './composing/swap.js';
export { fillSlot } from './composing/fill-slot.js';
export { timelineOf } from './timing/timeline.js';
export { triedMend, withTriedMends, type TriedMend } from './composing/tried-mends.js';
export { evaluatePlan, meanAge, type Evaluation, type EvaluationContext } from './composing/evaluation.js';
export { abilityOf, type ChildInClass, type Home, type KnownMark } from './versions/child-in-class.js';
export { sparedIn, sparesOn, type HealthNote, type Spares } from './versions/spares.js';
export { homeNeeds, lacking, missingThings, type HomeNeed } from './versions/home-needs.js';
export { frameOf, outOfRoom, type TeachingRoom } from './versions/teaching-room.js';
export { versionCounts, versionsOf, type Bar, type Version, type VersionContext, type VersionCounts } from './versions/version.js';
export { barWords, countsText, versionWords } from './versions/version-words.js';
export { defaultTimingSettings, type TimingSettings } from './timing/settings.js';
export { isClockBound, type TimeParts } from './timing/item-time.js';
export { changesLevel, surroundingsAfter, type Surroundings } from './timing/surroundings.js';
export { explainPace, plainPace, wayAndKind, type Pace, type PartSpread } from './timing/pace.js';
export { teachingStyles, usualWay, usualWays, ways, type TeachingStyle, type Way } from './class-plan/way.js';
export { type Exposure } from './timing/familiarity.js';
export { learnedPace, paceOf, paceSettings, type ItemRun, type Learned, type LearnedPace } from './timing/learned-pace.js';
export { readTeaching, writeTeaching, type WrittenTeaching } from './class-plan/read-teaching.js';
export { callsText, helperText, leaderWords, stanceWords, teachingText } from './class-plan/teaching-text.js';
export { styleThatFits } from './timing/style-that-fits.js';
export { longestTalk, type Talk } from './timing/longest-talk.js';
export { spanOf, spanWords, type Span } from './timing/span.js';
export { firstRounds, itemTotals, sectionSeconds, type ItemTotal, type TimedItem, type Timeline } from './timing/timeline.js';
export { stepsOf, type Step, type StepSide } from './timing/step.js';
export { bodyAt, type BodyAt } from './preparation/body-at.js';
export { effortCurveOver, type EffortCurve } from './preparation/effort-curve.js';
export {
  abouts,
  aboutOf,
  checkIds,
  checksTold,
  ruleNamed,
  type About,
  type CheckId,
  type CheckTold,
  type Finding,
} from './checks/all-checks.js';
export type { StretchingSchool } from './checks/check.js';
export {
  everyAge,
  isByAge,
  isUsual,
  ruleRefusal,
  ruleValueWords,
  sameRuleValue,
  usualRules,
  type AgeStep,
  type AnyRule,
  type ClubRules,
  type RuleByAge,
  type RuleNumber,
  type RuleUnit,
  type RuleValue,
} from './checks/club-rules.js';
export { severities, type Severity } from './checks/finding.js';
export { wordsOf, type FindingWords } from './checks/finding-words.js';
export {
  syllabusFaults,
  syllabusFaultWords,
  syllabusFormat,
  syllabusHints,
  type SyllabusFault,
  type WrittenGrade,
  type WrittenSyllabus,
} from './syllabus/syllabus-file.js';
export {
  isChange,
  ladderLines,
  nextLadder,
  type LadderGrade,
  type LadderLine,
  type LadderRequirement,
  type LadderVersion,
} from './syllabus/ladder-change.js';
export {
  criterionDefaults,
  gradeAbove,
  gradesInUse,
  sidesAsked,
  wholeCriterion,
  type Criterion,
  type Grade,
  type Requirement,
  type Syllabus,
} from './syllabus/syllabus.js';
export {
  currentObservations,
  helps,
  observationSources,
  observedSides,
  type Help,
  type Measure,
  type Observation,
  type ObservationSource,
  type ObservedSide,
} from './record/observation.js';
export { isMet, standingNames, type SideStanding, type Standing, type StandingName } from './record/standing.js';
export { verdictOn, type ChildOnLadder, type Missing, type Verdict } from './record/verdict.js';
export {
  caughtUp,
  isTryOfAClass,
  itemZero,
  moved,
  positionOf,
  putOff,
  startRun,
  waitsForSignal,
  withGo,
  type Position,
  type Run,
  type RunMove,
  type Visit,
} from './pacing/run.js';
export { musicStops, type MusicStop } from './timing/music-stops.js';
export { musicNow, type MusicNow } from './pacing/music-now.js';
export { metres, strokesBetween, tappedBpm, type Drum, type Metre } from './voice/drum-pattern.js';
export { chaptersAsList, chaptersAsVtt, chaptersOf, type Titled } from './pacing/chapters.js';
export { clipLimits } from './home-task/clip-limits.js';
export {
  practiceAt,
  practiceCues,
  practiceFeelings,
  practiceSeconds,
  practiceSteps,
  type PracticeFeeling,
  type PracticeStep,
} from './home-task/practice.js';
export { agreementOf, findingsOf, type Finding as ExaminersFinding, type SheetMark } from './grading/agreement.js';
export { readinessFor, type Readiness } from './grading/readiness.js';
export { stationOf, stations, visitsOf, type AskedThere, type Station } from './grading/station.js';
export {
  bestOrder,
  earliestEnd,
  endOf,
  examinersOf,
  firstFit,
  partySizes,
  type Hall,
  type Party,
  type Timetable,
  type Visit as StationVisit,
} from './grading/timetable.js';
export { isPossible, timetableModel } from './grading/timetable-model.js';
export { forecastOf, groupProgress, progressOf, type ChildToForecast, type Forecast, type Progress } from './record/forecast.js';
export { bestOf, measuredAs, measuredLines, type MeasuredLine } from './record/measured.js';
export { classLoad, weekLoads, type ClassLoad, type WeekLoad } from './load/class-load.js';
export { rungsOverTime, stallOf, stallSettings, type Stall } from './record/stalling.js';
export { watchSettings, worthWatching, type WorthWatching } from './record/worth-watching.js';
export { itemTimesOf, type ItemTime, type Measured } from './pacing/item-times.js';
export { blended, mirrored, type Pose, type Prop } from './figure/pose.js';
export { inContact } from './figure/contact.js';
export { completePose } from './figure/pose.js';
export { poseNamed, poseNames, writtenPose } from './figure/pose-book.js';
export { figureAt, motionOf, type Motion } from './figure/motion.js';
export { mirroredFigure } from './figure/mirrored-figure.js';
export { canBeTaken, mostSteps, readStep, stepWordGroups, writtenStep, type FigureStep } from './figure/step.js';
export { bodies, type Body } from './figure/body.js';
export { extentOf, facings, flattened, shapesOf, viewOf, type Facing, type View } from './figure/draw.js';
export { levelElevation } from './figure/room.js';
export { solve, type SolvedFigure } from './figure/solve.js';
export { figureMarkup, type FigureInks, type FigureRoom } from './figure/markup.js';
export { roomAt, roomFor } from './figure/room.js';
export { safetyTalkOf } from './versions/safety-talk.js';
export { homeListOf, homeListWords, type HomeList } from './versions/home-list.js';
export { planFormat, readPlan, writtenPlan, type PlanFileFault, type WrittenPlan } from './formats/plan-file.js';
export { cellFaultWords, type CellFault, type Table } from './formats/table.js';
export { readSyllabusTable, syllabusTable } from './formats/syllabus-table.js';
export {
  childrenTable,
  readChildrenTable,
  type ChildIntake,
  type ChildrenTableContext,
  childKey,
  familyInitialOf,
  type KnownChild,
} from './formats/children-table.js';
export { timeChange, timeChangeWords, type TimeChange } from './timing/time-change.js';
export {
  callLimits,
  helpers,
  leaders,
  leaderStances,
  mostHomeTasks,
  type Calls,
  type Helper,
  type HomeTask,
  type HomeTaskItem,
  type Leader,
  type LeaderStance,
} from './class-plan/led.js';
export {
  framings,
  littleRoomWays,
  type Framing,
  type LittleRoomWay,
  type MovementSides,
  type AdultNeed,
  type Needs,
  type Prerequisite,
  type TermVariant,
} from './movement/movement.js';
export { levels, postures, type Level, type Posture } from './movement/posture.js';
export { homeTaskBar, homeTaskSeconds, proposeHomeTask, usualHomeTaskSeconds, type HomeTaskBar } from './home-task/home-task.js';
export { homeTaskBarWords, homeTaskLines } from './home-task/home-task-words.js';
export {
  countLanguages,
  goWays,
  leaderSide,
  nameSources,
  stances,
  usualVoice,
  type CountLanguage,
  type GoWay,
  type NameSource,
  type Stance,
  type TeachingVoice,
} from './voice/teaching-voice.js';
export { countWord } from './voice/count-words.js';
export { clipKey, clipOf, clipsWanted, utterancesOf, type ClipWanted } from './voice/utterance.js';
export type { Utterance } from './voice/spoken.js';
export { callListsFor, callsNamed, writtenPattern, type Call, type CallList, type CallListKind } from './voice/call-list.js';
export { chanceOf } from './values/chance.js';
export { calledUtterances, callRound, callsAtStops, type CalledMoment, type CallRound } from './voice/caller.js';
export { familiarityOf } from './timing/familiarity.js';
export { callNameKey, readCallNames, type CallName, type NamedChild } from './record/call-names.js';
export { openRun } from './pacing/open-run.js';
export { castOf, type Actor, type Incident } from './rehearsal/cast.js';
export { callScreensOf, isOnCall, rollDebriefOf, type CallScreen, type RollDebrief, type RollTaken } from './rehearsal/call-screens.js';
export { debriefOf, type Debrief, type Look, type Performance, type RehearsalMark } from './rehearsal/debrief.js';
export { recordOf, shareOf, shownOf, tempoOf, type Shown } from './rehearsal/shown.js';
export { flawed, flawOf, type Flaw } from './figure/flaw.js';
export { ClapListener, clapSettings } from './voice/claps.js';
export { doorListOf } from './versions/door-list.js';
export { newBests } from './record/new-best.js';
export { wordsOf as termWords, type Word, type WordLadder } from './terms/terms.js';
export { quizOf, quizSettings, quizWays, type Question, type QuizWay } from './terms/quiz.js';
export {
  countsOf,
  mirroredPhrase,
  mostSegments,
  phraseLimits,
  phraseSeconds,
  phraseTiers,
  rowsAt,
  wholeGroups,
  type Foot,
  type FootAct,
  type FootPlace,
  type Phrase,
  type PhraseParts,
  type PhraseTierName,
  type Row,
  type Weight,
  type WrittenPhrase,
} from './phrase/phrase.js';
export { hasTier, phraseAs } from './phrase/tiers.js';
export { compacted, leavesAt, type CompactChange, type PhraseRoom } from './phrase/compact.js';
export { approachMoves, approachRows, mostApproachMoves, startingFoot, type ApproachMove } from './phrase/approach.js';
export { buildUp, partsOfPhrase, type BuildUpStep, type BuildUpWay } from './phrase/build-up.js';
export { armNames } from './phrase/arms.js';
export { bestSeenAt, walkingFigure, type WalkingFigure } from './phrase/walking-figure.js';
export { phraseFile, phraseFormat, phraseSchema, readPhraseFile } from './formats/phrase-file.js';
export { mendedText, type FootMend } from './phrase/mend-text.js';
export { partnerAtCount, partnerOn, walkOfPartner, type PartnersWalk } from './phrase/partner.js';
export { isOtherSideOf, phraseRead } from './phrase/read-once.js';
export { phraseInStep } from './timing/phrase-in-step.js';
export { learningOf } from './timing/step.js';
export { libraryWithRows, missingEntries, segmentStages, withSegmentStages } from './movement/phrase-loads.js';
export type { PhraseTextFault } from './phrase/phrase-line.js';
export { phraseTextFaultWords, readPhrase } from './phrase/phrase-text.js';
export type { PhraseVoice } from './voice/phrase-words.js';
export { playPhrase, type PhrasePractice } from './voice/phrase-practice.js';
export { beginning, phraseFindingWords, walk, type PhraseFinding, type Stand, type Walk } from './phrase/walk.js';
