import { bicycleKind, type BicycleKind } from '@/core/bicycle';

/** A bicycle that a table's condition speaks of: the first value of each of its terms. */
export function kindFor(condition: string | null): BicycleKind {
  const fields = Object.fromEntries(
    (condition ?? '')
      .split(';')
      .filter(Boolean)
      .map((term) => {
        const [field, values] = term.split('=') as [string, string];
        const value = values.split('|')[0]!;
        return [field, value === 'true' ? true : value];
      }),
  );
  return bicycleKind.parse(fields);
}
