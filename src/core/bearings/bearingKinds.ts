import type { BicycleKind } from '../bicycle';
import { assemblyIdsFor } from '../strip/assembly';
import { benchRows } from './data/benches';
import type { GradeInput } from './grade';

export interface BearingKind {
  kind: GradeInput['kind'];
  openable: boolean;
}

const kindOf = new Map(
  benchRows.map(({ assembly, kind, openable }) => [assembly, { kind, openable: openable === 'yes' }]),
);

/**
 * What sort of bearing is at each place, by the assembly that was found there or is usual; what a feel is graded by.
 * Example: a bicycle with a threadless stem has a headset on cartridges.
 */
export function bearingKinds(kind: BicycleKind, chosen: Record<string, string> = {}): Map<string, BearingKind> {
  return new Map(
    [...assemblyIdsFor(kind, chosen)].flatMap(([place, assembly]): [string, BearingKind][] => {
      const found = kindOf.get(assembly);
      return found ? [[place, found]] : [];
    }),
  );
}
