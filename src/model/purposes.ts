/** What a bicycle is taken on for. */
export const PURPOSES = ['sale', 'save', 'keeper', 'customer'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** How it may leave. */
export const WAYS_OUT = ['ready', 'as-it-is', 'parts'] as const;
