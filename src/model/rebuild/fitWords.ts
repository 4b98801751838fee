import type { FitMeasure } from './part';

/** What a measure of the rider's place is called, and how it is taken. */
export const FIT_WORDS: Record<FitMeasure, { label: string; how: string }> = {
  'saddle-height': { label: 'Saddle height', how: 'from the middle of the crank to the top of the saddle' },
  'saddle-setback': {
    label: 'Saddle behind the crank',
    how: 'its nose, by a plumb line; less than nothing where it is in front',
  },
  reach: { label: 'Saddle to bar', how: 'from the nose to the middle of the bar' },
  'bar-height': { label: 'Bar over the ground', how: 'to its middle, beside the stem' },
};
