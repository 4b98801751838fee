import { placeLabel } from '@/core/vocabulary/vocabulary';
import { topLeaf } from './leaves';
import type { LeafKey } from './leafKey';
import { fieldNames, partPhrase } from './phrases';

/**
 * What a leaf is called where a person is asked about it: by the words of its part, and what tells it from its like.
 * Example: `kind/frontBrake` → "what it is, front brake"; `bearings/hub.front/after` → "front hub, after".
 */
export function leafWords(leaf: LeafKey): string {
  const { kind, words, path } = topLeaf(leaf);
  if (kind === 'list') {
    const [place, field, ...rest] = path;
    const what = [field && fieldNames({ [field]: null }), ...rest.map(partPhrase)].filter(Boolean);
    return [placeLabel(place ?? '').toLowerCase(), ...what].join(', ');
  }
  if (kind === 'rows' || kind === 'append') return `one of its ${words}`;
  const [field] = path;
  return field === undefined ? words : `${words}, ${fieldNames({ [field]: null })}`;
}
