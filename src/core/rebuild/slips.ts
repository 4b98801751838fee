import type { BicycleKind } from '../bicycle';
import { materialAt } from './jointMaterials';
import type { Compound } from './joints';

/** Clamps that hold the rider by friction, with what lies in them. */
const CLAMPS: Record<string, { label: string; place: string; parts: string[] }> = {
  'seat-post': { label: 'Seat post', place: 'seat-post', parts: ['@post', '@frame'] },
  'bar-clamp': { label: 'Handlebar', place: 'bars', parts: ['@bar'] },
  quill: { label: 'Quill', place: 'stem', parts: ['@steerer'] },
  'steerer-clamp': { label: 'Stem on its steerer', place: 'stem', parts: ['@steerer'] },
};
const SLIPPERY: readonly Compound[] = ['grease', 'anti-seize', 'oil'];

/**
 * Clamps in which something went that lets them slip: grease on carbon, or on any steerer under its stem. The law calls each
 * unsafe until it says otherwise. Example: a carbon post with grease on record.
 */
export function slippingClamps(
  kind: BicycleKind,
  fills: Readonly<Record<string, { used: Compound }>>,
): { id: string; label: string; place: string }[] {
  return Object.entries(CLAMPS).flatMap(([id, { label, place, parts }]) => {
    const used = Object.hasOwn(fills, id) ? fills[id]!.used : null;
    if (used === null || !SLIPPERY.includes(used)) return [];
    const isCarbon = parts.some((part) => materialAt(part, kind) === 'carbon');
    if (!isCarbon && id !== 'steerer-clamp') return [];
    return [{ id, place, label: `${label}: ${used} where it is held by friction` }];
  });
}
