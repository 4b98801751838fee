import type { BicycleKind } from '@/core/bicycle';
import { bicycleKind } from '@/core/bicycle';
import { SCHEMA_VERSION, type Bicycle, type CostLine, type Tray, type WorkshopSettings } from './record';

/** Usual costs of a bicycle nobody has looked at closely: the ordinary work, and five faults that are often met. */
export const USUAL_COSTS: CostLine[] = [
  {
    id: 'ordinary',
    label: 'Ordinary work: wash, cables, tune, consumables, photographs, listing',
    kind: 'standing',
    chance: 1,
    parts: { low: 1200, likely: 2000, high: 3200 },
    minutes: { low: 200, likely: 260, high: 330 },
  },
  {
    id: 'post',
    label: 'Seat post or stem seized',
    kind: 'fault',
    chance: 0.25,
    parts: { low: 0, likely: 500, high: 3500 },
    minutes: { low: 20, likely: 70, high: 300 },
  },
  {
    id: 'hubs',
    label: 'Hubs rough or with play',
    kind: 'fault',
    chance: 0.5,
    parts: { low: 300, likely: 700, high: 2500 },
    minutes: { low: 60, likely: 110, high: 200 },
  },
  {
    id: 'chain-cogs',
    label: 'Chain and cogs worn',
    kind: 'fault',
    chance: 0.5,
    parts: { low: 1200, likely: 2800, high: 5500 },
    minutes: { low: 20, likely: 40, high: 80 },
  },
  {
    id: 'brakes',
    label: 'Brakes slow to let go, pads done',
    kind: 'fault',
    chance: 0.5,
    parts: { low: 800, likely: 1500, high: 3500 },
    minutes: { low: 30, likely: 60, high: 120 },
  },
  {
    id: 'tyres',
    label: 'Tyres cracked',
    kind: 'fault',
    chance: 0.6,
    parts: { low: 2400, likely: 3600, high: 6000 },
    minutes: { low: 25, likely: 35, high: 60 },
  },
];

const UNCOUNTED = { out: null, holds: null, in: null, answer: null } as const;

/** An empty tray for an assembly, with the axle that is most often met at a front hub; nuts squeeze nothing. */
export function newTray(place: string, wheels: BicycleKind['wheels']): Tray {
  return {
    place,
    doneSteps: [],
    order: [],
    backIn: [],
    balls: { left: { ...UNCOUNTED }, right: { ...UNCOUNTED } },
    ballReadingsMm: [],
    instrument: 'caliper',
    overBallsMm: null,
    seen: { grease: 'unknown', cup: 'unknown', cone: 'unknown', balls: 'unknown' },
    axle:
      wheels === 'nutted'
        ? { majorMm: 9, pitchMm: 1, boreMm: 0, coneSpanMm: 60, clampForceN: 0 }
        : { majorMm: 9, pitchMm: 1, boreMm: 5.2, coneSpanMm: 60, clampForceN: 3500 },
    soils: {},
    before: null,
    after: null,
    trials: [],
  };
}

/** A bicycle that nobody has looked at yet. `id` and `at` come in, since the model has no clock and no dice. */
export function newBicycle(id: string, at: string, name: string, kind: Partial<BicycleKind> = {}): Bicycle {
  return {
    schemaVersion: SCHEMA_VERSION,
    id,
    revision: 0,
    createdAt: at,
    updatedAt: at,
    recent: [],
    name,
    note: '',
    kind: bicycleKind.parse(kind),
    brief: 'rideable',
    appraisal: {
      asking: 0,
      resale: { low: 0, likely: 0, high: 0 },
      otherCosts: 0,
      target: { kind: 'hourly', amount: 1500 },
      confidence: 0.8,
      lines: USUAL_COSTS,
    },
    purchase: null,
    observations: [],
    jobs: [],
    trays: [],
    timers: [],
    signatures: [],
    proofs: [],
    lines: [],
    sale: { price: null, fee: 0 },
    minutes: [],
    clock: null,
    photos: [],
    notes: [],
    deliveries: [],
    looseEnds: [],
    bench: null,
    archivedAt: null,
    conflicts: [],
    stamps: {},
    sharedAt: null,
  };
}

/** House rules of a workshop that has not set its own. */
export const USUAL_SETTINGS: WorkshopSettings = {
  schemaVersion: SCHEMA_VERSION,
  name: 'Workshop',
  currency: 'EUR',
  labourPerHour: 0,
  rules: { openSound: false, reuseBalls: 'if-bright', cartridges: 'replace-when-rough', pittedCup: 'renew-unit' },
  school: 'from-tight',
  letterKeys: true,
};
