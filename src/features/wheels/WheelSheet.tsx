'use client';
import { endOf } from '@/core/bicycle';
import type { Bicycle } from '@/model/record';
import { useHandNow } from '../at-hand/hand';
import { spokeName, spokeNamed } from './spokeAtHand';
import { useWheel } from './useWheel';
import { WheelFigure } from './WheelFigure';

/** The wheel in the sheet’s left column, as it lies in the stand; a tap on its rim says which spoke. */
export function WheelSheet({ bicycle, place }: { bicycle: Bicycle; place: string }) {
  const { hand, tap } = useHandNow();
  const wheel = useWheel(bicycle, endOf(place)!);
  return (
    <WheelFigure
      bicycle={bicycle}
      end={endOf(place)!}
      wheel={wheel}
      atHand={spokeNamed(hand.parts[0] ?? null)}
      onTap={(spoke) => tap({ part: spokeName(spoke), track: null })}
    />
  );
}
