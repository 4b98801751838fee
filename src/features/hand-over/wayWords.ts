import type { WayOut } from '@/model/prove/part';

/** Each way out in words: of what will be and of what was. */
export const WAY_WORDS: Record<WayOut['way'], { goes: string; went: string }> = {
  ready: { goes: 'It goes out ready', went: 'Went out ready' },
  'as-it-is': { goes: 'It goes as it is', went: 'Went as it is: not roadworthy, not to be ridden' },
  parts: { goes: 'It goes for its parts', went: 'Went for its parts' },
};
