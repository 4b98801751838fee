'use client';
import type { PlacedSign } from '@/core/drawing/svg';
import type { LookOver } from '@/core/inspect/lookOver';
import type { Bolt } from '@/core/rebuild/bolts';
import { overlayFor } from '@/model/overlay';
import type { Bicycle, Stage } from '@/model/record';
import { signedBolts } from '@/model/selectors';
import { useReckon } from '../workshop/useReckon';
import { useAppraisal } from './useCeiling';

/** What the drawing carries at a stage of this bicycle. */
export function useOverlay(bicycle: Bicycle, stage: Stage, findings: LookOver['findings']): PlacedSign[] {
  const { output } = useReckon<{ bolts: Bolt[] }>('rebuild.bolts', stage === 'rebuild' ? { kind: bicycle.kind } : null);
  const door = useAppraisal(bicycle).output?.door ?? [];
  const bolts = output?.bolts ?? [];
  const signed = signedBolts(bicycle, bolts)
    .filter(({ judgement }) => judgement !== 'under' && judgement !== 'over')
    .map(({ bolt }) => bolt);
  const seen = door
    .filter((line) => line.answer !== null)
    .map((line) => ({ place: line.place, state: line.answer === 'bad' ? ('replace' as const) : ('fine' as const) }));
  return overlayFor(stage, bicycle, findings, bolts, signed, seen);
}
