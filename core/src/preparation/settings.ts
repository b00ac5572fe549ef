/** When a body counts as warm, as cooled off, and a region as prepared. */
export interface PreparationSettings {
  readonly warmEffortSeconds: number;
  readonly gentleShare: number;
  readonly coolSeconds: number;
  readonly rewarmSeconds: number;
  readonly preparedForSeconds: number;
}

/** As is usual, after model.md; what a club may set otherwise stands in checks/preparation-rules.ts. */
export const preparationSettings = {
  /** Σ effort × seconds of moving from which a body is warm. */
  warmEffortSeconds: 240,
  /** A gentle movement warms half as much as its effort says. */
  gentleShare: 0.5,
  /** So long at effort ≤ 1, and a warm body has cooled off … */
  coolSeconds: 180,
  /** … until it has moved so long at effort ≥ 2. */
  rewarmSeconds: 30,
  preparedForSeconds: 15 * 60,
} as const satisfies PreparationSettings;

export const effortCurveSettings = { smoothingSeconds: 60, curveStepSeconds: 10 } as const;
