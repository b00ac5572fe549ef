/** Values by key, in the order in which the keys first appear. `Map.groupBy`, which Node 20 does not have. */
export function groupBy<Key, Value>(values: Iterable<Value>, keyOf: (value: Value) => Key): Map<Key, Value[]> {
  const groups = new Map<Key, Value[]>();
  for (const value of values) {
    const key = keyOf(value);
    const group = groups.get(key);
    if (group) group.push(value);
    else groups.set(key, [value]);
  }
  return groups;
}
