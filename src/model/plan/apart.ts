import type { Summary } from '../summary';

/** Bicycles that lie apart, and how many of their parts are in trays: what has to be kept in the head. */
export function liesApart(rows: readonly Summary[]): { bicycles: number; parts: number } {
  const open = rows.map((row) => row.open.filter(({ kind }) => kind === 'back' || kind === 'overhaul'));
  return {
    bicycles: open.filter((list) => list.length > 0).length,
    parts: open.flat().reduce((sum, { parts }) => sum + parts, 0),
  };
}

/** That in a sentence; nothing where at most one lies apart. Example: "2 bicycles lie apart, 11 parts in trays: close one before another is opened." */
export function apartWords(rows: readonly Summary[]): string | null {
  const { bicycles, parts } = liesApart(rows);
  if (bicycles < 2) return null;
  return `${bicycles} bicycles lie apart, ${parts} ${parts === 1 ? 'part' : 'parts'} in trays: close one before another is opened.`;
}
