import type { Colour } from '@leiter/core';
import { Matches, ValidateIf } from 'class-validator';

const aColour = /^#[0-9a-f]{6}$/;

/** The colours of a club on what it prints and signs; null for Leiter's own. */
export class ClubLookRequest {
  @ValidateIf((_, value) => value !== null)
  @Matches(aColour, { message: 'A colour is written #17525c.' })
  colour!: Colour | null;

  @ValidateIf((_, value) => value !== null)
  @Matches(aColour, { message: 'A colour is written #17525c.' })
  secondColour!: Colour | null;
}

export interface ClubLookResponse {
  readonly colour: Colour | null;
  readonly secondColour: Colour | null;
  /** Where the crest is, with when it was given; null where there is none. */
  readonly crestPath: string | null;
}

/** What the address on a certificate or badge leads to, and no more than the family allows. */
export interface BadgeResponse {
  readonly clubName: string;
  /** False where the grade is not held any more. */
  readonly isHeld: boolean;
  /** Of a grade that is held. */
  readonly grade: {
    readonly name: string;
    readonly programmeName: string;
    readonly awardedOn: string;
    /** Given name and an initial; null where the family has not allowed that others see it. */
    readonly childName: string | null;
    /** What was shown for it. */
    readonly shown: readonly string[];
  } | null;
  /** True where a signed badge may be fetched: the family allows it. */
  readonly isSigned: boolean;
}
