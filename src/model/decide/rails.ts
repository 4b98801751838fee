/** A stretch of a rail: what a job takes of money or of hours. */
export interface RailPiece {
  id: string;
  label: string;
  amount: number;
}
export interface Rail {
  pieces: RailPiece[];
  total: number;
  /** As far as it may reach; null where that is not known. */
  limit: number | null;
}

const sumOf = (pieces: readonly RailPiece[]): number => pieces.reduce((sum, { amount }) => sum + amount, 0);

/**
 * Money that goes in: the price, then each job's parts. It may reach as far as the limit of the price and these parts together, so that what a dropped job frees shows twice:
 * its piece goes, and the line moves by what its work would have cost.
 * Units: minor. Example: paid 30, parts 41, limit of the price 11 → 71 of 52.
 */
export function moneyRail(price: RailPiece | null, parts: readonly RailPiece[], most: number | null): Rail {
  const own = parts.filter(({ amount }) => amount > 0);
  const pieces = price && price.amount > 0 ? [price, ...own] : own;
  return { pieces, total: sumOf(pieces), limit: most === null ? null : most + sumOf(own) };
}

/**
 * Hours that go in, job by job. They may reach as far as the room under the limit pays for at the wage that is wanted; where no wage is wanted, nothing limits them.
 * Units: minutes; room and wage in minor. Example: 390 min, 19 over at 15 an hour → 390 of 314.
 */
export function hoursRail(jobs: readonly RailPiece[], room: number | null, perHour: number | null): Rail {
  const pieces = jobs.filter(({ amount }) => amount > 0);
  const total = sumOf(pieces);
  const limit = room === null || perHour === null || perHour <= 0 ? null : Math.max(0, total + (room * 60) / perHour);
  return { pieces, total, limit };
}
