'use client';
import type { WheelEnd } from '@/model/wheels/part';
import type { StageProps } from '../workshop/WorkshopProvider';
import { Punctures } from './Punctures';
import { Sealant } from './Sealant';
import { TyreFits } from './TyreFits';

/** A tyre on its rim: whether it belongs there, why it went flat, what seals in it. */
export function TyreAt({ bicycle, send, end }: StageProps & { end: WheelEnd }) {
  const at = { bicycle, send, end };
  const isFlat = bicycle.punctures.some((row) => row.end === end && !row.isMended);
  return (
    <>
      {isFlat && <Punctures {...at} />}
      <TyreFits {...at} />
      {!isFlat && <Punctures {...at} />}
      {bicycle.tyreFits[end]?.isTubeless && <Sealant {...at} />}
    </>
  );
}
