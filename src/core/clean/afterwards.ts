import { afterwards } from './data/afterwards';
import { processes } from './data/processes';

/** A part as far as what follows its washing goes. */
export interface Washed {
  id: string;
  label?: string | undefined;
  materials: string[];
  /** A brake works on it: a rim's track. */
  brakeTrack: boolean;
  /** It runs with a waxed chain: nothing oily may come there. */
  waxed?: boolean | undefined;
}

const thenOf = (materials: string[]) => materials.map((material) => afterwards.get(material)?.then ?? 'nothing');

/** Whether a brake works on it, so that nothing oily, waxy or polished may come there. */
export const isBraking = ({ materials, brakeTrack }: Pick<Washed, 'materials' | 'brakeTrack'>): boolean =>
  brakeTrack || thenOf(materials).includes('brake');

/** Parts by their words. */
const named = (parts: readonly Washed[]) => parts.map(({ id, label }) => label ?? id).join(', ');

/** Why a soil has finished a part, in words; null where it has not. Example: oil on brake pads. */
export function finishedBy(materials: string[], soil: string): string | null {
  const done = materials.map((material) => afterwards.get(material)).find((row) => row?.doneBySoils.includes(soil));
  return done?.why ?? null;
}

/**
 * What follows a process, for the parts that went through it together: the rest for all, oil for what rusts bare, wax for
 * what is kept by it, and neither where a brake works or a waxed chain runs, which is said by name where others are oiled.
 * Example: a disc that shared a bath with a chain is wiped with isopropyl alcohol, and the chain is oiled.
 */
export function whatFollows(process: string, parts: Washed[]): string[] {
  const { after, afterOil, afterWax } = processes.get(process)!;
  const braking = parts.filter(isBraking);
  const wants = (then: 'oil' | 'wax') =>
    parts.some((part) => !isBraking(part) && !part.waxed && thenOf(part.materials).includes(then));
  const film = [...(wants('oil') ? afterOil : []), ...(wants('wax') ? afterWax : [])];
  const dry = parts.filter((part) => part.waxed && !isBraking(part));
  const bare = dry.length === 0 ? [] : [`${named(dry)}: bare and dry, nothing oily: a waxed chain runs there`];
  if (braking.length === 0) return [...after, ...film, ...bare];
  const clean = 'wiped with isopropyl alcohol and a clean cloth, kept free of anything that slips';
  return film.length === 0 && bare.length === 0
    ? [...after, clean.charAt(0).toUpperCase() + clean.slice(1)]
    : [...after, ...film, ...bare, `But ${named(braking)}: ${clean}`];
}
