import type { Dose, HomeList, ItemSides } from '@leiter/core';
import { IsIn, IsUUID, Matches } from 'class-validator';
import { MayBeLeftOut } from './optional.js';
import { Line } from './text.js';

export const familyLanguages = ['en', 'de', 'fr'] as const;
/** In which a family reads its page and is written to. */
export type FamilyLanguage = (typeof familyLanguages)[number];

export const letterKinds = ['before', 'after', 'missed', 'ready', 'grading', 'link', 'own'] as const;
/** What a letter is about: a class to come, one that was, one that was missed, being ready for a grading day, being entered for it, the link of the page, or anything else. */
export type LetterKind = (typeof letterKinds)[number];

/** A letter to the family of one child; its id is made by who writes it, so that sending it twice sends it once. */
export class SendLetterRequest {
  @IsUUID('all', { message: 'To the family of which child?' })
  childId!: string;

  @IsIn(letterKinds, { message: 'What is it about?' })
  kind!: LetterKind;

  /** The class or grading day. */
  @MayBeLeftOut()
  @IsUUID('all', { message: 'Which class or grading day?' })
  aboutId?: string;

  @IsIn(familyLanguages, { message: 'In which language?' })
  language!: FamilyLanguage;

  @Line({ most: 150 })
  @Matches(/^[^\n\t]*$/, { message: 'A subject is one line.' })
  subject!: string;

  @Line({ most: 8000 })
  body!: string;
}

export type LetterState = 'waiting' | 'sending' | 'sent' | 'caught' | 'failed' | 'unsure';

export interface LetterResponse {
  readonly id: string;
  readonly childId: string;
  readonly childName: string;
  readonly kind: LetterKind;
  readonly aboutId: string | null;
  readonly language: FamilyLanguage;
  readonly to: readonly string[];
  readonly subject: string;
  readonly body: string;
  readonly writtenBy: string | null;
  readonly writtenAt: string;
  readonly state: LetterState;
  /** Why it did not go out, or not yet. */
  readonly whyNot: string | null;
}

export interface LettersResponse {
  /** False where letters are caught: no mail server is set. */
  readonly isSent: boolean;
  readonly letters: readonly LetterResponse[];
}

/** What a letter to one family tells, before it is put into words of its language. */
export interface LetterFacts {
  readonly childId: string;
  readonly givenName: string;
  readonly familyInitial: string;
  readonly language: FamilyLanguage;
  /** Empty where there is no address: then the text can be copied. */
  readonly to: readonly string[];
  /** The letters that fit: a child that was there is not told that it was missed. */
  readonly kinds: readonly LetterKind[];
  readonly layOut: HomeList | null;
  readonly task: {
    readonly minutes: number;
    readonly note: string;
    readonly items: readonly { readonly name: string; readonly dose: Dose; readonly sides: ItemSides; readonly isWithAdult: boolean }[];
  } | null;
  readonly gradeName: string | null;
  /** On a grading day: when it begins for this child. */
  readonly startsAt: string;
}

/** A class or a grading day with what there is to write to each family. */
export interface LettersToWriteResponse {
  readonly title: string;
  readonly clubName: string;
  readonly day: string;
  readonly lengthMinutes: number;
  /** What the class is about. */
  readonly focus: readonly string[];
  /** What was done, for afterwards. */
  readonly done: readonly string[];
  readonly kinds: readonly LetterKind[];
  readonly families: readonly LetterFacts[];
  /** What was written about it already. */
  readonly letters: readonly LetterResponse[];
}
