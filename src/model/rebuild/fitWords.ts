import type { Sitting } from '@/core/rebuild/position';
import type { FitMeasure, RiderFigure, StackPart } from './part';

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

/** What a figure of the rider is called, how it is taken, and between what it lies. */
export const RIDER_WORDS: Record<RiderFigure, { label: string; how: string; least: number; most: number }> = {
  height: { label: 'Height', how: 'barefoot', least: 1000, most: 2300 },
  'inside-leg': { label: 'Inside leg', how: 'floor to crotch, a book pulled up hard', least: 400, most: 1100 },
  forearm: { label: 'Forearm', how: 'elbow to fingertips', least: 250, most: 650 },
  crank: { label: 'Crank', how: '170 where nobody measured', least: 90, most: 200 },
};

export const SITTING_WORDS: Record<Sitting, string> = {
  upright: 'upright',
  touring: 'tourer’s',
  sporting: 'sporting',
};

/** What stands on a steerer, by what it is. */
export const STACK_WORDS: Record<StackPart, string> = {
  steerer: 'Steerer',
  'head-tube': 'Head tube',
  headset: 'Headset adds',
  stem: 'Clamp of the stem',
};
