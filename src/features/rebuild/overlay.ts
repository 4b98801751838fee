import type { PlacedSign } from '@/core/drawing/svg';
import type { Bolt } from '@/core/rebuild/bolts';
import { openBolts } from '@/model/prove/readyQuestion';
import { boltsInput } from '@/model/rebuild/questions';
import { partsOff } from '@/model/strip/trays';
import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import { defineOverlay } from '../workshop/declared';

/** Numbers as the list has them, those that follow one another in short. Example: 4, 5, 6, 9 → "4–6, 9". */
export function numbersOf(numbers: readonly number[]): string {
  const runs: [number, number][] = [];
  for (const each of numbers) {
    const last = runs.at(-1);
    if (last && each === last[1] + 1) last[1] = each;
    else runs.push([each, each]);
  }
  return runs.map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`)).join(', ');
}

/** How many bolts of each place the law counts as signed. */
function signedSigns(
  bicycle: Bicycle,
  bolts: Bolt[],
  settings: WorkshopSettings,
  isOff: (place: string) => boolean,
): PlacedSign[] {
  const open = openBolts(bicycle, bolts, settings);
  return [...new Set(bolts.map((bolt) => bolt.place))]
    .filter((place) => !isOff(place))
    .map((place) => {
      const here = bolts.filter((bolt) => bolt.place === place);
      const count = here.filter((bolt) => !open.has(bolt.id)).length;
      const sign = count === here.length ? 'signed' : count > 0 ? 'part-signed' : 'unsigned';
      return {
        place,
        sign,
        words: `${count} of ${here.length} signed`,
        number: numbersOf(here.map((bolt) => bolts.indexOf(bolt) + 1)),
      };
    });
}

/** What waits, how far the bolts of each place are signed, and what is together only for now. */
export const boltSigns = defineOverlay<'rebuild.bolts'>({
  asks: { id: 'rebuild.bolts', of: (bicycle, { settings }) => boltsInput(bicycle, settings) },
  signs(bicycle, { answer, settings }) {
    const off = new Set(bicycle.trays.filter((tray) => partsOff(tray).length > 0).map(({ place }) => place));
    return [
      // What is out waits in its tray; what is together shows its bolts.
      ...[...off].map((place): PlacedSign => ({ place, sign: 'off', words: 'waits in its tray' })),
      ...(answer ? signedSigns(bicycle, answer.bolts, settings, (place) => off.has(place)) : []),
      // Loose for now is red until it is tightened, whatever else stands there.
      ...bicycle.looseEnds
        .filter(({ closedAt }) => closedAt === null)
        .map(({ place }): PlacedSign => ({ place, sign: 'loose', words: 'loose for now' })),
    ];
  },
});
