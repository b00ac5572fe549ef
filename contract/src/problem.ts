/** A refusal as RFC 9457 says it, with the fields at fault where there are any. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly detail?: string;
  readonly errors?: readonly FieldProblem[];
}

export interface FieldProblem {
  /** Path of the field, `household.clearWidthM`. */
  readonly field: string;
  readonly message: string;
}
