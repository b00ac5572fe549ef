/**
 * Units and ids carry a flavour: a plain number or string may be used where one is asked for (JSON and SQL give
 * no more), but an id of one thing is never taken for the id of another. See docs/decisions/0003.
 */
type Flavoured<Base, Name extends string> = Base & { readonly flavour?: Name };

export type Seconds = Flavoured<number, 'seconds'>;
export type Metres = Flavoured<number, 'metres'>;

export type MovementSlug = Flavoured<string, 'movement'>;
export type ItemId = Flavoured<string, 'item'>;
export type SectionId = Flavoured<string, 'section'>;
export type CircuitId = Flavoured<string, 'circuit'>;
export type ChildId = Flavoured<string, 'child'>;
export type GradeId = Flavoured<string, 'grade'>;
export type RequirementId = Flavoured<string, 'requirement'>;
export type ObservationId = Flavoured<string, 'observation'>;
export type ClassId = Flavoured<string, 'class'>;
export type PersonId = Flavoured<string, 'person'>;
export type ProgrammeSlug = Flavoured<string, 'programme'>;
/** A calendar day of the club, `YYYY-MM-DD`; never a moment. */
export type Day = Flavoured<string, 'day'>;
