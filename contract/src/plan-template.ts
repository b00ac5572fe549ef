import { ageBands, classLengths, type AgeBand, type ClassLength, type PlanTemplate } from '@leiter/core';
import { Type } from 'class-transformer';
import { IsIn, IsObject, Matches, ValidateNested } from 'class-validator';
import { PlanDocument } from './class-plan.js';
import { Line } from './text.js';
import { slug } from './names.js';

/** A plan kept as a running order to start from. */
export class SaveTemplateRequest {
  @Line({ most: 60 })
  name!: string;

  @Matches(slug, { message: 'The slug of a programme.' })
  programme!: string;

  @IsIn(classLengths, { message: `A class lasts ${classLengths.join(', ')} minutes.` })
  lengthMinutes!: ClassLength;

  @IsIn(ageBands, { message: 'For which age?' })
  ageBand!: AgeBand;

  @IsObject({ message: 'This is missing.' })
  @ValidateNested()
  @Type(() => PlanDocument)
  plan!: PlanDocument;
}

export interface TemplateResponse extends PlanTemplate {
  /** Null for one that ships; by it one of the club is put away. */
  readonly ownId: string | null;
}
