import { STAGES, type Stage } from '@/model/stages';

export const STAGE_LABELS: Record<Stage, string> = {
  buy: 'Buy',
  'look-over': 'Look over',
  decide: 'Decide',
  strip: 'Strip',
  clean: 'Clean',
  overhaul: 'Overhaul',
  rebuild: 'Rebuild',
  prove: 'Prove',
  'hand-over': 'Hand over',
};

/** The stage that an address names, or the first. */
export function stageFrom(text: string | null): Stage {
  return STAGES.find((stage) => stage === text) ?? 'buy';
}
