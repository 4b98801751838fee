import { parseISO } from 'date-fns';
import { newBearing } from '../bearings/fresh';
import { newBicycle } from '../fresh';
import type { Bicycle } from '../record';
import type { Ago } from './ago';
import { localDay } from '../localDay';
import { newTray } from '../strip/fresh';

/** What the look-over found. */
const seen = (ago: Ago): Bicycle['observations'] => [
  {
    id: 'o1',
    check: 'tyre-front',
    at: ago(50),
    evidence: { outcome: 'fine-cracks' },
    note: '',
    seenAs: 'bought',
    withdrawn: false,
  },
  {
    id: 'o2',
    check: 'hub-front',
    at: ago(50),
    evidence: { feel: 'gritty', play: 'slight' },
    note: 'Rumble felt at the fork blade.',
    seenAs: 'bought',
    withdrawn: false,
  },
  {
    id: 'o3',
    check: 'headset',
    at: ago(50),
    evidence: { feel: 'smooth', play: 'none' },
    note: '',
    seenAs: 'bought',
    withdrawn: false,
  },
  {
    id: 'o4',
    check: 'chain',
    at: ago(49),
    evidence: { pitches: 24, lengthMm: 307.4 },
    note: '',
    seenAs: 'bought',
    withdrawn: false,
  },
  {
    id: 'o5',
    check: 'cranks',
    at: ago(49),
    evidence: { left: 'loose', right: 'firm' },
    note: '',
    seenAs: 'bought',
    withdrawn: false,
  },
  {
    id: 'o6',
    check: 'frame',
    at: ago(49),
    evidence: { outcome: 'rust' },
    note: '',
    seenAs: 'bought',
    withdrawn: false,
  },
];

/** What is done about it. */
const KEPT: Bicycle['jobs'] = [
  {
    id: 'hub-front-open',
    rule: 'hub-front-open',
    title: 'Open and overhaul the front hub',
    place: 'hub.front',
    minutes: { low: 45, likely: 65, high: 100 },
    parts: { low: 150, likely: 300, high: 900 },
    decision: 'keep',
    reason: '',
    done: false,
    approval: null,
    declined: null,
  },
  {
    id: 'arm-fixing',
    rule: 'arm-fixing',
    title: 'Put the loose crank arm right',
    place: 'crank.left',
    minutes: { low: 20, likely: 40, high: 90 },
    parts: { low: 0, likely: 1500, high: 4000 },
    decision: 'keep',
    reason: '',
    done: false,
    approval: null,
    declined: null,
  },
];

/** What was tapped at the door. */
const TAPPED: [line: string, answer: 'fine' | 'bad'][] = [
  ['post', 'fine'],
  ['stem', 'fine'],
  ['ripple', 'fine'],
  ['fork', 'fine'],
  ['headset', 'fine'],
  ['hub-front', 'bad'],
  ['hub-rear', 'fine'],
  ['tyres', 'fine'],
  ['chain', 'fine'],
  ['shifters', 'fine'],
  ['size', 'fine'],
];
const atTheDoor = (at: string) => Object.fromEntries(TAPPED.map(([line, answer]) => [line, { answer, at, by: '' }]));

/** A staff bicycle whose front hub lies in its tray. */
export function staff(ago: Ago): Bicycle {
  const bicycle = newBicycle('ferry-staff-7', ago(24 * 9), 'Ferry staff bike 7', {
    frame: 'step-through',
    beadSeatMm: 590,
    tyreWidthMm: 37,
    bars: 'swept',
    stem: 'quill',
    gears: 'hub',
    brakes: 'caliper',
    chain: 'single-or-hub-gear',
    cranks: 'cottered',
    wheels: 'nutted',
    mudguards: true,
    rack: true,
    lights: true,
    basket: true,
    rings: 1,
    cogs: 1,
  });
  bicycle.teeth = { rings: [46], cogs: [18] };
  bicycle.driveFamilies = { 'hub-gear': 'three' };
  bicycle.driveFigures = { stay: 455, slot: 18 };
  bicycle.note = 'Three-speed hub gear. Came with the building.';
  bicycle.appraisal = {
    ...bicycle.appraisal,
    asking: 3000,
    resale: { low: 14000, likely: 18000, high: 22000 },
    target: { kind: 'hourly', amount: 1200 },
  };
  bicycle.purchase = { paid: 3000, at: ago(24 * 8) };
  bicycle.door = atTheDoor(ago(24 * 8.2));
  bicycle.brief = 'preserve';
  bicycle.observations = seen(ago);
  bicycle.jobs = KEPT;
  bicycle.trays = [
    {
      ...newTray('hub.front'),
      doneSteps: ['photo', 'before', 'skewer', 'locknut', 'cone', 'balls-left'],
      off: { skewer: 1, 'locknut.left': 2, 'washer.left': 3, 'cone.left': 4, 'dust-cap.left': 5, 'balls.left': 6 },
    },
  ];
  bicycle.bearings = [
    {
      ...newBearing('hub.front'),
      balls: {
        left: { out: 9, holds: null, in: null, answer: null },
        right: { out: null, holds: null, in: null, answer: null },
      },
      before: { feel: 'gritty', play: 'slight', spinS: 14 },
      axle: { majorMm: 7.938, pitchMm: 0.9769, boreMm: 0, coneSpanMm: 58, clampForceN: 0 },
    },
  ];
  bicycle.timers = [
    {
      id: 't1',
      label: 'Vinegar tub: keyed washer, axle washers',
      place: 'hub.front',
      startedAt: ago(1.2),
      minutes: 480,
      maxMinutes: 720,
      next: 'Brush, rinse, neutralise, dry, oil at once.',
      endedAt: null,
      bath: 'vinegar',
      parts: ['hub.front/washer.left'],
    },
  ];
  bicycle.minutes = [
    { id: 'm1', stage: 'look-over', minutes: 25, at: ago(49), place: null },
    { id: 'm2', stage: 'strip', minutes: 40, at: ago(2), place: 'hub.front' },
  ];
  bicycle.deliveries = [
    {
      id: 'd1',
      label: 'cotter pins 9.5 mm',
      dueOn: localDay(parseISO(ago(-72))),
      arrivedAt: null,
      place: 'crank.left',
    },
  ];
  bicycle.notes = [
    {
      id: 'n1',
      place: 'crank.left',
      text: 'Pin was filed by somebody before.',
      sound: null,
      at: ago(49),
      withdrawn: false,
    },
  ];
  bicycle.lines = [{ id: 'l1', label: 'Balls 3/16 in, bag of 50', kind: 'part', paid: 600, packQty: 50, usedQty: 20 }];
  return bicycle;
}
