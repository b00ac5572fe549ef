/** When a body counts as warm, as cooled off, and a region as prepared. Usual cautions, after model.md; a club can change each. */
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
  smoothingSeconds: 60,
  curveStepSeconds: 10,
} as const;
