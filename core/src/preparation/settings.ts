/** When a body counts as warm and a region as prepared. Usual cautions, after model.md; a club can change each. */
export const preparationSettings = {
  warmEffort: 2,
  warmSeconds: 120,
  preparedForSeconds: 15 * 60,
  smoothingSeconds: 60,
  curveStepSeconds: 10,
} as const;
