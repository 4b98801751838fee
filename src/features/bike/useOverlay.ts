'use client';
import type { PlacedSign } from '@/core/drawing/svg';
import type { LookOver } from '@/core/inspect/lookOver';
import { boltsInput } from '@/model/rebuild/questions';
import { overlayFor } from '@/model/overlay';
import type { Bicycle } from '@/model/record';
import type { Stage } from '@/model/stages';
import { openBolts } from '@/model/prove/readyQuestion';
import { useReckon } from '../workshop/useReckon';
import { useSettings } from '../workshop/WorkshopProvider';
import { useAppraisal } from './useCeiling';

/** What the drawing carries at a stage of this bicycle. */
export function useOverlay(bicycle: Bicycle, stage: Stage, findings: LookOver['findings']): PlacedSign[] {
  const settings = useSettings();
  const { output } = useReckon('rebuild.bolts', stage === 'rebuild' ? boltsInput(bicycle) : null);
  const door = useAppraisal(bicycle).output?.door ?? [];
  const bolts = output?.bolts ?? [];
  const open = openBolts(bicycle, bolts, settings);
  const signed = bolts.flatMap(({ id }) => (open.has(id) ? [] : [id]));
  const seen = door
    .filter((line) => line.answer !== null)
    .map((line) => ({ place: line.place, state: line.answer === 'bad' ? ('replace' as const) : ('fine' as const) }));
  return overlayFor(stage, bicycle, findings, bolts, signed, seen);
}
