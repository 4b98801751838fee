import type { PlacedSign } from '@/core/drawing/svg';
import { partsOff } from '@/model/strip/trays';
import { defineOverlay } from '../workshop/declared';

/** What lies in its tray, or is back in. */
export const traySigns = defineOverlay({
  signs: ({ trays }, { stage }) =>
    trays.flatMap((tray): PlacedSign[] => {
      const left = partsOff(tray).length;
      const words = `${left === 1 ? 'one part' : `${left} parts`} in its tray`;
      if (left > 0) return [{ place: tray.place, sign: stage === 'overhaul' ? 'open' : 'off', words }];
      const wasOff = Object.keys(tray.off).length > 0;
      return wasOff ? [{ place: tray.place, sign: 'fine', words: 'all back in' }] : [];
    }),
});
