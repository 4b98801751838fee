import type { BicycleKind } from '@/core/bicycle';
import { bicycleKind } from '@/core/bicycle';
import {
  SCHEMA_VERSION,
  type Bicycle,
  type CartridgeNote,
  type CostLine,
  type Lead,
  type SideCount,
  type Tray,
  type WorkshopSettings,
} from './record';

/** The ordinary work that every bicycle takes, in the sum from the start; it leaves only on purpose. Faults come from the door check. */
export const USUAL_COSTS: CostLine[] = [
  {
    id: 'ordinary',
    label: 'Ordinary work: wash, cables, tune, consumables, photographs, listing',
    kind: 'standing',
    chance: 1,
    parts: { low: 1200, likely: 2000, high: 3200 },
    minutes: { low: 200, likely: 260, high: 330 },
  },
];

/** A lead of which nothing is known; fuel at a usual rate. */
export const NO_LEAD: Lead = {
  advert: '',
  kept: null,
  indoors: null,
  crashed: null,
  ridden: null,
  papers: null,
  distanceKm: null,
  costPerKm: 25,
  haggle: 0.1,
};
export const NO_PAPERS: Bicycle['provenance'] = { serial: '', seller: '', proof: null };
export const NO_SIZE: Bicycle['size'] = { sizeMm: null, convention: 'centre-top', standoverMm: null, use: 'touring' };

/** A row of balls that nobody has counted. */
export const UNCOUNTED: SideCount = { out: null, holds: null, in: null, answer: null };

/** A cartridge that nobody has measured. */
export const UNMEASURED: CartridgeNote = { boreMm: null, odMm: null, widthMm: null, print: '', fate: null };

/** How most bicycles are ridden. */
export const USUAL_RIDING: Bicycle['riding'] = { use: 'mixed', hoursPerWeek: 5, jetWashed: false };

/** An empty tray for an assembly. */
export function newTray(place: string): Tray {
  return {
    place,
    assembly: null,
    doneSteps: [],
    order: [],
    backIn: [],
    balls: {},
    extra: [],
    marks: {},
    cleaned: [],
    hardened: {},
    leftOff: [],
    fates: {},
    ballReadingsMm: [],
    instrument: 'caliper',
    overBallsMm: null,
    seen: { grease: 'unknown', cup: 'unknown', cone: 'unknown', balls: 'unknown', seal: 'unknown' },
    tracks: {},
    worked: [],
    cartridges: {},
    ballsWere: null,
    round: {},
    runOn: false,
    service: { doneOn: null, grease: 'standard', seal: 'good' },
    axle: {},
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
    purpose: 'sale',
    customer: '',
    seenAs: 'bought',
    lead: NO_LEAD,
    provenance: NO_PAPERS,
    size: NO_SIZE,
    door: {},
    features: {},
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
    comparables: [],
    complaints: [],
    trays: [],
    timers: [],
    signatures: [],
    proofs: [],
    lines: [],
    sale: { price: null, fee: 0, on: null },
    minutes: [],
    clock: null,
    photos: [],
    notes: [],
    deliveries: [],
    looseEnds: [],
    seized: [],
    tricks: [],
    identified: [],
    endings: [],
    acceptances: [],
    worked: [],
    rechecks: [],
    waysOut: [],
    boltSizes: {},
    finish: { paint: null, hours: null, treatment: null },
    riding: USUAL_RIDING,
    bench: null,
    archivedAt: null,
    conflicts: [],
    stamps: {},
    sharedAt: null,
  };
}

/** What most workshops own: one small warm tank that also runs cold, and a tub of vinegar. */
export const USUAL_BATHS: WorkshopSettings['baths'] = [
  {
    id: 'hot',
    label: 'Tank, warm',
    process: 'hot ultrasonic, water-based degreaser',
    capacityMl: 3000,
    fillShare: 0.6,
  },
  {
    id: 'cold',
    label: 'Tank, cold',
    process: 'cold ultrasonic, water-based degreaser',
    capacityMl: 3000,
    fillShare: 0.6,
  },
  { id: 'vinegar', label: 'Vinegar tub', process: 'white vinegar soak', capacityMl: 2000, fillShare: 0.6 },
];

/** A workshop of one. */
export const USUAL_PEOPLE: WorkshopSettings['people'] = [{ id: 'one', name: 'The mechanic' }];

/** House rules of a workshop that has not set its own. */
export const USUAL_SETTINGS: WorkshopSettings = {
  schemaVersion: SCHEMA_VERSION,
  name: 'Workshop',
  currency: 'EUR',
  labourPerHour: 0,
  customerPerHour: 0,
  rules: { openSound: false, reuseBalls: 'if-bright', cartridges: 'replace-when-rough', pittedCup: 'renew-unit' },
  school: 'from-tight',
  letterKeys: true,
  frontBrakeHand: 'either',
  people: USUAL_PEOPLE,
  wrenchEverywhere: 'customers',
  secondEyes: false,
  baths: USUAL_BATHS,
  practice: {},
  stamps: {},
};
