import { isRimBraked } from '@/core/bicycle';
import { own } from '@/core/own';
import type { CleanPlanInput } from '@/core/clean/plan';
import { type Assembly, partWords } from '@/core/strip/tray';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
import type { Tray } from '../strip/part';
import { runningTimers } from './timers';
import { trayFor } from '../strip/trays';

/** What a hardened part counts as: it never meets acid. */
const HARDENED = 'hardened or spring steel';

/** Parts that a chain runs over, and the chain: where it is waxed, nothing oily comes there. */
const RUNS_WITH_CHAIN = [
  'chain',
  'quick-link',
  'cassette',
  'freewheel',
  'crank-right',
  'pulley',
  'pulley-upper',
  'pulley-lower',
];

export interface Dirty {
  /** place/part, as a plan and a timer speak of it. */
  key: string;
  place: string;
  part: string;
  kind: string;
  words: string;
  materials: string[];
  soil: CleanPlanInput['parts'][number]['soil'];
  volumeMl: number;
  /** A rim brake works on it. */
  brakeTrack: boolean;
  /** Null: nobody has been asked. */
  hardened: boolean | null;
}

const isHere = (tray: Tray, part: string) =>
  Object.hasOwn(tray.off, part) &&
  !tray.backIn.includes(part) &&
  tray.fates[part] === undefined &&
  tray.marks[part] !== 'missing';

/** Every part of every open tray that is off, kept, not clean, and in no bath now. */
export function dirtyParts(bicycle: Bicycle, assemblies: Assembly[]): Dirty[] {
  const bathing = new Set(runningTimers(bicycle).flatMap(({ timer }) => timer.parts));
  return assemblies.flatMap((assembly) => {
    const tray = trayFor(bicycle, assembly.place);
    return assembly.parts
      .filter((part) => isHere(tray, part.id) && !tray.cleaned.includes(part.id) && part.volumeMl > 0)
      .map((part): Dirty => {
        const hardened = own(tray.hardened, part.id) ?? null;
        return {
          key: `${assembly.place}/${part.id}`,
          place: assembly.place,
          part: part.id,
          kind: part.kind,
          words: partWords(part),
          materials: hardened ? [...new Set([...part.materials, HARDENED])] : part.materials,
          soil: own(tray.soils, part.id) ?? part.soil,
          volumeMl: part.volumeMl,
          brakeTrack: part.kind.startsWith('wheel-') && isRimBraked(bicycle.kind, assembly.place),
          hardened,
        };
      })
      .filter((each) => !bathing.has(each.key));
  });
}

/** The question for `clean.plan`: what is dirty, and the baths of the house with what still runs in them. */
export function washInput(
  dirty: Dirty[],
  { baths, rules }: Pick<WorkshopSettings, 'baths' | 'rules'>,
  bicycle: Bicycle,
  nowMs: number,
): CleanPlanInput {
  const busy = new Map(
    runningTimers(bicycle).flatMap(({ timer, dueAtMs }) =>
      timer.bath ? [[timer.bath, Math.max(0, Math.ceil((dueAtMs - nowMs) / 60_000))] as const] : [],
    ),
  );
  return {
    parts: dirty.map(({ key, kind, words, materials, soil, volumeMl, brakeTrack }) => ({
      id: key,
      label: words.slice(0, 120),
      materials,
      soil,
      volumeMl,
      brakeTrack,
      ...(rules.chainLube === 'wax' && RUNS_WITH_CHAIN.includes(kind) && { waxed: true }),
    })),
    baths: baths.map(({ id, process, capacityMl, fillShare }) => ({
      id,
      process,
      capacityMl,
      fillShare,
      busyMinutes: busy.get(id) ?? 0,
    })),
  };
}

/** A part key taken apart again. */
export function keyParts(key: string): { place: string; part: string } {
  const at = key.indexOf('/');
  return { place: key.slice(0, at), part: key.slice(at + 1) };
}
