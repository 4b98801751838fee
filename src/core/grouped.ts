/** Rows by a key of theirs, in their order. Example: `grouped([1, 2, 3], (n) => n % 2)` holds 1 and 3 under 1. */
export function grouped<Row, Key>(rows: Iterable<Row>, keyOf: (row: Row) => Key): Map<Key, Row[]> {
  const groups = new Map<Key, Row[]>();
  for (const row of rows) {
    const key = keyOf(row);
    const known = groups.get(key);
    if (known) known.push(row);
    else groups.set(key, [row]);
  }
  return groups;
}
