import type { Problem } from './compile';
import { Placer, type Schedule } from './schedule';
import { isBetter, type Found } from './search';

/** Clean work that dirty work of the same session follows, in pairs. */
function smudges(p: Problem, schedule: Schedule): number {
  let pairs = 0;
  for (let s = 0; s < p.from.length; s++) {
    const here = [...schedule.start.keys()]
      .filter((i) => schedule.end[i]! >= 0 && schedule.start[i]! >= p.from[s]! && schedule.start[i]! < p.to[s]!)
      .toSorted((a, b) => schedule.start[a]! - schedule.start[b]!);
    const clean = new Int32Array(p.hands.length);
    for (const i of here)
      if (p.question.tasks[i]!.dirty) pairs += clean[schedule.hand[i]!]!;
      else clean[schedule.hand[i]!]! += 1;
  }
  return pairs;
}

/**
 * The same plan with dirty work of a session before its clean work, wherever no bicycle is out later for it: neighbours in the order are changed about while that leaves
 * fewer pairs of clean before dirty. Example: listing, then wash, of one bicycle that waits for something else → wash, then listing.
 */
export function tidied(p: Problem, found: Found): Found {
  if (!p.question.tasks.some(({ dirty }) => dirty)) return found;
  const placer = new Placer(p);
  let best = found;
  let left = smudges(p, placer.schedule(found.order));
  for (let again = left > 0; again;) {
    again = false;
    for (let k = 0; k + 1 < best.order.length && left > 0; k++) {
      const [clean, dirty] = [best.order[k]!, best.order[k + 1]!];
      if (p.question.tasks[clean]!.dirty || !p.question.tasks[dirty]!.dirty || p.after[dirty]!.includes(clean))
        continue;
      const order = best.order.slice();
      order[k] = dirty;
      order[k + 1] = clean;
      const schedule = placer.schedule(order);
      if (isBetter(best, schedule)) continue;
      const now = smudges(p, schedule);
      // A change that leaves as many may open the way to one that leaves fewer, and dirty work only ever goes forward: it ends.
      if (now > left) continue;
      best = { ...best, order, unready: schedule.unready, unplanned: schedule.unplanned, value: schedule.value };
      left = now;
      again = true;
    }
  }
  return best;
}
