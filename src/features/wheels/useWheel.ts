'use client';
import type { TrueRound } from '@/core/wheels/trueWheel';
import type { WheelCauses } from '@/core/wheels/cause';
import type { Bicycle } from '@/model/record';
import { buildOf, causeInput, lastReading, readingBefore, roundNow, trueInput } from '@/model/wheels/questions';
import type { WheelBuild, WheelEnd, WheelReading, WheelRound } from '@/model/wheels/part';
import { useReckon } from '../workshop/useReckon';

export interface WheelNow {
  build: WheelBuild | null;
  last: WheelReading | null;
  /** As it read before the round that led to the last reading. */
  before: WheelReading | null;
  round: WheelRound | null;
  /** What no nipple cures, and the next round; null until they are reckoned for this reading. */
  cause: WheelCauses | null;
  truth: TrueRound | null;
  pending: boolean;
}

/** A wheel as it stands: its last reading, the round that is under way, and what is reckoned of both; nothing while it `reads`. */
export function useWheel(bicycle: Bicycle, end: WheelEnd, reads = false): WheelNow {
  const build = buildOf(bicycle, end);
  const cause = useReckon('wheels.cause', reads ? null : causeInput(bicycle, end));
  const told = cause.pending ? null : cause.output;
  // What the joint of the rim reads is no work of nipples: the round is asked without it.
  const truth = useReckon('wheels.true', reads || cause.pending ? null : trueInput(bicycle, end, told?.leaveOut));
  const spokes = build?.spokes ?? 0;
  return {
    build,
    last: lastReading(bicycle, end, spokes),
    before: readingBefore(bicycle, end, spokes),
    round: roundNow(bicycle, end, spokes),
    cause: told,
    // An answer to the reading before is no answer to this one.
    truth: truth.pending || cause.pending ? null : truth.output,
    pending: truth.pending || cause.pending,
  };
}
