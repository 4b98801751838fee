import { defineThread } from '../workshop/declared';

/** How far a place was looked over. */
export const lookThread = defineThread({
  beads(_bicycle, { lookOver, place }) {
    const here = lookOver?.findings.filter((finding) => finding.place === place) ?? [];
    if (here.length === 0) return [];
    const looked = here.filter(({ state }) => state !== 'not-looked-at');
    return [
      {
        id: 'look',
        stage: 'look-over',
        place,
        state: looked.length === 0 ? 'ahead' : looked.length < here.length ? 'under way' : 'done',
        words:
          looked.length === 0
            ? 'look over'
            : looked.length < here.length
              ? `looked at ${looked.length}/${here.length}`
              : 'looked at',
      },
    ];
  },
});
