'use client';
import type { PlacedSign } from '@/core/drawing/svg';
import type { Bicycle } from '@/model/record';
import type { Stage } from '@/model/stages';
import { questionOf, useDeclared, type Around, type Known } from '../workshop/declared';
import { useAnswers } from '../workshop/useAnswers';
import { layOverlays, overlaysAt } from './signs';

/** What the drawing carries at a stage of this bicycle. */
export function useSigns(bicycle: Bicycle, stage: Stage, known: Known, around: Around): PlacedSign[] {
  const overlays = overlaysAt(useDeclared(), stage);
  const answers = useAnswers(overlays.map(({ asks }) => questionOf(asks, bicycle, around)));
  return layOverlays(overlays, answers, bicycle, { ...known, stage });
}
