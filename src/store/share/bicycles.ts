import { leafValue, staysHere, withOwnOf } from '@/model/leaves';
import { bicycleRecord, type Bicycle } from '@/model/record';
import { bicycleOf, enteredBy, recordOf } from '@/model/share/bicycles';
import { same } from '@/model/same';
import type { Entered, Replica } from '@/model/share/replica';
import { summaryOf } from '@/model/summaryOf';
import type { createRecords, ReadRecord } from '../records';
import { lockOf, type Surroundings } from '../surroundings';
import { isStampedOtherwise, type Carried } from './carried';

const PREFIX = 'bicycle/';
export const bicycleIn = (record: string): string | null =>
  record.startsWith(PREFIX) ? record.slice(PREFIX.length) : null;

type Around = Pick<Surroundings, 'database' | 'channel' | 'now' | 'newId'>;

/** A bicycle among several hands. `laid` hears what others changed, before it is written. */
export function carriedBicycle(
  { database, channel, now, newId }: Around,
  records: ReturnType<typeof createRecords>,
  replica: Replica,
  id: string,
  heard: (before: Bicycle | null, after: Bicycle) => void,
): Carried<Bicycle> {
  const record = recordOf(id);
  let stands: ReadRecord | null = null;
  let isToLay = false;

  /** A question that somebody answered by leaving it so is answered for all. */
  function answered(before: Bicycle | null, bicycle: Bicycle, changes: readonly Entered[]): Entered[] {
    const changed = new Set(changes.map(({ leaf }) => leaf));
    const open = new Set(bicycle.conflicts.map((each) => each.id));
    const left = new Set(
      (before?.conflicts ?? []).flatMap((each) => (open.has(each.id) || changed.has(each.leaf) ? [] : [each.leaf])),
    );
    return [...left].map((leaf) => ({
      record,
      leaf,
      value: leafValue(bicycle, leaf) ?? null,
      stamp: `${now()} ${newId()}`,
    }));
  }

  return {
    record,
    lock: lockOf(id),
    async read() {
      stands = await records.read(id);
      return stands.ok ? stands.bicycle : stands.why === 'absent' ? null : 'closed';
    },
    entered(before, bicycle) {
      const changes = enteredBy(before, bicycle);
      const answers = answered(before, bicycle, changes);
      // Whoever changes what was asked about has answered too.
      const asked = new Set((before?.conflicts ?? []).map(({ leaf }) => leaf));
      isToLay =
        answers.length > 0 ||
        changes.some(({ leaf }) => asked.has(leaf)) ||
        (before !== null && isStampedOtherwise(before.stamps, bicycle.stamps, changes, staysHere));
      return [...changes, ...answers];
    },
    wantsLaying: () => isToLay,
    view: () => bicycleOf(replica, id),
    fits: (view) => bicycleRecord.safeParse(view).success,
    async lay(view, here, before) {
      const told = new Set((before?.conflicts ?? []).map((each) => each.id));
      const asked = new Set(view.conflicts.map((each) => each.id));
      // What a file brought in and nobody has answered since stays asked here.
      const local =
        here?.conflicts.filter(
          ({ id: conflict, leaf, kept }) =>
            !told.has(conflict) && !asked.has(conflict) && same(leafValue(view, leaf) ?? null, kept ?? null),
        ) ?? [];
      const next: Bicycle = {
        ...(here ? withOwnOf(view, here) : view),
        revision: (here?.revision ?? 0) + 1,
        recent: here?.recent ?? [],
        sharedAt: here?.sharedAt ?? null,
        conflicts: [...view.conflicts, ...local],
      };
      const [history, old] = stands?.ok ? [stands.history, stands.old] : [[], null];
      await records.write(next, history, { old, checked: false });
      await database.writeSummary(id, summaryOf(next));
      channel.post({ kind: 'bicycle', id });
      heard(here, next);
    },
  };
}
