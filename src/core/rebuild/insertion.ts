import { atLeast } from '../numbers';

export interface Depth {
  insertedMm: number | null;
  minimumMm: number | null;
}

/**
 * Whether a post or a quill stands as deep as its mark asks; null while either is not measured. At the mark counts as deep
 * enough. Units: mm. Example: 60 of 70 asked: too shallow, 10 wanting.
 */
export function judgeDepth({ insertedMm, minimumMm }: Depth): { deepEnough: boolean; wantingMm: number } | null {
  if (insertedMm === null || minimumMm === null) return null;
  const deepEnough = atLeast(insertedMm, minimumMm);
  return { deepEnough, wantingMm: deepEnough ? 0 : minimumMm - insertedMm };
}
