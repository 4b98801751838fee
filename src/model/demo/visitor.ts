import { newBicycle } from '../fresh';
import type { Bicycle } from '../record';
import type { Ago } from './ago';

/** What the look-over found. */
const seen = (ago: Ago): Bicycle['observations'] => [
  {
    id: 'v1',
    check: 'chain',
    at: ago(30),
    evidence: { pitches: 24, lengthMm: 308.1 },
    note: '',
    seenAs: 'bought',
    withdrawn: false,
  },
  {
    id: 'v2',
    check: 'pads-front',
    at: ago(30),
    evidence: { readingsMm: [1.8, 2.2] },
    note: '',
    seenAs: 'bought',
    withdrawn: false,
  },
  {
    id: 'v3',
    check: 'grip-right',
    at: ago(30),
    evidence: { outcome: 'sticky' },
    note: '',
    seenAs: 'bought',
    withdrawn: false,
  },
  {
    id: 'v4',
    check: 'hub-front',
    at: ago(30),
    evidence: { feel: 'smooth', play: 'none' },
    note: '',
    seenAs: 'bought',
    withdrawn: false,
  },
  {
    id: 'v5',
    check: 'frame',
    at: ago(30),
    evidence: { outcome: 'rust' },
    note: '',
    seenAs: 'bought',
    withdrawn: false,
  },
  {
    id: 'v6',
    check: 'derailleur-rear',
    at: ago(29),
    evidence: { outcome: 'slow' },
    note: '',
    seenAs: 'bought',
    withdrawn: false,
  },
];

/** A customer’s own, looked over and not yet decided. */
export function visitor(ago: Ago): Bicycle {
  const bicycle = newBicycle('harbour-mixte', ago(24 * 2), 'Harbour mixte', {
    frame: 'mixte',
    beadSeatMm: 622,
    tyreWidthMm: 35,
    bars: 'swept',
    stem: 'quill',
    brakes: 'direct-pull',
    frameMaterial: 'aluminium',
    chain: '5-8-speed',
    cranks: 'square-taper',
    wheels: 'quick-release',
    mudguards: true,
    rack: true,
  });
  bicycle.note = 'Ridden to the ferry every day.';
  bicycle.purpose = 'customer';
  bicycle.customer = 'Ilse, upstairs';
  bicycle.observations = seen(ago);
  return bicycle;
}
