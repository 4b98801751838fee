import type { Bicycle } from '../record';

/** A clock may be set back: what is signed after work says so, and work after a signature reopens it, whatever the clock says. */
const after = (at: string, last: string): string => (at > last ? at : new Date(Date.parse(last) + 1).toISOString());

const latest = (rows: readonly { at: string }[]): string => rows.reduce((last, { at }) => (at > last ? at : last), '');

/** The moment of a signature that is put down now: not before any work on record. Example: work at 12:00, the clock at 11:05 → 12:00:00.001. */
export const signedAt = ({ worked }: Pick<Bicycle, 'worked'>, at: string): string =>
  worked.length === 0 ? at : after(at, latest(worked));

/** The moment of work that is done now: not before any signature on record. */
export function workedAt({ proofs, signatures }: Pick<Bicycle, 'proofs' | 'signatures'>, at: string): string {
  const last = latest([...proofs, ...signatures]);
  return last === '' ? at : after(at, last);
}
