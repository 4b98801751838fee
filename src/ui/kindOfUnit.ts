import type { ReadingKind } from './ReadingField';

const KIND_OF_UNIT: Record<string, ReadingKind> = { bar: 'pressure', mm: 'length' };

/** In which other units a reading may be typed, by the unit that it is kept in. Example: `bar` takes psi. */
export const kindOfUnit = (unit: string): ReadingKind => KIND_OF_UNIT[unit] ?? 'number';
