import {
  callLimits,
  helpers,
  itemSides,
  leaders,
  leaderStances,
  mostHomeTasks,
  postures,
  talkLimits,
  type Dose,
  type ItemSides,
  type Posture,
} from '@leiter/core';
import { Type } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsIn, IsNumber, IsObject, Matches, ValidateNested } from 'class-validator';
import { applyDecorators } from './apply-decorators.js';
import { DoseOfAnyKind } from './dose.js';
import { MayBeLeftOut } from './optional.js';
import { Line } from './text.js';
import { Within } from './within.js';
import { notAMovement, slug } from './names.js';

/** What is fetched or built before an item. */
export class BuildBody {
  @Line({ most: 120 })
  what!: string;

  @IsNumber({}, { message: 'How many seconds does it take?' })
  @Within(talkLimits.buildSeconds)
  seconds!: number;
}

export function BuildField(): PropertyDecorator {
  return applyDecorators(
    MayBeLeftOut(),
    IsObject({ message: 'What is built, and in how many seconds?' }),
    ValidateNested(),
    Type(() => BuildBody),
  );
}

/** What a parent or a partner does. */
export class HelperBody {
  @IsIn(helpers, { message: `Who helps is ${helpers.join(' or ')}.` })
  who!: (typeof helpers)[number];

  @Line({ most: 200 })
  does!: string;
}

/** What is called out, and how often. */
export class CallsBody {
  @Line({ most: 120 })
  what!: string;

  @IsNumber({}, { message: 'Every how many seconds?' })
  @Within(callLimits.everySeconds)
  everySeconds!: number;

  @MayBeLeftOut()
  @IsIn(postures, { message: `They answer from ${postures.join(', ')}.` })
  from?: Posture;
}

/** One thing that is done at home. */
export class HomeTaskItemBody {
  @Matches(slug, { message: notAMovement })
  movement!: string;

  @DoseOfAnyKind()
  dose!: Dose;

  @IsIn(itemSides, { message: `The sides can be ${itemSides.join(', ')}.` })
  sides!: ItemSides;
}

/** What the children do at home until the next class. */
export class HomeTaskBody {
  @IsArray({ message: 'A list of what is done.' })
  @ArrayMaxSize(mostHomeTasks, { message: `A home task is small: at most ${String(mostHomeTasks)} things.` })
  @IsObject({ each: true, message: 'Each thing is an object.' })
  @ValidateNested({ each: true })
  @Type(() => HomeTaskItemBody)
  tasks!: HomeTaskItemBody[];

  @Line({ least: 0, most: 300 })
  note!: string;
}

export function LeaderField(): PropertyDecorator {
  return applyDecorators(MayBeLeftOut(), IsIn(leaders, { message: `Who leads is ${leaders.join(', ')}.` }));
}

export function StandsField(): PropertyDecorator {
  return applyDecorators(MayBeLeftOut(), IsIn(leaderStances, { message: `Who leads stands ${leaderStances.join(', ')}.` }));
}

export function HelperField(): PropertyDecorator {
  return applyDecorators(
    MayBeLeftOut(),
    IsObject({ message: 'Who helps, and what they do.' }),
    ValidateNested(),
    Type(() => HelperBody),
  );
}

export function CallsField(): PropertyDecorator {
  return applyDecorators(
    MayBeLeftOut(),
    IsObject({ message: 'What is called, and how often.' }),
    ValidateNested(),
    Type(() => CallsBody),
  );
}

/** Movements that a child may do in its place. */
export function ChoiceField(): PropertyDecorator {
  return applyDecorators(
    MayBeLeftOut(),
    IsArray({ message: 'A list of movements.' }),
    ArrayMaxSize(callLimits.choice, { message: `At most ${String(callLimits.choice)} to choose from.` }),
    Matches(slug, { each: true, message: notAMovement }),
  );
}

export function StoryField(): PropertyDecorator {
  return applyDecorators(MayBeLeftOut(), Line({ least: 0, most: 300 }));
}

export function HomeTaskField(): PropertyDecorator {
  return applyDecorators(
    MayBeLeftOut(),
    IsObject({ message: 'What is done at home.' }),
    ValidateNested(),
    Type(() => HomeTaskBody),
  );
}
