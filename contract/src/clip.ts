import type { Mark, ObservedSide, Side } from '@leiter/core';
import { Type } from 'class-transformer';
import { IsInt, Matches, Max, Min } from 'class-validator';
import { notAMovement, slug } from './names.js';
import { MayBeLeftOut } from './optional.js';

/** Which movement a clip shows; told in the address, the body being the file. */
export class ClipQuery {
  @Matches(slug, { message: notAMovement })
  movement!: string;

  @MayBeLeftOut()
  @Type(() => Number)
  @IsInt()
  @Min(1)
  @Max(20)
  stage?: number;
}

/** A clip as the family that sent it sees it. */
export interface SentClip {
  readonly id: string;
  readonly kind: 'video' | 'picture';
  readonly movement: string;
  readonly stage: number | null;
  readonly sentAt: string;
  /** When the staff looked at it. */
  readonly seenAt: string | null;
  /** The day on which it is erased. */
  readonly endsOn: string;
}

/** A clip as the staff of the child sees it. */
export interface ClipResponse extends SentClip {
  readonly childId: string;
  readonly childName: string;
  readonly leadSide: Side;
  readonly seconds: number | null;
  readonly framesPerSecond: number | null;
  readonly width: number;
  readonly height: number;
  readonly seenBy: string | null;
  /** The marks that were given for this movement since it was sent, from a clip; the newest first. */
  readonly marks: readonly {
    readonly id: string;
    readonly mark: Mark;
    readonly side: ObservedSide;
    readonly note: string;
    readonly by: string | null;
  }[];
}
