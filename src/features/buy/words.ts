import type { Drive } from '@/core/money/drive';

export const VERDICT_WORDS = { buy: 'Buy', haggle: 'Haggle', 'walk-away': 'Walk away' } as const;
/** The same of a price that is paid already. */
export const PAID_WORDS = { buy: 'Worth it', haggle: 'Tight', 'walk-away': 'Not worth it' } as const;

export const DRIVE_WORDS: Record<Drive['verdict'], string> = { go: 'Go', 'ask-first': 'Ask first', stay: 'Stay' };
