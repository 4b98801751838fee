export const VERDICT_WORDS = { buy: 'Buy', haggle: 'Haggle', 'walk-away': 'Walk away' } as const;
