/** What a condition may speak of: a bicycle's kind, or what is known of its build. */
export type Facts = Readonly<Record<string, string | number | boolean | null | undefined>>;

/**
 * Whether a row of a table speaks of something. A condition is `fact=value|value`, several are joined by `;` and all must
 * hold; an empty one always does. Example: `holds('gears=derailleur|hub;fork=suspension', kind)`.
 */
export function holds(condition: string | null, facts: Facts): boolean {
  if (!condition) return true;
  return condition.split(';').every((term) => {
    const [fact, values] = term.split('=') as [string, string];
    return values.split('|').includes(String(facts[fact]));
  });
}

/** Whether every fact that a condition names is one of these; what a table's own test asks. */
export function isCondition(condition: string, facts: Iterable<string>): boolean {
  const known = new Set(facts);
  return condition.split(';').every((term) => /^\w+=[\w|-]+$/.test(term) && known.has(term.split('=')[0]!));
}
