import type { Brief } from '../bicycle';

/** The class of bicycle that a buyer looks for. */
export const USES = ['road', 'touring', 'city', 'mountain', 'small-wheel'] as const;

export const USE_WORDS: Record<(typeof USES)[number], string> = {
  road: 'Road',
  touring: 'Touring',
  city: 'City',
  mountain: 'Mountain',
  'small-wheel': 'Small wheels',
};

/** In what state a bicycle is sold: for its parts, as it was found, put right to be ridden, or restored. */
export const SALE_STATES = ['parts', 'as-found', 'rideable', 'restored'] as const;
export type SaleState = (typeof SALE_STATES)[number];

/** The state that a brief leads to. */
export const STATE_OF_BRIEF: Record<Brief, SaleState> = {
  rideable: 'rideable',
  preserve: 'restored',
  period: 'restored',
  modernise: 'restored',
  donor: 'parts',
};

export const SALE_STATE_WORDS: Record<SaleState, string> = {
  parts: 'For its parts',
  'as-found': 'As it was found',
  rideable: 'Put right to be ridden',
  restored: 'Restored',
};
