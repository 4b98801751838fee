import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import { FASTENERS } from '../../strip/data/threadHands';
import { ADJUSTS, DOES } from '../benchTypes';
import benchesJson from './benches.json';
import stepsJson from './overhaulSteps.json';

const list = (joined: string | null) => (joined === null ? [] : joined.split('|'));
const pairs = (joined: string | null) =>
  (joined === null ? [] : joined.split(';')).map((each) => each.split('=') as [string, string]);
const yesNo = z.enum(['yes', 'no']);
const number = z.nullable(z.number());

/** How each bearing is overhauled: what is set, what it is felt by, what it is drawn from. */
export const benchRows = parseTable(
  z.strictObject({
    assembly: z.string(),
    kind: z.enum(['cup-and-cone', 'cartridge', 'bushing']),
    openable: yesNo,
    adjusts: z.nullable(z.enum(ADJUSTS)),
    pitchMm: number,
    skewer: yesNo,
    axleMajorMm: number,
    axleBoreMm: number,
    coneSpanMm: number,
    clampForceN: number,
    lockMeanDeg: number,
    lockSdDeg: number,
    tickDeg: number,
    smoothDeg: number,
    toolMm: number,
    tool: z.nullable(z.string()),
    feltHow: z.string(),
    feltAt: z.string(),
    reachMm: z.number(),
    rowsApartMm: z.number(),
    circleMm: z.number(),
    loadAcrossN: z.number(),
    loadAlongN: z.number(),
    cartridges: z.nullable(z.string()),
    leaveWhy: z.nullable(z.string()),
    caution: z.nullable(z.string()),
    cupLabel: z.string(),
    coneLabel: z.string(),
    cupMake: z.enum(['pressed', 'turned']),
    upright: yesNo,
    shaftMm: z.number(),
    outboard: z.nullable(z.string()),
    setsRow: z.nullable(z.string()),
    inside: z.nullable(z.string()),
    circles: z.nullable(z.string()),
    ...provenance,
  }),
  benchesJson,
).map((row) => ({
  ...row,
  cartridges: pairs(row.cartridges).map(([id, code]) => ({ id, code })),
  outboard: list(row.outboard),
  inside: pairs(row.inside),
  circlesMm: Object.fromEntries(pairs(row.circles).map(([id, mm]) => [id, Number(mm)])),
}));

/** Steps of an overhaul in the order of the work; `after` names the steps that come before, `*` all of them. */
export const overhaulStepRows = parseTable(
  z.strictObject({
    assemblies: z.string(),
    id: z.string(),
    title: z.string(),
    does: z.enum(DOES),
    applies: z.nullable(z.string()),
    after: z.nullable(z.string()),
    compound: z.nullable(z.string()),
    forget: z.nullable(z.string()),
    fastener: z.nullable(z.enum(FASTENERS)),
    side: z.nullable(z.string()),
    ...provenance,
  }),
  stepsJson,
).map((row) => ({ ...row, assemblies: list(row.assemblies), after: list(row.after) }));
