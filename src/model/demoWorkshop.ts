import { localDay } from './localDay';
import { newBicycle } from './fresh';
import { USUAL_SETTINGS } from './settings/usual';
import { newBearing } from './bearings/fresh';
import { newTray } from './strip/fresh';
import type { Bicycle } from './record';
import type { WorkshopSettings } from './settings/settings';
import type { StockItem } from './stock/item';

const HOUR_MS = 3_600_000;

/** A made-up two-person workshop in a disused ferry ticket hall, dated back from `now`. */
export function demoWorkshop(now: Date): { bicycles: Bicycle[]; settings: WorkshopSettings; stock: StockItem[] } {
  const ago = (hours: number) => new Date(now.getTime() - hours * HOUR_MS).toISOString();

  const tourer = newBicycle('green-tourer', ago(3), 'Green tourer', {
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
  tourer.note = 'Lugged frame, seven sprockets, one owner. Stood in a boathouse.';
  tourer.appraisal = {
    ...tourer.appraisal,
    asking: 14000,
    resale: { low: 26000, likely: 30000, high: 34000 },
    target: { kind: 'hourly', amount: 1500 },
  };
  tourer.lead = {
    ...tourer.lead,
    advert:
      'Lugged touring frame, green, seven gears, mudguards and rack. Stood in our boathouse, was my aunt’s. Needs a little love. Pick up only.',
    indoors: 'no',
    crashed: 'no',
    papers: 'number',
    distanceKm: 12,
  };
  tourer.size = { sizeMm: 560, convention: 'centre-top', standoverMm: 810, use: 'touring' };
  tourer.features = {
    'cantilever-brakes': true,
    'rear-cogs-7': true,
    'down-tube-shifters': true,
    'quill-stem': true,
    'rear-spacing-126': true,
  };
  tourer.comparables = [
    {
      id: 'c1',
      label: 'Lugged tourer, blue, same class',
      price: 29000,
      soldOn: localDay(new Date(ago(24 * 60))),
      from: 'typed',
      at: null,
      off: false,
    },
    {
      id: 'c2',
      label: 'Tourer with dynamo lamps',
      price: 33000,
      soldOn: localDay(new Date(ago(24 * 200))),
      from: 'typed',
      at: null,
      off: false,
    },
  ];

  const staff = newBicycle('ferry-staff-7', ago(24 * 9), 'Ferry staff bike 7', {
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
  });
  staff.note = 'Three-speed hub gear. Came with the building.';
  staff.appraisal = {
    ...staff.appraisal,
    asking: 3000,
    resale: { low: 14000, likely: 18000, high: 22000 },
    target: { kind: 'hourly', amount: 1200 },
  };
  staff.purchase = { paid: 3000, at: ago(24 * 8) };
  staff.door = {
    post: 'fine',
    stem: 'fine',
    ripple: 'fine',
    fork: 'fine',
    headset: 'fine',
    'hub-front': 'bad',
    'hub-rear': 'fine',
    tyres: 'fine',
    chain: 'fine',
    shifters: 'fine',
    size: 'fine',
  };
  staff.brief = 'preserve';
  staff.observations = [
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
  staff.jobs = [
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
  staff.trays = [
    {
      ...newTray('hub.front'),
      doneSteps: ['photo', 'before', 'skewer', 'locknut', 'cone', 'balls-left'],
      off: { skewer: 1, 'locknut.left': 2, 'washer.left': 3, 'cone.left': 4, 'dust-cap.left': 5, 'balls.left': 6 },
    },
  ];
  staff.bearings = [
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
  staff.timers = [
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
  staff.minutes = [
    { id: 'm1', stage: 'look-over', minutes: 25, at: ago(49), place: null },
    { id: 'm2', stage: 'strip', minutes: 40, at: ago(2), place: 'hub.front' },
  ];
  staff.deliveries = [{ id: 'd1', label: 'cotter pins 9.5 mm', dueOn: localDay(new Date(ago(-72))), arrivedAt: null }];
  staff.notes = [
    {
      id: 'n1',
      place: 'crank.left',
      text: 'Pin was filed by somebody before.',
      sound: null,
      at: ago(49),
      withdrawn: false,
    },
  ];
  staff.lines = [{ id: 'l1', label: 'Balls 3/16 in, bag of 50', kind: 'part', paid: 600, packQty: 50, usedQty: 20 }];

  const racer = newBicycle('grey-racer', ago(24 * 30), 'Grey winter racer', {
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
  racer.note = 'Ridden indoors for two winters: look under the tape.';
  racer.appraisal = {
    ...racer.appraisal,
    asking: 22000,
    resale: { low: 38000, likely: 46000, high: 52000 },
  };

  racer.lead = { ...racer.lead, indoors: 'yes', kept: 'indoors', ridden: 'year', distanceKm: 85 };
  racer.complaints = [
    {
      id: 'said1',
      complaints: ['late-engage'],
      results: [{ test: 'chain-gauge', outcome: 'sound', at: ago(20) }],
      unavailable: [],
      closedAt: null,
    },
  ];

  const visitor = newBicycle('harbour-mixte', ago(24 * 2), 'Harbour mixte', {
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
  visitor.note = 'Ridden to the ferry every day.';
  visitor.purpose = 'customer';
  visitor.customer = 'Ilse, upstairs';
  visitor.observations = [
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

  return {
    bicycles: [tourer, staff, racer, visitor],
    settings: { ...USUAL_SETTINGS, name: 'Ticket hall workshop', customerPerHour: 3600 },
    stock: demoStock(ago),
  };
}

/** What lies in the drawer of the ticket hall. */
function demoStock(ago: (hours: number) => string): StockItem[] {
  const item = (id: string, changes: Partial<StockItem>): StockItem => ({
    id,
    label: '',
    place: 'frame',
    size: '',
    state: 'good',
    from: 'the drawer under the ticket window',
    bicycle: null,
    quantity: 1,
    worth: 0,
    cost: null,
    at: ago(24 * 60),
    goneAt: null,
    ...changes,
  });
  return [
    item('s1', {
      label: 'Brake pads, pair',
      place: 'pads.front',
      size: '55 mm',
      state: 'new',
      quantity: 3,
      worth: 1200,
      cost: 1050,
    }),
    item('s2', {
      label: 'Balls 1/4 in',
      place: 'hub.rear',
      size: '6.35 mm',
      state: 'new',
      quantity: 62,
      worth: 300,
      cost: 280,
    }),
    item('s3', {
      label: 'Left crank arm',
      place: 'crank.left',
      size: '170 mm, square taper',
      worth: 900,
      cost: 0,
      from: 'a wreck from the quay',
    }),
    item('s4', {
      label: 'Chain, 6 to 8 speed',
      place: 'chain',
      size: '116 links',
      state: 'new',
      worth: 1400,
      cost: 1290,
    }),
    item('s5', {
      label: 'Quill stem',
      place: 'stem',
      size: '22.2 mm, 80 mm',
      worth: 1500,
      cost: 400,
      from: 'a wreck from the quay',
    }),
  ];
}
