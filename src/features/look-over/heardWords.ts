import { parseISO } from 'date-fns';
import type { Heard } from '@/core/inspect/heard';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { clockTime, dayOf } from '@/ui/format';

const WHERE: Record<Exclude<Heard['from'], 'look-over'>, string> = {
  door: 'Found at the door',
  test: 'From a test for a complaint',
  round: 'Found in the torque round',
  tray: 'Marked in its tray',
  bearing: 'From the bearing on the bench',
};

/** Where, when and by whom something was found out, where that was not at the look-over itself. Example: "Found at the door, 2 Nov 2026, 14:02, Ada". */
export function heardWords(heard: Heard | null): string | null {
  if (!heard || heard.from === 'look-over') return null;
  const place = heard.from === 'tray' ? placeLabel(heard.id.split('/')[0]!).toLowerCase() : null;
  return [
    place ? `${WHERE[heard.from]} (${place})` : WHERE[heard.from],
    heard.at && `${dayOf(heard.at)}, ${clockTime(parseISO(heard.at))}`,
    heard.by,
  ]
    .filter(Boolean)
    .join(', ');
}
