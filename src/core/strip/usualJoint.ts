import type { StuckJoint } from './data/stuckJoints';

export type { StuckJoint };

/** What a part usually is, by its words; null where they do not tell. Example: a seat post is aluminium that slides. */
export function usualJoint(joints: StuckJoint[], part: string): StuckJoint | null {
  const words = part.toLowerCase();
  return joints.find((row) => row.words.some((word) => words.includes(word))) ?? null;
}
