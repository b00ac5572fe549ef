import { marks, type Mark } from '@leiter/core';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  IsObject,
  IsUUID,
  Matches,
  Max,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { MayBeLeftOut } from './optional.js';
import { notAMovement, slug } from './names.js';
import { Line } from './text.js';

const presses = ['on', 'back', 'pause', 'resume', 'go', 'put-off', 'once-more', 'undo', 'mark', 'take-back'] as const;
/** What can be pressed beside the device that teaches. */
export type Press = (typeof presses)[number];

const ifNotNull = (_object: object, value: unknown): boolean => value !== null;

/** A child beside the stage, with its mark in what is watched. */
export class StageChild {
  @IsUUID('all', { message: 'Which child?' })
  id!: string;

  @Line({ most: 80 })
  name!: string;

  /** When it was last seen, in words. */
  @Line({ least: 0, most: 60 })
  note!: string;

  @ValidateIf(ifNotNull)
  @IsIn(marks)
  mark!: Mark | null;
}

/** What is marked now, and whom to look at first. */
export class StageWatch {
  @Matches(slug, { message: notAMovement })
  movement!: string;

  @Line({ most: 120 })
  name!: string;

  @IsIn(['left', 'right', 'none'])
  side!: 'left' | 'right' | 'none';

  @IsArray()
  @ArrayMaxSize(60)
  @IsObject({ each: true, message: 'Not a child.' })
  @ValidateNested({ each: true })
  @Type(() => StageChild)
  children!: StageChild[];
}

/** What the device that teaches shows, told to those beside it. */
export class StageRequest {
  /** The tab that teaches: it alone does what is pressed. */
  @IsUUID('all', { message: 'Which tab?' })
  tab!: string;

  @Line({ most: 120 })
  item!: string;

  /** What the children do now: explain, set 2 of 3, rest. */
  @Line({ least: 0, most: 120 })
  what!: string;

  @ValidateIf(ifNotNull)
  @Line({ most: 40 })
  side!: string | null;

  /** What comes next; null at the end. */
  @ValidateIf(ifNotNull)
  @Line({ most: 120 })
  next!: string | null;

  @IsNumber({}, { message: 'Seconds as a number.' })
  @Min(0)
  @Max(36_000)
  remainingSeconds!: number;

  @IsBoolean()
  isPaused!: boolean;

  /** The work waits for the signal. */
  @IsBoolean()
  isWaiting!: boolean;

  @IsBoolean()
  isOver!: boolean;

  @IsBoolean()
  canPutOff!: boolean;

  @IsBoolean()
  canUndo!: boolean;

  @ValidateIf(ifNotNull)
  @IsObject({ message: 'What is watched?' })
  @ValidateNested()
  @Type(() => StageWatch)
  watch!: StageWatch | null;

  /** The last presses that were done, by their ids: what is not among them is sent again. */
  @IsArray()
  @ArrayMaxSize(40)
  @IsUUID('all', { each: true, message: 'Which press?' })
  done!: string[];
}

/** One press, done once however often it is sent. */
export class PressRequest {
  @IsUUID('all', { message: 'Which press?' })
  id!: string;

  @IsUUID('all', { message: 'Which tab?' })
  tab!: string;

  @IsIn(presses)
  press!: Press;

  /** With a mark: of which child, and which one; a press without them is none. */
  @MayBeLeftOut()
  @IsUUID('all', { message: 'Which child?' })
  childId?: string;

  @MayBeLeftOut()
  @IsIn(marks)
  mark?: Mark;
}

/** The same, as plain data. */
export type PressBody = Pick<PressRequest, keyof PressRequest>;

/** Follows the link of a remote. */
export class RemoteRequest {
  @Matches(/^[\w-]{43}$/, { message: 'This is no link of a remote.' })
  token!: string;
}

/** A link that was made; it is told once. */
export interface RemoteMade {
  readonly token: string;
  /** Where this machine is reached from a phone in the same network, like `http://192.168.1.20:4600`; empty where it has a public address. */
  readonly addresses: readonly string[];
}

/** What a remote shows. */
export interface StageView {
  readonly groupName: string;
  /** Null while nobody teaches the class. */
  readonly stage: StageRequest | null;
}
