import type { Preview } from './preview';

/** The preview in a sentence. Example: "3 bicycles new, 1 newer here, 1 newer there." */
export function previewWords({ fresh, newerThere, newerHere, both, same, closed }: Preview): string {
  const part = (count: number, words: string) => (count > 0 ? [`${count} ${words}`] : []);
  const parts = [
    ...part(fresh.length, fresh.length === 1 ? 'bicycle new' : 'bicycles new'),
    ...part(newerThere.length, 'newer there'),
    ...part(newerHere.length, 'newer here'),
    ...part(both.length, 'changed in both'),
    ...part(same.length, 'the same'),
    ...part(closed.length, 'closed here, left as they are'),
  ];
  return parts.length === 0 ? 'There is no bicycle in it.' : `${parts.join(', ')}.`;
}
