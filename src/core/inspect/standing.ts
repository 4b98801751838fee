import type { BicycleKind } from '../bicycle';
import { stateRank } from '../vocabulary/vocabulary';
import type { Check } from './check';
import type { Evidence } from './evidence';
import type { Entry } from './heard';
import { judgeCheck, NOT_LOOKED, type Bench, type Judgement } from './judgeCheck';
import { asGoodAs } from './means';
import { SEEN_AS } from './seenAs';

/** An entry as it is judged. */
export interface Judged {
  judged: Judgement;
  /** With what was felt before, where it only adds to that. */
  entry: Entry;
}

/** What was felt of a bearing before it was opened. */
function feltIn({ feel, play, rimMm, spinS }: Evidence): Evidence {
  return {
    ...(feel !== undefined && { feel }),
    ...(play !== undefined && { play }),
    ...(rimMm !== undefined && { rimMm }),
    ...(spinS !== undefined && { spinS }),
  };
}

/** What was seen of a check since it was mended; all of it where it was not looked at again. */
function sinceMended(seen: Entry[], mendedAt: number | undefined): Entry[] {
  if (mendedAt === undefined) return seen;
  const after = seen.filter(({ at }) => at !== undefined && Date.parse(at) > mendedAt);
  return after.length > 0 ? after : seen;
}

/** Whether a later entry stands in the stead of one: by as good a means, on a bicycle that is further, or by finding it graver. */
function supersedes(next: Judged, was: Judged): boolean {
  return (
    asGoodAs(next.entry.means, was.entry.means) ||
    SEEN_AS.indexOf(next.entry.seenAs) > SEEN_AS.indexOf(was.entry.seenAs) ||
    stateRank(next.judged.state) > stateRank(was.judged.state)
  );
}

function judge(check: Check, entry: Entry, bench: Bench): Judged {
  // The house opens sound bearings once, and not again when they have just been set.
  const rules = entry.isAfter ? { ...bench.rules, openSound: false } : bench.rules;
  const judged = judgeCheck(check, entry.evidence, { ...bench, rules });
  return {
    judged: entry.words === null ? judged : { ...judged, reasons: [entry.words, ...judged.reasons.slice(1)] },
    entry,
  };
}

/**
 * A check's judgement over all that was found out of it, wherever that was: the newest by as good a means as any before it
 * stands. What was unsafe stands until the same means, or a better one, says otherwise.
 *
 * Example: gritty at the look-over, a dull track seen on the bench → both together are judged.
 */
export function standing(
  check: Check,
  entries: Entry[],
  mendedAt: number | undefined,
  bench: Bench & { kind: BicycleKind },
): { judged: Judgement; entry: Entry | null; seen: Entry[] } {
  const seen = sinceMended(entries, mendedAt);
  let open: Judged | null = null;
  let last: Judged | null = null;
  for (const each of seen) {
    const evidence: Evidence =
      each.addsTo && last ? { ...feltIn(last.entry.evidence), ...each.evidence } : each.evidence;
    const next = judge(check, { ...each, evidence }, bench);
    if (next.judged.state === 'not-looked-at' && last) continue;
    if (!last || supersedes(next, last)) last = next;
    if (next.judged.state === 'unsafe') open = next;
    else if (open && asGoodAs(each.means, open.entry.means)) open = null;
  }
  if (!last) return { judged: NOT_LOOKED, entry: null, seen };
  if (!open || open.entry === last.entry) return { ...last, seen };
  const how = open.entry.means === 'reading' ? 'A reading' : 'A hand on it';
  const words = `${how} found it unsafe, and a look does not unsay that: take it again the same way.`;
  return { judged: { ...open.judged, reasons: [words, ...open.judged.reasons] }, entry: open.entry, seen };
}
