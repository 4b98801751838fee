import { own } from '@/core/own';
import type { WorkshopSettings } from './settings';

/**
 * The rounds of a level with one more: how many, the best of them, the last. Units: points of a hundred. Errors: none.
 * Example: 62 after a best of 80 → best 80, last 62.
 */
export function practised(kept: WorkshopSettings, level: string, total: number, at: string): Partial<WorkshopSettings> {
  const before = own(kept.practice, level);
  return {
    practice: {
      ...kept.practice,
      [level]: { rounds: (before?.rounds ?? 0) + 1, best: Math.max(before?.best ?? 0, total), last: total, at },
    },
  };
}
