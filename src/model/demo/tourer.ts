import { parseISO } from 'date-fns';
import { newBicycle } from '../fresh';
import type { Bicycle } from '../record';
import type { Ago } from './ago';
import { localDay } from '../localDay';

/** A tourer that is looked at before it is bought. */
export function tourer(ago: Ago): Bicycle {
  const bicycle = newBicycle('green-tourer', ago(3), 'Green tourer', {
    beadSeatMm: 622,
    tyreWidthMm: 32,
    bars: 'drop',
    stem: 'quill',
    brakes: 'cantilever',
    chain: '5-8-speed',
    cranks: 'square-taper',
    bottomBracket: 'english',
    wheels: 'quick-release',
    mudguards: true,
    rack: true,
  });
  bicycle.note = 'Lugged frame, seven sprockets, one owner. Stood in a boathouse.';
  bicycle.appraisal = {
    ...bicycle.appraisal,
    asking: 14000,
    resale: { low: 26000, likely: 30000, high: 34000 },
    target: { kind: 'hourly', amount: 1500 },
  };
  bicycle.lead = {
    ...bicycle.lead,
    advert:
      'Lugged touring frame, green, seven gears, mudguards and rack. Stood in our boathouse, was my aunt’s. Needs a little love. Pick up only.',
    indoors: 'no',
    crashed: 'no',
    papers: 'number',
    distanceKm: 12,
  };
  bicycle.size = { sizeMm: 560, convention: 'centre-top', standoverMm: 810, use: 'touring' };
  bicycle.features = {
    'cantilever-brakes': true,
    'rear-cogs-7': true,
    'down-tube-shifters': true,
    'quill-stem': true,
    'rear-spacing-126': true,
  };
  bicycle.comparables = [
    {
      id: 'c1',
      label: 'Lugged tourer, blue, same class',
      price: 29000,
      soldOn: localDay(parseISO(ago(24 * 60))),
      from: 'typed',
      at: null,
      off: false,
    },
    {
      id: 'c2',
      label: 'Tourer with dynamo lamps',
      price: 33000,
      soldOn: localDay(parseISO(ago(24 * 200))),
      from: 'typed',
      at: null,
      off: false,
    },
  ];
  return bicycle;
}
