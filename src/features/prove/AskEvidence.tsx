'use client';
import type { ProofEvidence } from '@/core/prove/evidence';
import type { StageProps } from '../workshop/WorkshopProvider';
import { GearsTried } from './GearsTried';
import { Heard } from './Heard';
import { MeasuredStops } from './MeasuredStops';
import { ProofReadings } from './ProofReadings';
import { SecondLook } from './SecondLook';

/** What may be put down as evidence for a proof: readings, a stop, gears, what is heard, when it is looked at again. */
export function AskEvidence({
  bicycle,
  send,
  proof,
  evidence,
  big = false,
}: StageProps & { proof: string; evidence: ProofEvidence; big?: boolean }) {
  const readings = evidence.readings.filter((reading) => reading.proof === proof);
  const at = { bicycle, send };
  return (
    <>
      {readings.length > 0 && <ProofReadings {...at} readings={readings} big={big} />}
      {proof === 'brakes-walk' && <MeasuredStops send={send} stops={evidence.stops} big={big} />}
      {(proof === 'gears-shift' || proof === 'gears') && evidence.gears && (
        <GearsTried {...at} gears={evidence.gears} />
      )}
      {proof === 'quiet' && <Heard {...at} />}
      {proof === 'ride-again' && <SecondLook {...at} />}
    </>
  );
}

/** Whether there is evidence to put down for a proof. */
export function hasEvidence(proof: string, evidence: ProofEvidence): boolean {
  return (
    evidence.readings.some((reading) => reading.proof === proof) ||
    ['brakes-walk', 'quiet', 'ride-again'].includes(proof) ||
    (proof === 'gears-shift' && evidence.gears !== null)
  );
}
