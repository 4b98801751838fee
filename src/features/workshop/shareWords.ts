import { formatDistanceStrict } from 'date-fns';
import type { ShareNow, SharePart } from '@/store/share/browserShare';
import type { Hand } from '@/model/share/hands';
import type { News } from '@/store/share/news';

/** Whoever did nothing for so long has gone home. */
const GONE_MS = 8 * 3_600_000;
/** So many things are named; of more it is told how many. */
const MOST_NAMED = 3;

const count = (number: number, one: string, many: string) => (number === 1 ? one : `${number} ${many}`);

/** How a device stands to its folder, in a few words. */
export function partWords(part: SharePart): string {
  switch (part.is) {
    case 'none':
      return 'No folder chosen';
    case 'asks':
      return 'The folder waits for your leave';
    case 'begins':
      return 'Looking at the folder…';
    case 'elsewhere':
      return 'Another tab looks after the folder';
    case 'full':
      return 'What the others wrote cannot be kept: this browser is full';
    case 'shut':
      return part.wasTried
        ? 'The folder is sealed with another passphrase'
        : 'The folder is sealed: give its passphrase';
    case 'same':
      return part.newer ? 'Same as the folder, save what a newer Ergasto wrote' : 'Same as the folder';
    case 'to go out':
      return count(part.changes, 'One change to go out', 'changes to go out');
    case 'to come':
      return count(part.photographs, 'One photograph still to come', 'photographs still to come');
    default:
      return part.changes > 0
        ? `The folder is not there; ${count(part.changes, 'one change waits', 'changes wait')}`
        : 'The folder is not there';
  }
}

/** Whether it wants somebody to do something. */
export const isTrouble = ({ is }: SharePart): boolean =>
  is === 'asks' || is === 'shut' || is === 'full' || is === 'not there';

/** Since when. Example: "12 min ago". */
export function agoWords(at: string, nowMs: number): string {
  if (nowMs - Date.parse(at) < 90_000) return 'just now';
  return `${formatDistanceStrict(new Date(at), new Date(nowMs), { roundingMethod: 'floor' })
    .replace(/ minutes?/, ' min')
    .replace(/ hours?/, ' h')} ago`;
}

/** Other hands that are about, each once. */
export function handsAbout(hands: readonly Hand[], nowMs: number): Hand[] {
  return hands.filter(({ at }) => nowMs - Date.parse(at) < GONE_MS);
}

/** Who else is at a bicycle. Example: "On the bench with Ada (bench laptop), 12 min ago". */
export const handsWords = (hands: readonly Hand[], nowMs: number): string =>
  `On the bench with ${hands.map(({ name, device, at }) => `${name} (${device}), ${agoWords(at, nowMs)}`).join('; ')}`;

/** What others changed, in a line. Example: "Ada changed: front hub, after; the brief". */
export function newsWords({ by, words, changes }: News): string {
  const named = words.slice(-MOST_NAMED);
  const rest = words.length - named.length;
  return `${by.join(' and ')} changed ${changes === 1 ? 'one thing' : `${changes} things`}: ${named.join('; ')}${rest > 0 ? `; ${rest} more` : ''}`;
}

/** What stands beside each bicycle on the floor. */
export function besideBicycles({ hands, news }: ShareNow, nowMs: number): Record<string, string[]> {
  const beside = new Map<string, string[]>();
  const about = handsAbout(hands, nowMs);
  for (const bicycle of new Set(about.flatMap(({ bicycle: at }) => at ?? [])))
    beside.set(bicycle, [
      handsWords(
        about.filter((hand) => hand.bicycle === bicycle),
        nowMs,
      ),
    ]);
  for (const [bicycle, { by, changes }] of Object.entries(news))
    beside.set(bicycle, [
      ...(beside.get(bicycle) ?? []),
      `${by.join(' and ')} changed ${changes === 1 ? 'one thing' : `${changes} things`} since you looked`,
    ]);
  return Object.fromEntries(beside);
}
