import type { WheelCauses } from '@/core/wheels/cause';
import type { Command } from '../commands';
import { latestObservations } from '../inspect/latest';
import type { Bicycle } from '../record';
import type { WheelEnd, WheelReading } from './part';

/**
 * Of what no nipple cures the observations that the look-over has a check for and does not hold yet: a bent rim, a hub that is out, a disc’s own trace.
 * Example: a bend of the rear rim → `rim-rear`, flat.
 */
export function causeFindings(
  bicycle: Bicycle,
  end: WheelEnd,
  reading: WheelReading,
  { causes }: WheelCauses,
  hand: () => { id: string; at: string; by: string },
): Command[] {
  const latest = latestObservations(bicycle);
  const has = (...kinds: string[]) => causes.filter(({ kind }) => kinds.includes(kind));
  const told: { check: string; evidence: { outcome?: string; readingsMm?: number[] }; note: string }[] = [];
  const [bent, hub] = [has('bend', 'hop'), has('hub')];
  const rim = hub[0] ? { outcome: 'hub', of: hub } : bent[0] ? { outcome: 'flat', of: bent } : null;
  if (rim)
    told.push({
      check: `rim-${end}`,
      evidence: { outcome: rim.outcome },
      note: rim.of.map(({ words }) => words).join(' '),
    });
  if (has('disc', 'seat', 'axle').length > 0 && reading.hubMm && (reading.hubAt ?? 'disc') === 'disc')
    told.push({ check: `disc-runout-${end}`, evidence: { readingsMm: reading.hubMm }, note: '' });
  return told
    .filter(({ check, evidence }) => JSON.stringify(latest.get(check)?.evidence) !== JSON.stringify(evidence))
    .map(({ check, evidence, note }) => {
      const { id, at, by } = hand();
      return {
        type: 'addObservation',
        observation: {
          id,
          check,
          at,
          evidence,
          seenAs: bicycle.seenAs,
          note,
          withdrawn: false,
          stage: 'look-over',
          ...(by && { by }),
        },
      };
    });
}
