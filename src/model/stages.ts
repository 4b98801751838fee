export const STAGES = [
  'buy',
  'look-over',
  'decide',
  'strip',
  'clean',
  'overhaul',
  'rebuild',
  'prove',
  'hand-over',
] as const;
export type Stage = (typeof STAGES)[number];

/** The stage that an address names, or the first. */
export function stageFrom(text: string | null): Stage {
  return STAGES.find((stage) => stage === text) ?? 'buy';
}
