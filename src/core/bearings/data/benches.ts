import { z } from 'zod';
import { parseTable, provenance } from '../../table';
import { FASTENERS } from '../../strip/data/threadHands';
import { ADJUSTS, DOES } from '../benchTypes';
import benchesJson from './benches.json';
import stepsJson from './overhaulSteps.json';

const list = (joined: string | null) => (joined === null ? [] : joined.split('|'));
const pairs = (joined: string | null) =>
  (joined === null ? [] : joined.split(';')).map((each) => each.split('=') as [string, string]);
const yesNo = z.enum(['yes', 'no']);
const number = z.number().nullable();

/** How each bearing is overhauled: what is set, what it is felt by, what it is drawn from. */
export const benchRows = parseTable(
  z.strictObject({
    assembly: z.string(),
    kind: z.enum(['cup-and-cone', 'cartridge', 'bushing']),
    openable: yesNo,
    adjusts: z.enum(ADJUSTS).nullable(),
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
    tool: z.string().nullable(),
    feltHow: z.string(),
    feltAt: z.string(),
    reachMm: z.number(),
    rowsApartMm: z.number(),
    circleMm: z.number(),
    loadAcrossN: z.number(),
    loadAlongN: z.number(),
    cartridges: z.string().nullable(),
    leaveWhy: z.string().nullable(),
    caution: z.string().nullable(),
    cupLabel: z.string(),
    coneLabel: z.string(),
    cupMake: z.enum(['pressed', 'turned']),
    upright: yesNo,
    shaftMm: z.number(),
    outboard: z.string().nullable(),
    setsRow: z.string().nullable(),
    inside: z.string().nullable(),
    circles: z.string().nullable(),
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
    applies: z.string().nullable(),
    after: z.string().nullable(),
    compound: z.string().nullable(),
    forget: z.string().nullable(),
    fastener: z.enum(FASTENERS).nullable(),
    side: z.string().nullable(),
    ...provenance,
  }),
  stepsJson,
).map((row) => ({ ...row, assemblies: list(row.assemblies), after: list(row.after) }));
