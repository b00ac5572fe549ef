/** @returns the names of the fields in which two objects differ, whatever the order in which each writes them. */
export function differingFields(one: object, other: object): readonly string[] {
  const [left, right] = [new Map<string, unknown>(Object.entries(one)), new Map<string, unknown>(Object.entries(other))];
  return [...new Set([...left.keys(), ...right.keys()])].filter((field) => canonical(left.get(field)) !== canonical(right.get(field)));
}

/** A value as text that is the same for equal values: the fields of objects in the order of their names. */
function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join()}]`;
  if (value === undefined) return 'nothing';
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  return `{${Object.entries(value)
    .filter(([, inner]) => inner !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, inner]) => `${JSON.stringify(key)}:${canonical(inner)}`)
    .join()}}`;
}
