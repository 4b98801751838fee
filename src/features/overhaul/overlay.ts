import { defineOverlay } from '../workshop/declared';

/** Bearings that were felt again afterwards. */
export const doneSigns = defineOverlay({
  signs: ({ bearings }) => bearings.filter(({ after }) => after).map(({ place }) => ({ place, sign: 'bearing-done' })),
});
