import type { ShiftRound } from '../drive/part';
import { newBicycle } from '../fresh';
import type { Bicycle } from '../record';
import type { Ago } from './ago';

const MECHANIC = 'The mechanic';

/** Its first round of shifts: noisy at the small end, failing on the largest cog, slow down onto the smallest. */
const LEANING: ShiftRound['gears'] = (
  [
    [null, 'slow'],
    ['noisy', 'slow'],
    ['noisy', 'crisp'],
    ['crisp', 'crisp'],
    ['crisp', 'crisp'],
    ['crisp', 'crisp'],
    ['slow', 'crisp'],
    ['slow', 'noisy'],
    ['slow', 'noisy'],
    ['fails', null],
  ] as const
).map(([toLarger, toSmaller], i) => ({ gear: i + 1, toLarger, toSmaller }));

/** A racer that its rider complains of. */
export function racer(ago: Ago): Bicycle {
  const bicycle = newBicycle('grey-racer', ago(24 * 30), 'Grey winter racer', {
    beadSeatMm: 622,
    tyreWidthMm: 28,
    bars: 'drop',
    stem: 'threadless',
    brakes: 'disc',
    frameMaterial: 'aluminium',
    chain: '9-10-speed',
    cranks: 'pinch-bolt',
    wheels: 'quick-release',
    rings: 2,
    cogs: 10,
  });
  bicycle.teeth = { rings: [34, 50], cogs: [12, 13, 14, 15, 17, 19, 21, 23, 25, 28] };
  bicycle.driveFamilies = { shifter: 'ratio 1.7', derailleur: 'ratio 1.7' };
  bicycle.shiftRounds = [{ id: 'shifts1', at: ago(18), by: MECHANIC, turns: 0, gears: LEANING }];
  bicycle.note = 'Ridden indoors for two winters: look under the tape.';
  bicycle.appraisal = {
    ...bicycle.appraisal,
    asking: 22000,
    resale: { low: 38000, likely: 46000, high: 52000 },
  };

  bicycle.lead = { ...bicycle.lead, indoors: 'yes', kept: 'indoors', ridden: 'year', distanceKm: 85 };
  bicycle.complaints = [
    {
      id: 'said1',
      complaints: ['late-engage'],
      results: [{ test: 'chain-gauge', outcome: 'sound', at: ago(20) }],
      unavailable: [],
      closedAt: null,
      known: [],
    },
  ];
  return bicycle;
}
