import { own } from '@/core/own';
import type { BearingBench, OverhaulStep } from '@/core/bearings/benchTypes';
import type { ClampAllowanceInput } from '@/core/bearings/clampAllowance';
import type { ContactInput } from '@/core/bearings/contact';
import type { GradeInput } from '@/core/bearings/grade';
import { cartridgeBallMm } from '@/core/bearings/section';
import type { SectionInput } from '@/core/bearings/sectionTypes';
import type { SettingInput } from '@/core/bearings/setting';
import type { ServiceDueInput } from '@/core/bearings/serviceDue';
import { UNCOUNTED, UNMEASURED } from './fresh';
import type { Bearing, CartridgeNote, SideCount } from './part';
import { worstTrack } from './tracks';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
import type { Summary } from '../summary';

/** Whether anything of the inside was seen. */
export function wasLookedAt(bearing: Bearing): boolean {
  return Object.keys(bearing.tracks).length > 0 || Object.values(bearing.seen).some((seen) => seen !== 'unknown');
}

/** Steps of the overhaul that are done: those that were ticked, and the feeling of it where the feel is noted. */
export function workedSteps(bearing: Bearing): string[] {
  const felt = (state: Bearing['before']) => state !== null && (state.feel !== 'unknown' || state.play !== 'unknown');
  return [
    ...new Set([
      ...bearing.doneSteps,
      ...(felt(bearing.before) ? ['feel'] : []),
      ...(felt(bearing.after) ? ['after'] : []),
    ]),
  ];
}

/** The parts of the tray that a step is about: what is turned when it is set, the balls when they are counted. */
export function partsAt({ does }: Pick<OverhaulStep, 'does'>, { drawing, setting, rows }: BearingBench): string[] {
  if (does === 'count') return rows.flatMap(({ id }) => drawing.shows[`balls.${id}`] ?? []);
  if ((does !== 'adjust' && does !== 'lock') || !setting || drawing.sets === null) return [];
  const track = setting.adjusts === 'adjustable-cup' ? 'cup' : 'cone';
  const turned = drawing.shows[`${track}.${drawing.sets}`];
  return turned === undefined ? [] : [turned];
}

/** The question for `bearings.grade`: the state before the work and what was seen inside. */
export function gradeInput(
  bicycle: Bicycle,
  bearing: Bearing,
  bench: BearingBench,
  settings: WorkshopSettings,
): GradeInput {
  const { feel, play } = bearing.before ?? { feel: 'unknown', play: 'unknown' };
  const { grease, balls, seal } = bearing.seen;
  return {
    kind: bench.kind,
    place: bearing.place,
    feel,
    play,
    grease,
    balls,
    seal,
    cup: worstTrack(bearing, 'cup'),
    cone: worstTrack(bearing, 'cone'),
    openable: bench.openable,
    brief: bicycle.brief,
    rules: settings.rules,
  };
}

/** The axle of a bearing that a skewer squeezes: what was measured, the rest as usual; null where nothing squeezes it. */
export function axleOf(bearing: Bearing, bench: BearingBench): NonNullable<BearingBench['axle']> | null {
  return bench.axle && { ...bench.axle, ...bearing.axle };
}

/** What a skewer squeezes; null where nothing squeezes the axle. */
function allowanceInput(bearing: Bearing, bench: BearingBench): ClampAllowanceInput | null {
  const axle = axleOf(bearing, bench);
  if (!axle) return null;
  const { majorMm, pitchMm, boreMm, coneSpanMm, clampForceN } = axle;
  return { axle: { majorMm, pitchMm, boreMm }, coneSpanMm, clampForceN };
}

/** Trials of one bearing that are asked about. */
const MOST_LEARNT = 60;

/** Places of one kind of bearing, so that a left pedal learns from a right one. */
const likePlace = (place: string) => place.replace(/^pedal\..*$/, 'pedal');

/** What was set at this kind of bearing on the workshop's other bicycles, oldest first: what the bench's drag is learnt from. */
function setBefore(place: string, except: string, others: Summary[]): SettingInput['drag']['sessions'] {
  return others
    .filter((row) => row.id !== except)
    .sort((a, b) => (a.createdAt < b.createdAt ? -1 : 1))
    .flatMap((row) => row.cones)
    .filter((cone) => likePlace(cone.place) === likePlace(place))
    .slice(-200)
    .map(({ trials }) => trials.slice(0, MOST_LEARNT));
}

/** The question for `bearings.setting`; null where nothing is set. */
export function settingInput(
  bicycle: Pick<Bicycle, 'id'>,
  bearing: Bearing,
  bench: BearingBench,
  settings: Pick<WorkshopSettings, 'school'>,
  others: Summary[],
): SettingInput | null {
  if (!bench.setting) return null;
  const { lockShift, bands, pitchMm, toolMm, adjusts } = bench.setting;
  return {
    squeeze: allowanceInput(bearing, bench),
    drag: { usual: lockShift, bands, sessions: setBefore(bearing.place, bicycle.id, others) },
    cone: {
      pitchMm: axleOf(bearing, bench)?.pitchMm ?? bearing.axle.pitchMm ?? pitchMm,
      school: settings.school,
      bands,
      toolMm,
      turns: adjusts,
      trials: bearing.trials.map(({ turnDeg, feel, clamped }) => ({ turnDeg, feel, clamped })),
    },
  };
}

/** How many balls a row holds, as far as it is known: what belongs there by the counts, else what is usual. */
export function ballsInRow(bearing: Bearing, row: BearingBench['rows'][number]): number | null {
  const { out, holds } = countsOf(bearing, row.id);
  return holds ?? out ?? row.usual;
}

/**
 * How many balls of each size a bearing takes. A size that was measured stands for the rows that usually share the first
 * row's. Example: a coaster hub takes two retainers' worth of 1/4 in and one of 3/16 in.
 */
export function ballsNeeded(
  bearing: Bearing,
  bench: BearingBench,
  measured: { fractionIn: string; usualPack: number } | null,
): { fractionIn: string; usualPack: number; needed: number }[] {
  const groups = new Map<string, { fractionIn: string; usualPack: number; needed: number }>();
  for (const row of bench.rows) {
    const size = measured && row.fractionIn === bench.rows[0]!.fractionIn ? measured : row;
    const group = groups.get(size.fractionIn) ?? { fractionIn: size.fractionIn, usualPack: size.usualPack, needed: 0 };
    group.needed += ballsInRow(bearing, row) ?? 0;
    groups.set(size.fractionIn, group);
  }
  return [...groups.values()].filter(({ needed }) => needed > 0);
}

/** The question for `bearings.contact`; null where no row of balls is known. `ballMm` is what was measured. */
export function contactInput(
  bearing: Bearing,
  bench: BearingBench,
  tighterDeg: number,
  ballMm: number | null,
): ContactInput | null {
  const [row] = bench.rows;
  const balls = row && ballsInRow(bearing, row);
  if (!row || balls === null || balls === undefined || balls < 3 || !bench.setting) return null;
  const axle = axleOf(bearing, bench);
  return {
    ballDiameterMm: ballMm ?? row.diameterMm,
    balls,
    circleMm: bench.circleMm,
    acrossN: bench.load.acrossN,
    alongN: bench.load.alongN,
    pitchMm: axle?.pitchMm ?? bench.setting.pitchMm,
    cup: bench.cupMake,
    tighterDeg: Math.max(-120, Math.min(120, tighterDeg)),
    axle: axle && { areaMm2: (Math.PI / 4) * (axle.majorMm ** 2 - axle.boreMm ** 2), spanMm: axle.coneSpanMm },
  };
}

/** What is noted of a cartridge. */
export function cartridgeOf(bearing: Bearing, id: string): CartridgeNote {
  return own(bearing.cartridges, id) ?? UNMEASURED;
}

/** The question for `bearings.serviceDue`; null until it was serviced. */
export function serviceInput(bicycle: Bicycle, bearing: Bearing, kind: BearingBench['kind']): ServiceDueInput | null {
  const { doneOn, grease, seal } = bearing.service;
  if (doneOn === null) return null;
  return {
    place: bearing.place,
    kind,
    lastServiced: doneOn,
    ...bicycle.riding,
    grease,
    seal,
    runOn: bearing.runOn,
  };
}

/** Balls of a row that are in: none once it came out and until they are counted in; null where it never came out. */
function inRow(bearing: Bearing, row: string, cameOut: readonly string[]): number | null {
  const counts = countsOf(bearing, row);
  if (counts.in !== null) return counts.in;
  return counts.out !== null || cameOut.includes(`balls.${row}`) ? 0 : null;
}

/** What the section of a bearing is drawn from: its rows with what is counted in, or its cartridges as they were measured. */
export function sectionInput(
  bearing: Bearing,
  bench: BearingBench,
  {
    ballMm,
    playMm,
    cameOut,
  }: {
    /** What the balls measured; null for what is usual. */
    ballMm: number | null;
    playMm: number;
    /** Parts of the tray that came off: a row that never did holds its balls, however many they are. */
    cameOut: readonly string[];
  },
): SectionInput {
  const { drawing, setting, rows } = bench;
  const measured = bench.cartridges.map(({ id, sizeMm }) => {
    const noted = cartridgeOf(bearing, id);
    const size = {
      boreMm: noted.boreMm ?? sizeMm.boreMm,
      odMm: noted.odMm ?? sizeMm.odMm,
      widthMm: noted.widthMm ?? sizeMm.widthMm,
    };
    return { id, size };
  });
  const shut =
    rows.length > 0 || measured.length > 0
      ? []
      : drawing.inside.map(({ id, sizeMm, ballMm: mm }) => ({ id, sizeMm, mm }));
  const sizes = [...measured, ...shut.flatMap(({ id, sizeMm: size }) => (size ? [{ id, size }] : []))];
  const counted = rows.map((row) => ({
    id: row.id,
    // A reading of one size speaks for the rows that usually have it.
    ballMm: ballMm !== null && row.diameterMm === rows[0]!.diameterMm ? ballMm : row.diameterMm,
    holds: ballsInRow(bearing, row),
    in: inRow(bearing, row.id, cameOut),
  }));
  const closed = shut.flatMap(({ id, mm }) =>
    mm === null ? [] : [{ id, ballMm: mm, holds: null, in: 0, shut: true }],
  );
  return {
    kind: bench.kind,
    upright: bench.upright,
    circleMm: bench.circleMm,
    rowsApartMm: bench.rowsApartMm,
    axleMm: axleOf(bearing, bench)?.majorMm ?? measured[0]?.size.boreMm ?? drawing.shaftMm,
    cartridges: Object.fromEntries(sizes.map(({ id, size }) => [id, size])),
    outboard: drawing.outboard,
    shows: drawing.shows,
    fittings: drawing.fittings,
    names: bench.tracks,
    set:
      drawing.sets && setting
        ? { row: drawing.sets, part: setting.adjusts === 'adjustable-cup' ? 'cup' : 'cone', playMm }
        : null,
    rows: [
      ...counted,
      ...closed,
      ...sizes.map(({ id, size }) => ({ id, ballMm: cartridgeBallMm(size), holds: null, in: null })),
    ].map((row) => (drawing.circlesMm[row.id] ? { ...row, circleMm: drawing.circlesMm[row.id]! } : row)),
  };
}

/** The counts of one row of balls; none where nobody has counted yet. */
export function countsOf(bearing: Bearing, row: string): SideCount {
  return own(bearing.balls, row) ?? UNCOUNTED;
}
