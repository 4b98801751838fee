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
