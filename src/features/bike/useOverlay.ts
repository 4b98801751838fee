'use client';
import type { PlacedSign } from '@/core/drawing/svg';
import type { LookOver } from '@/core/inspect/lookOver';
import type { Bolt } from '@/core/rebuild/bolts';
import { overlayFor } from '@/model/overlay';
import type { Bicycle, Stage } from '@/model/record';
import { signedBolts } from '@/model/selectors';
import { useReckon } from '../workshop/useReckon';

/** What the drawing carries at a stage. */
export function useOverlay(bicycle: Bicycle, stage: Stage, findings: LookOver['findings']): PlacedSign[] {
  const { output } = useReckon<{ bolts: Bolt[] }>('rebuild.bolts', stage === 'rebuild' ? { kind: bicycle.kind } : null);
  const bolts = output?.bolts ?? [];
  const signed = signedBolts(bicycle, bolts)
    .filter((entry) => entry.judgement !== 'under' && entry.judgement !== 'over')
    .map((entry) => entry.bolt);
  return overlayFor(stage, bicycle, findings, bolts, signed);
}
