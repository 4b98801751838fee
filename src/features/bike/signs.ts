import type { PlacedSign } from '@/core/drawing/svg';
import type { Bicycle } from '@/model/record';
import type { Stage } from '@/model/stages';
import type { Declared, DeclaredOverlay, Known, Overlay } from '../workshop/declared';

/** Who lays signs at a stage: in the order of the subjects, and the stage's own last, over the others. */
export function overlaysAt(declared: readonly Declared[], stage: Stage): DeclaredOverlay[] {
  return declared
    .toSorted((a, b) => Number(a.stage?.id === stage) - Number(b.stage?.id === stage))
    .flatMap(({ overlays }) => overlays ?? [])
    .filter(({ at }) => at.includes(stage));
}

/**
 * What the drawing carries at a stage: what each overlay lays on it, one over the other, and over all of it what is unsafe,
 * at whatever stage. `answers` are those of the overlays' questions, null where there is none yet.
 */
export function layOverlays(
  overlays: readonly Overlay[],
  answers: readonly unknown[],
  bicycle: Bicycle,
  known: Known & { stage: Stage },
): PlacedSign[] {
  const signs = new Map<string, PlacedSign>();
  overlays.forEach((overlay, i) => {
    const laid = new Set(signs.keys());
    for (const sign of overlay.signs(bicycle, { ...known, answer: answers[i] as null }, laid))
      signs.set(sign.place, sign);
  });
  for (const { place, state } of known.lookOver?.findings ?? [])
    if (state === 'unsafe') signs.set(place, { place, sign: 'unsafe' });
  return [...signs.values()];
}
