import { ROUND_POINTS, roundPointWords } from '@/core/bearings/round';
import type { BearingBench, OverhaulStep } from '@/core/bearings/benchTypes';
import { ballRowLabel } from '@/core/strip/tray';
import { ballsInRow, cartridgeOf, countsOf } from '@/model/bearings/questions';
import type { Bearing } from '@/model/bearings/part';
import { dayOf } from '@/ui/format';

/** The parts of a bearing's card, in the order of the work. */
export const PARTS = ['before', 'look', 'measure', 'set', 'round', 'after', 'next'] as const;
export type Part = (typeof PARTS)[number];

/** What a step asks for: a part of the card, or of the balls only how many go in. */
export type Asked = Part | 'count';

/** Steps that are done on a pane of glass and have nothing to put down. */
const ASKS_NOTHING = ['roll'];

const OF_STEP: Partial<Record<OverhaulStep['does'], Asked>> = {
  feel: 'before',
  look: 'look',
  measure: 'measure',
  count: 'count',
  adjust: 'set',
  lock: 'set',
  recheck: 'round',
};

/** The part of the card that a step is worked on; null where the hands do it all. */
export function partOf(step: OverhaulStep, bench: BearingBench): Asked | null {
  if (ASKS_NOTHING.includes(step.id)) return null;
  const part = step.id === 'after' ? 'after' : (OF_STEP[step.does] ?? null);
  if (part === 'count') return bench.rows.length > 0 ? 'count' : null;
  return part && partsOf(bench).includes(part) ? part : null;
}

/** The parts that this bearing has. */
export function partsOf(bench: BearingBench): Part[] {
  return PARTS.filter((part) =>
    part === 'measure'
      ? bench.rows.length > 0 || bench.cartridges.length > 0
      : part === 'set' || part === 'round'
        ? bench.setting !== null
        : true,
  );
}

const SET_TITLES = {
  cone: 'Set the cone',
  'adjustable-cup': 'Set the adjustable cup',
  'top-cap': 'Set the top cap',
  'preload-cap': 'Set the preload cap',
} as const;

export function partTitle(part: Part, bench: BearingBench): string {
  switch (part) {
    case 'before':
      return 'Before';
    case 'look':
      return bench.kind === 'cup-and-cone' ? 'Look, once it is clean' : 'Look';
    case 'measure':
      return bench.rows.length > 0 ? 'Balls' : 'Cartridges';
    case 'set':
      return bench.setting ? SET_TITLES[bench.setting.adjusts] : '';
    case 'round':
      return 'Feel at four points';
    case 'after':
      return 'After';
    case 'next':
      return 'Next service';
  }
}

const FATES = { keep: 'kept', repack: 'packed again', renew: 'new one' } as const;
const spoken = (word: string) => word.replace('-', ' ');

function felt(state: Bearing['before']): string {
  if (!state) return '';
  return [
    state.feel !== 'unknown' && spoken(state.feel),
    state.play !== 'unknown' && (state.play === 'none' ? 'no play' : `${state.play} play`),
    state.spinS !== null && `spins ${state.spinS} s`,
  ]
    .filter(Boolean)
    .join(', ');
}

function looked(bearing: Bearing, bench: BearingBench): string {
  const worn = Object.entries(bearing.tracks).flatMap(([track, state]) => {
    const [row, part] = track.split('.') as [string, 'cup' | 'cone'];
    return state === 'bright'
      ? []
      : [`${bench.tracks[part].toLowerCase()}, ${ballRowLabel(row).toLowerCase()}, ${state}`];
  });
  const bright = Object.keys(bearing.tracks).length > 0 && worn.length === 0 ? ['tracks bright'] : [];
  const rest = (['grease', 'balls', 'seal'] as const).flatMap((what) =>
    bearing.seen[what] === 'unknown'
      ? []
      : [`${what} ${bearing.seen[what] === 'short' ? 'too few' : bearing.seen[what]}`],
  );
  return [...worn, ...bright, ...rest, ...(bearing.runOn ? ['runs on'] : [])].join('; ');
}

function measured(bearing: Bearing, bench: BearingBench): string {
  if (bench.rows.length > 0)
    return bench.rows
      .flatMap((row) => {
        const { in: put, out } = countsOf(bearing, row.id);
        const name = ballRowLabel(row.id).toLowerCase().split(',')[0];
        if (put !== null) return [`${put} of ${ballsInRow(bearing, row) ?? '?'} in, ${name}`];
        return out !== null ? [`${out} out, ${name}`] : [];
      })
      .join(' · ');
  return bench.cartridges
    .flatMap(({ id }) => {
      const { fate } = cartridgeOf(bearing, id);
      return fate ? [`${ballRowLabel(id).toLowerCase()}: ${FATES[fate]}`] : [];
    })
    .join(' · ');
}

/** What stands on a part of the card, in a few words; empty where nothing does yet. */
export function partWords(part: Part, bearing: Bearing, bench: BearingBench): string {
  switch (part) {
    case 'before':
      return felt(bearing.before);
    case 'after':
      return felt(bearing.after);
    case 'look':
      return looked(bearing, bench);
    case 'measure':
      return measured(bearing, bench);
    case 'set': {
      const last = bearing.trials.at(-1);
      return last
        ? `${bearing.trials.length === 1 ? '1 trial' : `${bearing.trials.length} trials`}, last ${last.feel}`
        : '';
    }
    case 'round':
      return ROUND_POINTS.filter((point) => bearing.round[point])
        .map((point) => `${roundPointWords(bearing.place, point)}: ${bearing.round[point]}`)
        .join(', ');
    case 'next':
      return bearing.service.doneOn === null ? '' : `counted from ${dayOf(bearing.service.doneOn)}`;
  }
}

/** The part of the card that a done step asked for and that says nothing still; null where it says something, or asks nothing. */
export function leftEmpty(step: OverhaulStep, bearing: Bearing, bench: BearingBench): string | null {
  const part = partOf(step, bench);
  if (part === 'count')
    return bench.rows.every((row) => countsOf(bearing, row.id).in !== null) ? null : 'balls counted in';
  return part && partWords(part, bearing, bench) === '' ? partTitle(part, bench).toLowerCase() : null;
}
