import { z } from 'zod';
import { houseRules } from '@/core/bearings/gradeRules';
import { MISMATCH_ANSWERS } from '@/core/bearings/counts';
import { bicycleKind, BRIEFS } from '@/core/bicycle';
import { currencyCode, minorUnits, orderedRange, workMinutes } from '@/core/fields';
import { evidence } from '@/core/inspect/evidence';
import { SEEN_AS } from '@/core/inspect/seenAs';
import { CONVENTIONS } from '@/core/buy/conventions';
import { acceptance, ending, inWriting, person, recheck, wayOut, workedOn } from './provingRows';
import { OURS } from './stamps';

z.config({ jitless: true });

/** Version of the stored shape; every change of it adds a step to `migrate.ts`. */
export const SCHEMA_VERSION = 8;

export const STAGES = [
  'buy',
  'look-over',
  'decide',
  'strip',
  'clean',
  'overhaul',
  'rebuild',
  'prove',
  'hand-over',
] as const;
export type Stage = (typeof STAGES)[number];

const id = z.string().min(1).max(64);
const at = z.iso.datetime();
/** When, and by which change: a moment to the millisecond, so that stamps sort as text, and the change's id. */
export const stamp = z.string().regex(OURS);
const text = z.string().max(2000);
const label = z.string().min(1).max(120);
const count = z.number().multipleOf(1).min(0).max(200).nullable();

export const costLine = z.strictObject({
  id,
  label,
  kind: z.enum(['standing', 'fault']),
  chance: z.number().min(0).max(1),
  parts: orderedRange(minorUnits),
  minutes: orderedRange(workMinutes),
});
export type CostLine = z.output<typeof costLine>;

export const appraisal = z.strictObject({
  asking: minorUnits,
  resale: orderedRange(minorUnits),
  otherCosts: minorUnits,
  target: z.strictObject({ kind: z.enum(['profit', 'hourly']), amount: minorUnits }),
  confidence: z.number().min(0.5).max(0.99),
  lines: z.array(costLine),
});

export const observation = z.strictObject({
  id,
  check: id,
  at,
  evidence,
  /** How far the bicycle was when it was seen. */
  seenAs: z.enum(SEEN_AS),
  note: text.default(''),
  withdrawn: z.boolean().default(false),
});
export type Observation = z.output<typeof observation>;

export const job = z.strictObject({
  id,
  rule: id.nullable(),
  title: label,
  place: id,
  minutes: orderedRange(workMinutes),
  parts: orderedRange(minorUnits),
  decision: z.enum(['keep', 'drop']),
  reason: text.default(''),
  done: z.boolean().default(false),
  /** The owner's word on it, where the bicycle is a customer's. */
  approval: z.strictObject({ answer: z.enum(['yes', 'no']), words: text, at }).nullable(),
  /** Left undone in writing, by whom and when. */
  declined: inWriting.nullable().default(null),
});
export type Job = z.output<typeof job>;

export const sideCount = z.strictObject({
  out: count,
  holds: count,
  in: count,
  answer: z.enum(MISMATCH_ANSWERS).nullable(),
});
export type SideCount = z.output<typeof sideCount>;

/** A cartridge bearing of an assembly: what the caliper and the print say, and what becomes of it. */
export const cartridge = z.strictObject({
  boreMm: z.number().gt(0).max(200).nullable(),
  odMm: z.number().gt(0).max(200).nullable(),
  widthMm: z.number().gt(0).max(200).nullable(),
  print: z.string().max(60),
  fate: z.enum(['keep', 'repack', 'renew']).nullable(),
});
export type CartridgeNote = z.output<typeof cartridge>;

const track = z.enum(['bright', 'dull', 'pitted']);
const coneFeel = z.enum(['loose', 'tick', 'smooth', 'tight']);

const bearingFeel = z.enum(['smooth', 'light-rumble', 'gritty', 'notchy', 'tight', 'seized', 'unknown']);
const bearingPlay = z.enum(['none', 'slight', 'clear', 'unknown']);
export const bearingState = z.strictObject({
  feel: bearingFeel,
  play: bearingPlay,
  spinS: z.number().min(0).max(600).nullable(),
});

export const coneTrial = z.strictObject({
  id,
  turnDeg: z.number().min(-720).max(720),
  feel: coneFeel,
  clamped: z.boolean(),
});

export const PART_MARKS = ['missing', 'wrong', 'worn'] as const;
export type PartMark = (typeof PART_MARKS)[number];
const soil = z.enum(['oil', 'old-grease', 'mud', 'rust']);

/** A part that no template has, as it was found on this bicycle. */
export const extraPart = z.strictObject({ id, label, side: z.enum(['left', 'right']).nullable() });

export const tray = z.strictObject({
  place: id,
  /** The assembly that was found there; null for the one that is usual for the bicycle. */
  assembly: id.nullable(),
  doneSteps: z.array(id),
  order: z.array(id),
  backIn: z.array(id),
  /** Counts by row of balls: left and right, upper and lower, inner and outer. */
  balls: z.record(id, sideCount),
  extra: z.array(extraPart).max(200),
  marks: z.record(id, z.enum(PART_MARKS)),
  /** Parts that have been cleaned since they came off. */
  cleaned: z.array(id).max(1000),
  /** Whether a part is hardened, as far as it was asked: what is hardened never meets acid. */
  hardened: z.record(id, z.boolean()),
  /** Parts that are left off on purpose: their slot is closed. */
  leftOff: z.array(id).max(1000),
  /** Parts that are not kept for this bicycle. */
  fates: z.record(id, z.enum(['stock', 'scrap'])),
  ballReadingsMm: z.array(z.number()).max(200),
  instrument: z.enum(['caliper', 'micrometer']),
  overBallsMm: z.number().nullable(),
  seen: z.strictObject({
    grease: z.enum(['fresh', 'dirty', 'dry', 'rusty', 'unknown']),
    cup: z.enum(['bright', 'dull', 'pitted', 'unknown']),
    cone: z.enum(['bright', 'dull', 'pitted', 'unknown']),
    balls: z.enum(['bright', 'dull', 'rusty', 'short', 'unknown']),
    seal: z.enum(['sound', 'torn', 'unknown']),
  }),
  /** Tracks by row and part, such as left.cup, as they were seen. */
  tracks: z.record(id, track),
  /** Steps of the overhaul that are done. */
  worked: z.array(id).max(1000),
  cartridges: z.record(id, cartridge),
  /** Whether the balls that came out went back in. */
  ballsWere: z.enum(['reused', 'renewed']).nullable(),
  /** Feel at points round the turn, once it is set. */
  round: z.record(id, coneFeel),
  /** A pitted cup was accepted: it runs on, and the sheet says so. */
  runOn: z.boolean(),
  service: z.strictObject({
    doneOn: z.iso.date().nullable(),
    grease: z.enum(['thick', 'standard', 'thin']),
    seal: z.enum(['good', 'poor']),
  }),
  /** The axle as far as it was measured; the rest is the usual of its assembly. */
  axle: z
    .strictObject({
      majorMm: z.number(),
      pitchMm: z.number(),
      boreMm: z.number(),
      coneSpanMm: z.number(),
      clampForceN: z.number(),
    })
    .partial(),
  soils: z.record(id, soil),
  before: bearingState.nullable(),
  after: bearingState.nullable(),
  trials: z.array(coneTrial),
});
export type Tray = z.output<typeof tray>;

export const timer = z.strictObject({
  id,
  label,
  place: id,
  startedAt: at,
  minutes: z.number().gt(0).max(10_080),
  maxMinutes: z.number().nullable(),
  next: text,
  endedAt: at.nullable(),
  /** The bath that it runs in, and the parts that lie there, each as place/part. */
  bath: id.nullable().default(null),
  parts: z.array(z.string().max(130)).max(1000).default([]),
});
export type Timer = z.output<typeof timer>;

/** Something that will not move: what it is made of, what was tried, how it ended. */
export const seized = z.strictObject({
  id,
  place: id,
  part: label,
  partMaterial: label,
  aroundMaterial: label,
  paintMatters: z.boolean(),
  partValue: minorUnits,
  aroundValue: minorUnits,
  tried: z.array(z.strictObject({ step: id, soakMinutes: z.number().min(0).max(100_000), at })).max(500),
  ended: z.strictObject({ how: z.enum(['freed', 'left']), at }).nullable(),
});
export type Seized = z.output<typeof seized>;

/** A trick found the hard way, pinned to a step of an assembly; it is shown on the next bicycle that has one. */
export const trick = z.strictObject({ id, assembly: id, step: id, text: z.string().min(1).max(300), at });
export type Trick = z.output<typeof trick>;

/** What a part turned out to be, with the readings that said so. */
export const identified = z.strictObject({
  id,
  kind: id,
  place: id,
  standard: z.string().min(1).max(200),
  name: z.string().min(1).max(200),
  readings: z.record(id, z.union([z.number(), z.string().max(40)])),
  at,
});
export type Identified = z.output<typeof identified>;

/** What is known of the frame's finish, and what was settled on. */
export const finish = z.strictObject({
  paint: z.enum(['sound', 'dull', 'scuffed', 'patina', 'flaking', 'bare', 'plated']).nullable(),
  hours: z.number().min(0).max(200).nullable(),
  treatment: id.nullable(),
});

/** How it will be ridden: what an interval of service follows from. */
export const riding = z.strictObject({
  use: z.enum(['dry', 'mixed', 'wet']),
  hoursPerWeek: z.number().min(0).max(168),
  jetWashed: z.boolean(),
});

export const signature = z.strictObject({
  id,
  bolt: id,
  how: z.enum(['wrench', 'feel']),
  valueNm: z.number().gt(0).max(300).nullable(),
  at,
  by: person.default(''),
  /** By feel: its hold was tried. */
  holdTest: z.boolean().default(false),
});
export type Signature = z.output<typeof signature>;

export const proofMark = z.strictObject({
  id,
  proof: id,
  passed: z.boolean(),
  how: text,
  at,
  by: person.default(''),
  /** A noise or a slow gear that is known, not unsafe, and accepted in writing. */
  accepted: inWriting.nullable().default(null),
});
export type ProofMark = z.output<typeof proofMark>;

/** A sold bicycle to compare with: typed, or from the feed of sold prices. */
export const comparable = z.strictObject({
  id,
  label,
  price: minorUnits,
  soldOn: z.iso.date().nullable(),
  from: z.enum(['typed', 'feed']),
  /** When the feed said so; null where it was typed. */
  at: at.nullable(),
  /** Left out on purpose. */
  off: z.boolean(),
});
export type Comparable = z.output<typeof comparable>;

/** What is known of a bicycle before the drive, as the advertisement and the seller tell it. */
export const lead = z.strictObject({
  advert: text,
  kept: z.enum(['indoors', 'shed', 'outside']).nullable(),
  indoors: z.enum(['no', 'yes']).nullable(),
  crashed: z.enum(['no', 'unsure', 'yes']).nullable(),
  ridden: z.enum(['week', 'year', 'years']).nullable(),
  papers: z.enum(['yes', 'number', 'none']).nullable(),
  distanceKm: z.number().min(0).max(3000).nullable(),
  costPerKm: minorUnits,
  haggle: z.number().min(0).max(0.6),
});
export type Lead = z.output<typeof lead>;

/** Where it came from, for the second-hand rules of the place. */
export const provenance = z.strictObject({
  serial: z.string().max(120),
  seller: z.string().max(200),
  proof: z.enum(['seen', 'asked', 'none']).nullable(),
});

export const frameSize = z.strictObject({
  sizeMm: z.number().min(250).max(720).nullable(),
  convention: z.enum(CONVENTIONS),
  standoverMm: z.number().min(300).max(1000).nullable(),
  use: z.enum(['road', 'touring', 'city', 'mountain', 'small-wheel']),
});

/** A rider's complaint and the tests made to find its cause. */
export const complaint = z.strictObject({
  id,
  complaints: z.array(id).min(1).max(10),
  results: z.array(z.strictObject({ test: id, outcome: id, at })).max(200),
  unavailable: z.array(id).max(200),
  closedAt: at.nullable(),
});
export type Complaint = z.output<typeof complaint>;

export const PURPOSES = ['sale', 'save', 'keeper', 'customer'] as const;
export type Purpose = (typeof PURPOSES)[number];

export const moneyLine = z.strictObject({
  id,
  label,
  kind: z.enum(['part', 'consumable', 'other']),
  paid: minorUnits,
  packQty: z.number().gt(0).max(1_000_000),
  usedQty: z.number().min(0).max(1_000_000),
});
export type MoneyLine = z.output<typeof moneyLine>;

export const minutesEntry = z.strictObject({
  id,
  stage: z.enum(STAGES),
  minutes: z.number().gt(0).max(10_080),
  at,
  /** The place that was worked on, where the bench knew it. */
  place: id.nullable(),
});

/** A typed or spoken remark; `sound` names the recording that lies beside the record. */
export const note = z.strictObject({
  id,
  place: id.nullable(),
  text,
  sound: id.nullable(),
  at,
  withdrawn: z.boolean().default(false),
});
export type Note = z.output<typeof note>;

/** Something that has been ordered and is waited for. */
export const delivery = z.strictObject({
  id,
  label,
  dueOn: z.iso.date().nullable(),
  arrivedAt: at.nullable(),
});
export type Delivery = z.output<typeof delivery>;

/** Something put together "for now", to be tightened before anyone rides. */
export const looseEnd = z.strictObject({ id, place: id, label, at, closedAt: at.nullable() });
export type LooseEnd = z.output<typeof looseEnd>;

/** Two values of one field that were entered without knowing of each other; both are kept until a person chooses. */
export const conflict = z.strictObject({
  id: z.string().min(1).max(600),
  leaf: z.string().max(400),
  kept: z.unknown(),
  other: z.unknown(),
  at,
});
export type Conflict = z.output<typeof conflict>;

/** What the bench can take a person through, one step at a time. */
export const BENCH_TASKS = ['look-over', 'jobs', 'strip', 'overhaul', 'put-back', 'torque', 'prove'] as const;
export type BenchTask = (typeof BENCH_TASKS)[number];

export const benchPosition = z.strictObject({ place: id, task: z.enum(BENCH_TASKS), step: id });

export const photo = z.strictObject({ id, step: id, place: id, at });

/** One bicycle, whole: what was seen, decided, done and paid. What follows from it is computed and never stored. */
export const bicycleRecord = z.strictObject({
  schemaVersion: z.literal(SCHEMA_VERSION),
  id,
  revision: z.number().multipleOf(1).min(0),
  createdAt: at,
  updatedAt: at,
  /** Ids of the last commands, so that a replayed one changes nothing. */
  recent: z.array(id).max(100),
  name: label,
  note: text,
  kind: bicycleKind,
  brief: z.enum(BRIEFS),
  /** What it is for: sold for profit, saved from the tip, kept, or a customer's own. */
  purpose: z.enum(PURPOSES),
  /** Whose it is, where it is a customer's. */
  customer: z.string().max(200),
  /** How far it is, for what is seen from now on. */
  seenAs: z.enum(SEEN_AS),
  lead,
  provenance,
  size: frameSize,
  /** Answers of the door check by its lines; a line without one was not looked at. */
  door: z.record(id, z.enum(['fine', 'bad'])),
  /** Features that date it, by id. */
  features: z.record(id, z.literal(true)),
  appraisal,
  purchase: z.strictObject({ paid: minorUnits, at }).nullable(),
  observations: z.array(observation),
  jobs: z.array(job),
  comparables: z.array(comparable),
  complaints: z.array(complaint),
  trays: z.array(tray),
  timers: z.array(timer),
  signatures: z.array(signature),
  proofs: z.array(proofMark),
  lines: z.array(moneyLine),
  sale: z.strictObject({ price: minorUnits.nullable(), fee: minorUnits, on: z.iso.date().nullable() }),
  minutes: z.array(minutesEntry),
  clock: z.strictObject({ id, startedAt: at, activeAt: at, stage: z.enum(STAGES), place: id.nullable() }).nullable(),
  photos: z.array(photo),
  notes: z.array(note),
  deliveries: z.array(delivery),
  looseEnds: z.array(looseEnd),
  seized: z.array(seized),
  tricks: z.array(trick),
  identified: z.array(identified),
  endings: z.array(ending),
  acceptances: z.array(acceptance),
  worked: z.array(workedOn),
  rechecks: z.array(recheck),
  waysOut: z.array(wayOut),
  /** Sizes of bolts that differ from bicycle to bicycle, as they were chosen, by bolt. */
  boltSizes: z.record(id, z.string().max(40)),
  finish,
  riding,
  /** Where the bench stood last, so that it opens there again. */
  bench: benchPosition.nullable(),
  archivedAt: at.nullable(),
  conflicts: z.array(conflict),
  /** When, and by which command, each field or row last changed; what a merge decides by. */
  stamps: z.record(z.string().max(400), stamp),
  /** When this bicycle was last sent to or taken from another device; changes after it may collide. */
  sharedAt: at.nullable(),
});
export type Bicycle = z.output<typeof bicycleRecord>;

/** A bath that the workshop owns. */
export const bath = z.strictObject({
  id,
  label,
  process: label,
  capacityMl: z.number().gt(0).max(10_000_000),
  fillShare: z.number().gt(0).max(1),
});
export type Bath = z.output<typeof bath>;

export const STOCK_STATES = ['new', 'good', 'worn'] as const;

/** Something in the drawer: where from, size, state, what it cost. */
export const stockItem = z.strictObject({
  id,
  label,
  /** Where on a bicycle it belongs. */
  place: id,
  size: z.string().max(120),
  state: z.enum(STOCK_STATES),
  /** Where it came from: a bicycle of this workshop, or words. */
  from: z.string().max(200),
  bicycle: id.nullable(),
  quantity: z.number().min(0).max(1_000_000),
  /** What one would fetch: a donor's cost is shared by it. */
  worth: minorUnits,
  /** What all of them cost; null where it follows from the donor's price. */
  cost: minorUnits.nullable(),
  at,
  /** When the last one was used or thrown away. */
  goneAt: at.nullable(),
});
export type StockItem = z.output<typeof stockItem>;

export const workshopSettings = z.strictObject({
  schemaVersion: z.literal(SCHEMA_VERSION),
  name: z.string().max(120),
  currency: currencyCode,
  /** What an hour of the workshop's own time counts in its profit. */
  labourPerHour: minorUnits,
  /** What a customer pays for an hour. */
  customerPerHour: minorUnits,
  rules: houseRules,
  school: z.enum(['from-tight', 'from-loose']),
  /** Single-letter keys can be switched off, for those who speak to the machine or lean on the keyboard. */
  letterKeys: z.boolean(),
  /** The hand that works the front brake where the workshop sells. */
  frontBrakeHand: z.enum(['left', 'right', 'either']),
  /** Who works here; one by default. */
  people: z.array(z.strictObject({ id, name: z.string().min(1).max(80) })).max(40),
  /** Whether every bolt that has a figure is asked for by the wrench. */
  wrenchEverywhere: z.enum(['customers', 'always', 'never']),
  /** Brakes and steering are signed by another person than did them. */
  secondEyes: z.boolean(),
  baths: z.array(bath).max(30),
  /** Rounds in the practice room by level. */
  practice: z.record(
    id,
    z.strictObject({
      rounds: z.number().multipleOf(1).min(0),
      best: z.number().min(0).max(100),
      last: z.number().min(0).max(100),
      at,
    }),
  ),
  /** When each of them was last changed; what a merge with another device decides by. */
  stamps: z.record(z.string().max(200), stamp),
});
export type WorkshopSettings = z.output<typeof workshopSettings>;
