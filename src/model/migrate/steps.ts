import { NO_PAPERS, NO_SIZE, USUAL_RIDING } from '../bicycle/fresh';
import { NO_LEAD } from '../buy/fresh';
import { USUAL_BATHS, USUAL_PEOPLE, USUAL_SETTINGS } from '../settings/usual';
import { same } from '../same';
import { stampsInOurForm } from '../stamps';
import { SCHEMA_VERSION } from '../version';
import * as subjects from '../subjects';
import { presentHistory, toNine } from './nine';
import { historyOfTen, toTen } from './ten';
import { historyOfThirteen, toThirteen } from './thirteen';
import type { Raw } from './stored';

/** The five faults of the old estimate, by the lines of the door check that took their place. */
const OLD_FAULTS: Record<string, string[]> = {
  post: ['post', 'stem'],
  hubs: ['hub-front', 'hub-rear'],
  'chain-cogs': ['chain'],
  brakes: ['release', 'pads'],
  tyres: ['tyres'],
};
/** What the old lines held when nobody had touched them, or had only said yes or no. */
const OLD_USUAL: Record<string, { chance: number; parts: string; minutes: string }> = {
  post: { chance: 0.25, parts: '0,500,3500', minutes: '20,70,300' },
  hubs: { chance: 0.5, parts: '300,700,2500', minutes: '60,110,200' },
  'chain-cogs': { chance: 0.5, parts: '1200,2800,5500', minutes: '20,40,80' },
  brakes: { chance: 0.5, parts: '800,1500,3500', minutes: '30,60,120' },
  tyres: { chance: 0.6, parts: '2400,3600,6000', minutes: '25,35,60' },
};
/** Checks that were split or renamed. */
const OLD_CHECKS: Record<string, (kind: Raw) => string> = {
  tyres: () => 'tyre-front',
  'brake-surface': (kind) => (kind.brakes === 'disc' ? 'disc-front' : 'braking-front'),
  pads: () => 'pads-front',
  cables: (kind) => (kind.brakes === 'disc' ? 'hoses' : 'cables'),
  'post-stem': () => 'post',
};

/** A row of a table by a name from outside; what every object is born with is no row. */
function own<Row>(table: Record<string, Row>, name: unknown): Row | undefined {
  return typeof name === 'string' && Object.hasOwn(table, name) ? table[name] : undefined;
}

function rangeText(range: unknown): string {
  const { low, likely, high } = (range ?? {}) as Raw;
  return [low, likely, high].join(',');
}

function isOldUsual(line: Raw): boolean {
  const usual = own(OLD_USUAL, line.id);
  return (
    usual !== undefined &&
    rangeText(line.parts) === usual.parts &&
    rangeText(line.minutes) === usual.minutes &&
    [0, 1, usual.chance].includes(line.chance as number)
  );
}

/** A step that brings a new subject, of which nothing is known yet. */
export const withSubject =
  (name: keyof typeof subjects) =>
  (old: Raw): Raw => ({ ...subjects[name].fresh(), ...old });

/**
 * One step from each older version to the next, where more than its number changed. Version 0 is the shape of the first trials: money of the purchase stood
 * as a bare amount and there were no photographs. Version 1 knew two kinds of brake and no gears.
 * Version 4 knew one cup and one cone for a bearing, and gave every tray the axle of a front hub.
 * Version 3 knew trays of one kind, two sides of balls and no stuck parts.
 * Version 6 did not know who signed, what was declined in writing, and what was worked on when.
 * Version 2 had twelve checks, and five usual faults that stood as cost lines instead of a door check.
 */
const STEPS: Record<number, (old: Raw) => Raw> = {
  0: ({ paid, ...old }) => ({
    ...old,

    purchase: typeof paid === 'number' ? { paid, at: old.createdAt } : null,
    photos: [],
  }),
  1: (old) => {
    const kind = (old.kind ?? {}) as Raw;
    const clock = old.clock as Raw | null | undefined;
    const minutes = Array.isArray(old.minutes) ? (old.minutes as Raw[]) : [];
    return {
      ...old,

      kind: {
        ...kind,
        brakes: kind.brakes === 'rim' ? 'caliper' : kind.brakes,
        gears: kind.chain === 'single-or-hub-gear' ? 'hub' : 'derailleur',
      },
      minutes: minutes.map((entry) => ({ ...entry, place: null })),
      // A clock that was left running is kept as it stood; the bench asks how much of it counts.
      clock: clock
        ? { ...clock, id: `clock-${String(clock.startedAt)}`, activeAt: clock.startedAt, place: null }
        : null,
      notes: [],
      deliveries: [],
      looseEnds: [],
      bench: null,
      archivedAt: null,
      conflicts: [],
      stamps: {},
      sharedAt: null,
    };
  },
  2: (old) => {
    const kind = (old.kind ?? {}) as Raw;
    const rows = (list: unknown) => (Array.isArray(list) ? (list as Raw[]) : []);
    const appraisal = (old.appraisal ?? {}) as Raw;
    const lines = rows(appraisal.lines);
    return {
      ...old,

      purpose: 'sale',
      customer: '',
      seenAs: 'bought',
      lead: NO_LEAD,
      provenance: NO_PAPERS,
      size: NO_SIZE,
      features: {},
      comparables: [],
      complaints: [],
      // What was answered surely becomes an answer at the door; what was put in figures of its own stays a line.
      door: Object.fromEntries(
        lines.flatMap((line) =>
          (own(OLD_FAULTS, line.id) ?? []).flatMap((id) =>
            line.chance === 1 ? [[id, 'bad']] : line.chance === 0 ? [[id, 'fine']] : [],
          ),
        ),
      ),
      appraisal: { ...appraisal, lines: lines.filter((line) => !isOldUsual(line)) },
      observations: rows(old.observations).map((row) => ({
        ...row,
        check: own(OLD_CHECKS, row.check)?.(kind) ?? row.check,
        seenAs: 'bought',
      })),
      jobs: rows(old.jobs).map((row) => ({ ...row, approval: null })),
    };
  },
  3: (old) => {
    const rows = (list: unknown) => (Array.isArray(list) ? (list as Raw[]) : []);
    return {
      ...old,

      trays: rows(old.trays).map((tray) => ({
        ...tray,
        assembly: null,
        extra: [],
        marks: {},
        cleaned: [],
        hardened: {},
        fates: {},
      })),
      timers: rows(old.timers).map((timer) => ({ ...timer, bath: null, parts: [] })),
      seized: [],
      tricks: [],
      identified: [],
      finish: { paint: null, hours: null, treatment: null },
    };
  },
  4: (old) => {
    const rows = (list: unknown) => (Array.isArray(list) ? (list as Raw[]) : []);
    return {
      ...old,

      riding: USUAL_RIDING,
      trays: rows(old.trays).map((tray) => ({
        ...tray,
        // An axle that stands as it was handed out was not measured: the usual of its assembly is worked out instead.
        axle: OLD_AXLES.some((usual) => same(usual, tray.axle)) ? {} : tray.axle,
        seen: { ...(tray.seen as Raw), seal: 'unknown' },
        tracks: {},
        worked: [],
        cartridges: {},
        ballsWere: null,
        round: {},
        runOn: false,
        service: { doneOn: null, grease: 'standard', seal: 'good' },
      })),
    };
  },
  // A stamp that names no moment is older than any that does: the field counts as old as the bicycle.
  5: (old) => ({ ...old, stamps: stampsInOurForm(old.stamps).stamps }),
  6: (old) => {
    const rows = (list: unknown) => (Array.isArray(list) ? (list as Raw[]) : []);
    const named = (value: unknown) => (typeof value === 'string' ? value.slice(0, 80) : '');
    return {
      ...old,

      trays: rows(old.trays).map((tray) => ({ ...tray, leftOff: [] })),
      // Who signed was not asked: nobody is named, and a hold that was not tried is not said to have been.
      signatures: rows(old.signatures).map((row) => ({ ...row, by: '', holdTest: false })),
      proofs: rows(old.proofs).map((row) => ({ ...row, by: '', accepted: null })),
      // An owner's no has a day and words; what was only dropped was declined by nobody.
      jobs: rows(old.jobs).map((row) => {
        const said = (row.approval ?? {}) as Raw;
        const no = said.answer === 'no' && typeof said.at === 'string';
        const declined = no
          ? { by: named(old.customer), on: (said.at as string).slice(0, 10), words: said.words }
          : null;
        return { ...row, declined };
      }),
      endings: [],
      acceptances: [],
      worked: [],
      rechecks: [],
      waysOut: [],
      boltSizes: {},
    };
  },
  // A sale had no day of its own: the last change of the record stood for it, and does so once more.
  7: (old) => {
    const sale = (old.sale ?? {}) as Raw;
    const sold = sale.price !== null && sale.price !== undefined;
    const changed = typeof old.updatedAt === 'string' ? old.updatedAt.slice(0, 10) : null;
    return { ...old, sale: { ...sale, on: sold ? changed : null } };
  },
  8: toNine,
  9: toTen,
  // What lies in no tray was on, no joint was filled on record, and where the rider sits was not asked.
  10: (old) => ({ ...old, tookOff: {}, jointFills: {}, fit: {}, barSettled: null, insertions: {} }),
  // The stack on the steerer was drawn and not kept; of a proof it was kept whether it passed, and nothing that was read.
  11: (old) => ({
    ...old,
    rider: {},
    stack: {},
    spacers: [],
    proofReadings: [],
    stops: [],
    shifts: {},
    secondLooks: [],
    signed: [],
    brakeNumbers: {},
    brakeFluids: {},
    brakeSteps: {},
    oldCables: {},
    cutCables: {},
  }),
  12: toThirteen,
  13: (old) => ({
    ...old,
    brokenSpokes: [],
    lacings: {},
    tyreFits: {},
    punctures: [],
    sealants: {},
    listing: {
      tone: 'plain',
      length: 'full',
      forWhom: '',
      usualDays: 14,
      heldPerDay: 100,
      feePercent: 0,
      ask: null,
      askedOn: null,
      stepTo: null,
      stepOn: null,
    },
    listingEdits: {},
    saleOptions: [],
    notOriginal: [],
    buyersQuestions: [],
    offers: [],
    deposit: null,
    testRides: [],
    comebacks: [],
    dealing: { scheme: null, percent: 0, warranty: '', receipt: null },
    packing: {},
    saved: { weightKg: null, partsReused: null, learners: null, learningHours: null },
  }),
};

/** Axles that version 4 gave to every tray. */
const OLD_AXLES = [
  { majorMm: 9, pitchMm: 1, boreMm: 0, coneSpanMm: 60, clampForceN: 0 },
  { majorMm: 9, pitchMm: 1, boreMm: 5.2, coneSpanMm: 60, clampForceN: 3500 },
];

const everybodys = (rows: unknown): unknown =>
  Array.isArray(rows) ? rows.map((row) => ({ ...(row as Raw), who: '' })) : rows;

const SETTINGS_STEPS: Record<number, (old: Raw) => Raw> = {
  1: (old) => ({ ...old, letterKeys: true }),
  2: (old) => ({ ...old, frontBrakeHand: 'either', customerPerHour: 0 }),
  3: (old) => ({ ...old, baths: USUAL_BATHS }),
  4: (old) => ({ ...old, practice: {} }),
  5: (old) => ({ ...old, stamps: {} }),
  6: (old) => ({
    ...old,

    people: USUAL_PEOPLE,
    wrenchEverywhere: 'customers',
    secondEyes: false,
  }),
  // Schools that the house had no rule for stand as most workshops have them.
  9: (old) => ({ ...old, rules: { ...USUAL_SETTINGS.rules, ...(old.rules as Raw) } }),
  11: (old) => ({ ...old, rules: { ...USUAL_SETTINGS.rules, ...(old.rules as Raw) } }),
  12: (old) => ({ ...old, rules: { ...USUAL_SETTINGS.rules, ...(old.rules as Raw) } }),
  13: (old) => ({ ...old, rules: { ...USUAL_SETTINGS.rules, ...(old.rules as Raw) }, tensionMeter: [] }),
  14: (old) => {
    const { learnt, stalePrice, week, ownSessions, cancelled, busy, pins, stands } = USUAL_SETTINGS;
    return { ...old, learnt, stalePrice, week, ownSessions, cancelled, busy, pins, stands };
  },
  // Until then every session was everybody's, which is one pair of hands.
  15: (old) => ({ ...old, week: everybodys(old.week), ownSessions: everybodys(old.ownSessions) }),
};

/** A step for each version, where it changed more than its number. */
function lifted(record: Raw, steps: Record<number, (old: Raw) => Raw>, from: number): Raw {
  let raised = record;
  for (let version = from; version < SCHEMA_VERSION; version++)
    raised = { ...(steps[version]?.(raised) ?? raised), schemaVersion: version + 1 };
  return raised;
}

/** A bicycle's record of an older version as the present one would have it. */
export const raiseBicycle = (record: Raw, from: number): Raw => lifted(record, STEPS, from);

/** The history that lay beside a record of an older version. */
export const raiseHistory = (history: unknown, from: number): unknown =>
  historyOfThirteen(historyOfTen(from < 9 ? presentHistory(history) : history));

/** Settings of an older version as the present one would have them. */
export const raiseSettings = (record: Raw, from: number): Raw => lifted(record, SETTINGS_STEPS, from);
