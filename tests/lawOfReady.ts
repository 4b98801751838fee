import type { ReadyQuestion } from '@/core/prove/readyInput';

const ms = (at: string) => Date.parse(at);

/**
 * The law of ready told over, clause by clause and without the calculator: the clauses that a question breaks.
 * Kept apart from it on purpose; a slip in one is not a slip in the other.
 */
export function brokenClauses(q: ReadyQuestion): Set<string> {
  const broken = new Set<string>();
  const unless = (clause: string, holds: boolean) => void (holds || broken.add(clause));
  unless('unsafe', !q.findings.some((f) => f.state === 'unsafe' && !f.ended));
  unless(
    'unaccepted',
    q.findings.every((f) => !f.safety || !['service', 'replace'].includes(f.state) || !!f.ended || !!f.accepted),
  );
  unless('not-looked-at', q.unlooked.filter((u) => u.safety).length === 0);
  unless(
    'loose',
    q.trays.every((t) => t.loose === false),
  );
  unless(
    'tray-open',
    q.trays.every((t) => t.out === 0 && t.missing === 0 && t.inBath === 0),
  );
  unless(
    'left-off',
    q.trays.flatMap((t) => t.leftOff).every((part) => part.safety === false),
  );
  unless(
    'complaint',
    q.complaints.every((c) => c.unsafe === false),
  );
  unless(
    'job',
    q.jobs.every((j) => !j.needed || j.done || (!!j.declined && !j.unsafe)),
  );
  unless(
    'bearing',
    q.bearings.every((b) => !b.opened || (b.closed && b.after)),
  );
  const grave = q.bolts.filter((b) => b.safety);
  const held = grave.filter((b) => !b.partOut);
  unless('part-out', held.length === grave.length);
  unless(
    'unsigned',
    held.every((b) => b.signed !== undefined),
  );
  for (const b of held) {
    const s = b.signed;
    if (!s) continue;
    const touched = q.changes
      .filter((c) => ms(c.at) > ms(s.at))
      .filter((c) => c.bolt === b.id || c.kind !== 'set')
      .filter((c) => (c.kind === 'set' ? true : c.kind === 'adjusted' ? false : c.place === b.place));
    if (touched.length > 0) {
      broken.add('reopened');
      continue;
    }
    if (s.how === 'wrench') {
      const value = s.valueNm ?? NaN;
      const low = b.minNm === null || value >= b.minNm * (1 - 1e-9);
      const high = b.maxNm === null || value <= b.maxNm * (1 + 1e-9);
      unless('torque', low && high);
    } else {
      unless('wrench-asked', !b.wrenchAsked && !(q.rules.wrenchEverywhere && b.maxNm !== null));
      unless('hold-test', s.holdTest);
    }
    if (q.rules.secondEyes && b.second) unless('second-eyes', b.doneBy !== undefined && b.doneBy !== s.by);
  }
  for (const p of q.proofs) {
    if (p.result === 'failed') unless('proof-failed', !p.safety && !!p.accepted);
    if (!p.safety) continue;
    unless('proof', p.result !== null);
    if (p.result !== 'passed') continue;
    const kinds = p.kind === 'stand' ? ['off', 'adjusted', 'renewed'] : ['renewed'];
    const since = p.at ? ms(p.at) : -Infinity;
    unless(
      'proof-reopened',
      !q.changes.some((c) => kinds.includes(c.kind) && p.leansOn.includes(c.place) && ms(c.at) > since),
    );
    if (q.rules.secondEyes && p.second) unless('second-eyes', p.doneBy !== undefined && p.doneBy !== p.by);
  }
  const passed = q.proofs.filter((p) => p.safety && p.result === 'passed' && p.at).map((p) => ms(p.at!));
  if (passed.length > 0) {
    const last = Math.max(Math.min(...passed), q.recheck ? ms(q.recheck.at) : -Infinity);
    const midnight = new Date(last);
    midnight.setUTCHours(0, 0, 0, 0);
    unless('aged', ms(`${q.today}T00:00:00Z`) - midnight.getTime() <= 28 * 24 * 3600 * 1000);
  }
  return broken;
}
