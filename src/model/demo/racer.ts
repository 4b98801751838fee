import { newBicycle } from '../fresh';
import type { Bicycle } from '../record';
import type { Ago } from './ago';

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
  });
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
