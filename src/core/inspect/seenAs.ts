/** When something was seen, in the order of the work: every stage of stripping and cleaning reveals more. */
export const SEEN_AS = ['bought', 'stripped', 'cleaned', 'serviced'] as const;
export type SeenAs = (typeof SEEN_AS)[number];

/** How a finding's time is told. */
export const SEEN_WORDS: Record<SeenAs, string> = {
  bought: 'as bought',
  stripped: 'stripped',
  cleaned: 'after cleaning',
  serviced: 'after service',
};

/** How something was found out: by looking, by hand, or by a reading. What one says only the same or a better one unsays. */
export const MEANS = ['eye', 'hand', 'reading'] as const;
export type Means = (typeof MEANS)[number];
