import { materials, type MaterialRow } from './data/materials';
import { stuckJoints, type Joint } from './data/stuckJoints';
import { usualJoint } from './usualJoint';
import type { StuckStep } from './data/stuckSteps';

export interface Pair {
  part: string;
  partMaterial: string;
  aroundMaterial: string;
  paintMatters: boolean;
  partValue: number;
  aroundValue: number;
  /** How it is held, where that is known; else the part's words tell. */
  joint: Joint | null;
}

const byName = new Map(materials.map((row) => [row.material, row]));

const grows = (row: MaterialRow) => row.expansionUmPerMK ?? 0;

function whyNotOfPair(step: StuckStep, pair: Pair): string | null {
  const part = byName.get(pair.partMaterial)!;
  const around = byName.get(pair.aroundMaterial)!;
  switch (step.when) {
    case null:
      return null;
    case 'part-shrinks':
      return grows(part) > grows(around) ? null : 'cooling would not loosen these two';
    case 'around-grows':
      return grows(around) >= grows(part) ? null : 'heat tightens it: what is inside grows more than what is round it';
    case 'aluminium-in-steel':
      return part.family === 'aluminium' && around.family === 'steel' ? null : 'it is for aluminium stuck in steel';
    case 'part-cheaper':
      return pair.partValue <= pair.aroundValue ? null : 'the part is worth more than what is round it';
    case 'around-cheaper':
      return pair.aroundValue < pair.partValue ? null : 'what is round it is worth more than the part';
  }
}

const HELD: Record<Joint, string> = {
  thread: 'it is screwed in',
  slip: 'it only slides, and has no thread',
  press: 'it is pressed in',
  wedge: 'a wedge holds it',
};

/** How a part is held, by its words; null where they do not tell. Example: `jointOf('Cotter pin with nut')` is press. */
export const jointOf = (part: string): Joint | null => usualJoint(stuckJoints, part)?.joint ?? null;

/** Whether a step burns or scorches what is near. */
const scorches = (step: StuckStep) => step.id === 'flame';

/** Why a step is never used on this pair, in words; null where it may be. */
export function whyNever(step: StuckStep, pair: Pair): string | null {
  const barred = [pair.partMaterial, pair.aroundMaterial].find((each) => step.forbiddenFor.includes(each));
  if (barred) return `never on ${barred}`;
  const joint = pair.joint ?? jointOf(pair.part);
  if (step.joints.length && !(joint && step.joints.includes(joint)))
    return joint ? HELD[joint] : 'how it is held is not known';
  if (step.partWords.length && !step.partWords.some((word) => pair.part.toLowerCase().includes(word)))
    return 'it is not built for it';
  if (scorches(step) && pair.paintMatters) return 'the paint near it is to be kept';
  return whyNotOfPair(step, pair);
}
