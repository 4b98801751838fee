import * as z from 'zod/mini';
import { appliesTo, bicycleKind, type BicycleKind } from '../bicycle';
import { defineCalculator } from '../calculator';
import { assembliesFor, choicesFor, saysOf, type Assembly } from '../strip/assembly';
import type { Choice } from '../strip/trays';
import type { BearingBench, OverhaulStep, Setting } from './benchTypes';
import { cartridges } from './data/cartridges';
import { benchRows, overhaulStepRows } from './data/benches';
import { fittingRows, sectionPartRows } from './data/fittings';
import type { BenchDrawing } from './sectionTypes';

const input = z.strictObject({
  kind: bicycleKind,
  chosen: z
    ._default(z.record(z.string().check(z.maxLength(60)), z.string().check(z.maxLength(60))), {})
    .check(z.describe('assembly by place, where chosen')),
});

export interface Benches {
  benches: BearingBench[];
  /** What else may be found at a place. */
  choices: Record<string, Choice[]>;
}

/**
 * The steps of one assembly's overhaul, each with the steps that come before it. A step that waits for one which this
 * assembly does not have does not wait for it.
 */
export function overhaulSteps(assembly: string, kind: BicycleKind, side: 'left' | 'right' | null): OverhaulStep[] {
  const own = overhaulStepRows.filter((row) => row.assemblies.includes(assembly) && appliesTo(kind, row.applies));
  const ids = own.map((row) => row.id);
  return own.map((row, i) => ({
    id: row.id,
    title: row.title,
    does: row.does,
    after: row.after.includes('*') ? ids.slice(0, i) : row.after.filter((id) => ids.includes(id)),
    compound: row.compound ?? '',
    forget: row.forget ?? '',
    turn: row.fastener
      ? { fastener: row.fastener, side: row.side === '@' ? (side ?? 'left') : (row.side as 'left' | 'right' | null) }
      : null,
  }));
}

function settingOf(row: (typeof benchRows)[number]): Setting | null {
  if (row.adjusts === null) return null;
  return {
    adjusts: row.adjusts,
    pitchMm: row.pitchMm!,
    lockShift: { meanDeg: row.lockMeanDeg!, sdDeg: row.lockSdDeg! },
    bands: { tickDeg: row.tickDeg!, smoothDeg: row.smoothDeg! },
    tool: row.tool!,
    toolMm: row.toolMm!,
  };
}

function sizeOf(code: string): { boreMm: number; odMm: number; widthMm: number } {
  const row = cartridges.find((each) => each.code === code);
  if (!row) throw new Error(`no cartridge called ${code}`);
  return { boreMm: row.boreMm, odMm: row.odMm, widthMm: row.widthMm };
}

function drawingOf(row: (typeof benchRows)[number]): BenchDrawing {
  return {
    shaftMm: row.shaftMm,
    outboard: row.outboard,
    sets: row.setsRow,
    inside: row.inside.map(([id, what]) =>
      row.kind === 'cartridge'
        ? { id, ballMm: null, sizeMm: sizeOf(what) }
        : { id, ballMm: Number(what), sizeMm: null },
    ),
    circlesMm: row.circlesMm,
    fittings: fittingRows
      .filter((fitting) => fitting.assemblies.includes(row.assembly))
      .map(({ label, part, at, fromMm, toMm, inner, outer, tone, moves }) => ({
        label,
        part,
        at,
        fromMm,
        toMm,
        inner,
        outer,
        tone,
        moves,
      })),
    shows: Object.fromEntries(
      sectionPartRows
        .filter(({ assemblies }) => assemblies.includes(row.assembly))
        .map(({ piece, row: at, part }) => [at === null ? piece : `${piece}.${at}`, part]),
    ),
  };
}

function benchOf(assembly: Assembly, kind: BicycleKind): BearingBench[] {
  const row = benchRows.find((each) => each.assembly === assembly.id);
  if (!row) return [];
  const side = assembly.place.endsWith('.right') ? 'right' : assembly.place.endsWith('.left') ? 'left' : null;
  const squeezed = row.skewer === 'yes' && kind.wheels !== 'nutted';
  return [
    {
      place: assembly.place,
      assembly: assembly.id,
      title: assembly.title,
      kind: row.kind,
      openable: row.openable === 'yes',
      setting: settingOf(row),
      axle: squeezed
        ? {
            majorMm: row.axleMajorMm!,
            pitchMm: row.pitchMm!,
            boreMm: row.axleBoreMm!,
            coneSpanMm: row.coneSpanMm!,
            clampForceN: row.clampForceN!,
          }
        : null,
      felt: { how: row.feltHow, at: row.feltAt, reachMm: row.reachMm },
      rowsApartMm: row.rowsApartMm,
      load: { acrossN: row.loadAcrossN, alongN: row.loadAlongN },
      cupMake: row.cupMake,
      upright: row.upright === 'yes',
      circleMm: assembly.balls[0]?.circleMm ?? row.circleMm,
      rows: assembly.balls,
      tracks: { cup: row.cupLabel, cone: row.coneLabel },
      cartridges: row.cartridges.map(({ id, code }) => ({ id, code, sizeMm: sizeOf(code) })),
      drawing: drawingOf(row),
      steps: overhaulSteps(assembly.id, kind, side),
      leaveWhy: row.leaveWhy ?? '',
      caution: row.caution ?? '',
    },
  ];
}

/**
 * Every bearing of a bicycle as it is overhauled: what is felt and how, what is set, the rows of balls or the cartridges,
 * the steps with what comes before each, and why one is left alone. Errors: a kind that does not fit its schema.
 * Source: the tables of benches and of overhaul steps (workshop consensus). Example: a coaster hub has three retainers.
 */
export const bearingsBenches = defineCalculator({
  id: 'bearings.benches',
  title: 'The bearings of a bicycle and how each is overhauled',
  example: { kind: { gears: 'coaster', brakes: 'back-pedal', chain: 'single-or-hub-gear' } },
  input,
  run({ kind, chosen }): Benches {
    const benches = assembliesFor(kind, chosen).flatMap((assembly) => benchOf(assembly, kind));
    const has = new Set(benchRows.map((row) => row.assembly));
    const choices = Object.fromEntries(
      [...choicesFor(kind)].flatMap(([place, here]) => {
        const bearings = here
          .filter(({ id }) => has.has(id))
          .map(({ id, title }) => ({ id, title, says: saysOf(id, place, kind) }));
        return bearings.length > 0 ? [[place, bearings]] : [];
      }),
    );
    return { benches, choices };
  },
});
