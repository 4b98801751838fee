import * as z from 'zod/mini';
import { defineCalculator } from '../calculator';
import { holds } from '../conditions';
import { ruleWords } from '../houseRules';
import type { FASTENERS } from '../strip/data/threadHands';
import { buildFacts, buildInput, type BuildFacts } from './buildFacts';
import { boltPlan, type PlannedBolt } from './data/bolts';
import { holdTests } from './data/holdTests';
import { torqueTable, type TorqueRow } from './data/torque';

const ownNm = z.number().check(z.gt(0), z.lte(300));

const input = z.extend(buildInput, {
  sizes: z
    ._default(z.record(z.string().check(z.maxLength(60)), z.string().check(z.minLength(1), z.maxLength(40))), {})
    .check(z.describe('a size that was chosen by hand, by the id of its bolt')),
  own: z
    ._default(
      z.record(
        z.string().check(z.maxLength(60)),
        z.strictObject({ minNm: z.nullable(ownNm), maxNm: z.nullable(ownNm) }),
      ),
      {},
    )
    .check(z.describe('the figure that a part itself bears, by the id of its bolt: it goes before any table')),
  taper: z
    ._default(z.enum(['greased', 'dry']), 'greased')
    .check(z.describe('the house rule: how a square taper goes together')),
});
export type BoltsInput = z.input<typeof input>;

export interface Bolt {
  id: string;
  label: string;
  place: string;
  size: string | null;
  /** Sizes that are met here beside the usual one; empty where there is but one. */
  sizes: string[];
  tool: string;
  torqueMinNm: number | null;
  torqueMaxNm: number | null;
  feel: string | null;
  preparation: string;
  /** Unknown: its thread is identified before anyone heaves. */
  hand: 'right' | 'left' | 'none' | 'unknown';
  safetyCritical: boolean;
  /** Where a feel is not enough and the wrench is asked for. */
  wrenchAsked: boolean;
  /** Brakes and steering: signed by another person where the house rule asks. */
  second: boolean;
  /** How its hold is tried where it is signed by feel. */
  holdTest: string;
  notes: string | null;
  /** Its figure stands on the part itself. */
  ownFigure: boolean;
  fastener: (typeof FASTENERS)[number] | null;
  side: 'left' | 'right' | null;
  source: string;
  confidence: 'high' | 'medium' | 'low';
}

const ANY_HOLD = 'Try to move it by hand, the way the ride will: it stays.';
/** Places of braking and steering. */
const SECOND = /^(stem|bars|headset|fork|brake-lever|brake|pads|disc)(\.|$)/;

/** Rows of the torque table for one fastener in its several sizes, as "faceplate, four bolts" and "faceplate, two bolts" are. */
function familyOf({ place, fastener }: { place: string; fastener: string }): TorqueRow[] {
  const family = (name: string) => name.split(',')[0];
  return torqueTable.filter((line) => line.place === place && family(line.fastener) === family(fastener));
}

const UNKNOWN_SIZE = 'The table has no figure for this size: take the one on the part or in its paper.';

/** What a square taper goes together with, by the house rule; the figure of its bolt stays. */
const TAPER = {
  greased: 'grease on bolt and washer; the taper clean, with a film of grease',
  dry: 'grease on bolt and washer; the taper clean and dry',
} as const;

/** On a left-side drive what sits with the chain sits on the other side. */
const DRIVE = ['freewheel', 'cassette-lockring', 'fixed-cog-lockring'];

/** The band of a figure that stands on a part: one end alone is both. */
function ownBand(own: z.output<typeof input>['own'][string] | undefined) {
  const minNm = own?.minNm ?? own?.maxNm ?? null;
  const maxNm = own?.maxNm ?? minNm;
  if (minNm === null || maxNm === null) return null;
  return {
    torqueMinNm: Math.min(minNm, maxNm),
    torqueMaxNm: Math.max(minNm, maxNm),
    source: 'the part itself',
    confidence: 'high' as const,
  };
}

function boltOf(planned: PlannedBolt, facts: BuildFacts, build: z.output<typeof input>): Bolt {
  const row = planned.rows.find((each) => holds(each.when, facts))!;
  const family = familyOf(row);
  const usual = family.find(
    (line) => line.fastener === row.fastener && (row.fastenerSize === null || line.fastenerSize === row.fastenerSize),
  );
  if (!usual) throw new Error(`no torque row for ${planned.id}`);
  const sizes = [...new Set(family.flatMap(({ fastenerSize }) => (fastenerSize === null ? [] : [fastenerSize])))];
  const chosen = build.sizes[planned.id] ?? usual.fastenerSize;
  const line = chosen === usual.fastenerSize ? usual : family.find((each) => each.fastenerSize === chosen);
  const byTable = line ?? { ...usual, torqueMinNm: null, torqueMaxNm: null, feel: UNKNOWN_SIZE };
  const own = ownBand(build.own[planned.id]);
  const figures = own ? { ...byTable, ...own, feel: null } : byTable;
  const isTaper = facts.cranks === 'square-taper' && planned.fastener === 'crank-bolt';
  const isDriveCup = planned.fastener === 'bottom-bracket-cup' && planned.side === 'right';
  const unread = isDriveCup && facts.bottomBracket === null;
  const flips =
    (build.leftDrive || build.kind.driveSide === 'left') &&
    planned.fastener !== null &&
    DRIVE.includes(planned.fastener);
  return {
    id: planned.id,
    label: planned.label,
    place: planned.place,
    size: chosen,
    sizes: sizes.length > 1 ? sizes : [],
    tool: figures.tool,
    torqueMinNm: figures.torqueMinNm,
    torqueMaxNm: figures.torqueMaxNm,
    feel: figures.feel,
    preparation: isTaper ? TAPER[build.taper] : figures.preparation,
    hand: unread ? 'unknown' : flips && planned.fastener === 'freewheel' ? 'left' : figures.threadHand,
    safetyCritical: figures.safetyCritical === 'yes',
    wrenchAsked: (row.wrench ?? planned.wrench) && figures.torqueMaxNm !== null,
    second: SECOND.test(planned.place),
    holdTest: holdTests.get(planned.place) ?? ANY_HOLD,
    notes: unread
      ? 'Identify the thread before anyone heaves: some drive sides are left-handed'
      : isTaper
        ? `House rule: ${ruleWords('taper', build.taper).toLowerCase()}. Seated once to its torque; tightened again and again, the arm splits.`
        : figures.sequenceNotes,
    ownFigure: own !== null,
    fastener: planned.fastener,
    side: flips ? 'left' : planned.side,
    source: figures.source,
    confidence: figures.confidence,
  };
}

/**
 * The bolts of this bicycle, front to back, each with its row of the torque table: from its kind, from what was found in its
 * trays, and from what is said besides. A size that was chosen by hand brings its own figures; one that the table does not
 * know has none.
 *
 * Units: N·m. Errors: an unknown kind. Source: the torque table; a figure on the part itself comes first.
 * Example: a quill stem gives an expander bolt of 16 to 24 N·m, greased.
 */
function run(build: z.output<typeof input>): { bolts: Bolt[] } {
  const facts = buildFacts(build);
  return {
    bolts: boltPlan.filter((planned) => holds(planned.when, facts)).map((planned) => boltOf(planned, facts, build)),
  };
}

export const rebuildBolts = defineCalculator({
  id: 'rebuild.bolts',
  title: 'The bolts of this bicycle',
  example: { kind: { stem: 'quill' } },
  input,
  run,
});
