import {
  type AgeBand,
  practiceFeelings,
  type Dose,
  type HomeList,
  type ItemSides,
  type MeasuredLine,
  type Movement,
  type PracticeFeeling,
  type Row,
  type StandingName,
  type Side,
} from '@leiter/core';
import { Type } from 'class-transformer';
import { IsBoolean, IsIn, IsInt, IsObject, IsUUID, Matches, Min, ValidateNested } from 'class-validator';
import type { ChildLogEntry } from './child-log.js';
import type { SentClip } from './clip.js';
import { DayField } from './day-field.js';
import { Household } from './household.js';
import { familyLanguages, type FamilyLanguage } from './letter.js';
import { notAMovement, slug } from './names.js';

export const consentKinds = ['pictures', 'clips', 'badges'] as const;
/** What a family may allow: pictures of a class, clips that it sends to be looked at, a badge that others can verify. */
export type ConsentKind = (typeof consentKinds)[number];

/** Something of the home task was done; the id is made by the page, so that sending it twice stores it once. */
export class PracticeRequest {
  @DayField()
  day!: string;

  @Matches(slug, { message: notAMovement })
  movement!: string;

  @IsIn(practiceFeelings, { message: 'How did it go?' })
  feeling!: PracticeFeeling;
}

/** A child does not come to a class, or does after all. */
export class ToldAbsenceRequest {
  @IsUUID('all', { message: 'Which group?' })
  groupId!: string;

  @DayField()
  day!: string;

  @IsBoolean({ message: 'Say yes or no.' })
  isAway!: boolean;
}

/** What the child has at home now; with the version it was changed from. */
export class ToldHomeRequest {
  @IsObject({ message: 'What is there at home?' })
  @ValidateNested()
  @Type(() => Household)
  household!: Household;

  @IsInt()
  @Min(0)
  householdVersion!: number;
}

/** The language in which the family reads its page and is written to. */
export class HomeLanguageRequest {
  @IsIn(familyLanguages, { message: 'English, German or French.' })
  language!: FamilyLanguage;
}

export class ConsentRequest {
  @IsIn(consentKinds, { message: 'What is it about?' })
  kind!: ConsentKind;

  @IsBoolean({ message: 'Say yes or no.' })
  isGiven!: boolean;
}

export interface Consent {
  readonly kind: ConsentKind;
  readonly isGiven: boolean;
  readonly at: string;
  /** Who of the club wrote it down; null where the family did so itself. */
  readonly by: string | null;
}

export interface Practice {
  readonly id: string;
  readonly day: string;
  readonly movement: string;
  readonly feeling: PracticeFeeling;
}

/** What is known of the family's page of a child; its address is told once, when it is made. */
export interface HomeLinkResponse {
  readonly madeAt: string | null;
  readonly lastOpenedAt: string | null;
  readonly practice: readonly Practice[];
  /** The last word on each. */
  readonly consents: readonly Consent[];
}

export interface HomeLinkMade {
  readonly token: string;
}

/** All that the page of a family shows: of one child, and of nobody else. */
export interface HomePageResponse {
  readonly clubName: string;
  /** Null where nobody said: then the phone’s own. */
  readonly language: FamilyLanguage | null;
  readonly today: string;
  readonly child: {
    readonly givenName: string;
    readonly leadSide: Side;
    /** As what age its figures are drawn; not in what a phone kept from an earlier version. */
    readonly ageBand?: AgeBand;
    readonly household: Household;
    readonly householdVersion: number;
    readonly isHomeKnown: boolean;
  };
  /** The entries that are named below. */
  readonly movements: readonly HomeMovement[];
  readonly coming: readonly HomeClass[];
  readonly grading: readonly {
    readonly day: string;
    readonly startsAt: string;
    readonly warmUpAt: string | null;
    readonly gradeName: string;
  }[];
  readonly task: HomeTaskForChild | null;
  readonly practice: readonly Practice[];
  readonly ladders: readonly HomeLadder[];
  readonly bests: readonly MeasuredLine[];
  /** Words that the next grade asks. */
  readonly words: readonly HomeWord[];
  readonly notes: readonly { readonly day: string; readonly movement: string; readonly note: string }[];
  readonly consents: readonly Consent[];
  /** Who of the club looked at or changed what is the family’s to know of, the newest first. */
  readonly looks: readonly { readonly at: string; readonly by: string | null; readonly kind: HomeLook }[];
  /** Of what is practised or asked, what has steps: step by step, as it is written and the other way about. */
  readonly phrases: readonly {
    readonly movement: string;
    readonly beats: number;
    readonly own: readonly HomeStep[];
    readonly other: readonly HomeStep[];
  }[];
  /** What the family sent and is still kept, the newest first. */
  readonly clips: readonly SentClip[];
}

/** A row, with what the partner does meanwhile where there is one: at home that is who reads it. */
export interface HomeStep extends Row {
  readonly partner?: readonly Row[];
}

export const homeLooks = [
  'health-seen',
  'health-written',
  'clip-seen',
  'record-handed-out',
  'grade-taken-back',
] as const satisfies readonly ChildLogEntry['kind'][];
export type HomeLook = (typeof homeLooks)[number];

/** Of an entry what a family sees. */
export interface HomeMovement extends Pick<Movement, 'slug' | 'name' | 'plainMeaning' | 'figure' | 'view' | 'dose' | 'cues'> {
  /** What is done in each step of it. */
  readonly stages: readonly { readonly name: string; readonly see: string }[];
}

export interface HomeWord {
  readonly text: string;
  readonly sayIt: string | null;
  readonly meaning: string;
  /** For a voice. */
  readonly spoken: { readonly text: string; readonly language: string };
}

export interface HomeClass {
  readonly groupId: string;
  readonly groupName: string;
  readonly day: string;
  readonly startsAt: string;
  readonly lengthMinutes: number;
  /** Why it does not take place; null where it does. */
  readonly off: string | null;
  readonly isAway: boolean;
  /** Names of what the class is about; empty as long as it is not planned. */
  readonly focus: readonly string[];
  /** What to lay out, how much room, and who is to be near; null as long as the class is not planned. */
  readonly layOut: HomeList | null;
}

export interface HomeTaskForChild {
  readonly groupName: string;
  /** The class it was given in. */
  readonly day: string;
  readonly minutes: number;
  readonly note: string;
  readonly items: readonly { readonly movement: string; readonly dose: Dose; readonly sides: ItemSides; readonly isWithAdult: boolean }[];
}

export interface HomeLadder {
  readonly programme: string;
  readonly programmeName: string;
  readonly startsAs: string;
  /** All rungs from the lowest; those that are held have their day. */
  readonly grades: readonly { readonly gradeId: string; readonly name: string; readonly awardedOn: string | null }[];
  /** What the next grade asks; null at the top. */
  readonly next: {
    readonly name: string;
    readonly metCount: number;
    readonly asked: readonly {
      readonly movement: string;
      readonly stage: number | null;
      readonly standing: StandingName;
      /** True where this child may do it at home, and so may show it in a clip. */
      readonly isForHome: boolean;
    }[];
  } | null;
}
