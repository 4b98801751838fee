import type { Batch, BatchName, Holds, Replaced, ShareFile, Snapshot } from './change';
import { Held } from './held';
import { Register } from './register';

export interface Entered {
  record: string;
  leaf: string;
  /** Null: taken away. */
  value: unknown;
  stamp: string;
  /** What it was entered in the place of; whatever stands where that is left out. */
  over?: Replaced[];
}
/** A leaf that was changed on two devices without either knowing of the other. */
export interface Doubt {
  record: string;
  leaf: string;
  kept: unknown;
  others: unknown[];
}

/**
 * What one device knows of a shared folder. Files are taken in in any order, twice, or with gaps; all who have taken in the same files, or snapshots that stand for them,
 * show the same. Example: two replicas that took in each other's batches have the same `told()`.
 */
export class Replica {
  private readonly records = new Map<string, Map<string, Register>>();
  private readonly held = new Held();
  /** Grows with everything that is made known: what hangs on it is worked out anew then, and only then. */
  version = 0;

  /** `writer` may change where a device begins another life: what it committed before stays under the earlier one. */
  constructor(public writer: string) {}

  private register(record: string, leaf: string): Register {
    const leaves = this.records.get(record) ?? new Map<string, Register>();
    this.records.set(record, leaves);
    const register = leaves.get(leaf) ?? new Register();
    leaves.set(leaf, register);
    return register;
  }

  /** Changes made here, as a batch to be written; they stand here from now on. */
  commit(entered: readonly Entered[]): Batch {
    this.version += 1;
    const number = this.held.lastOf(this.writer) + 1;
    this.held.add([this.writer, number]);
    const changes = entered.map((each) => {
      const register = this.register(each.record, each.leaf);
      const change = { ...each, over: each.over ?? register.standing() };
      register.apply(change, [this.writer, number], this.held);
      return change;
    });
    return { kind: 'batch', writer: this.writer, number, changes };
  }

  /** Takes in a file of anybody; whether it brought anything. */
  take(file: ShareFile): boolean {
    if (file.kind === 'snapshot') return this.join(file);
    if (this.held.has([file.writer, file.number])) return false;
    this.version += 1;
    this.held.add([file.writer, file.number]);
    for (const change of file.changes)
      this.register(change.record, change.leaf).apply(change, [file.writer, file.number], this.held);
    return true;
  }

  private join(snapshot: Snapshot): boolean {
    if (this.held.includes(snapshot.holds)) return false;
    this.version += 1;
    const there = new Held();
    there.addAll(snapshot.holds);
    const theirs = new Set(snapshot.leaves.map(({ record, leaf }) => `${record}\n${leaf}`));
    for (const each of snapshot.leaves) this.register(each.record, each.leaf).join(each, this.held, there);
    // A leaf of which nothing stands there is not told: what they heard of it was replaced.
    for (const [record, leaves] of this.records)
      for (const [leaf, register] of leaves)
        if (!theirs.has(`${record}\n${leaf}`))
          register.join({ record, leaf, heads: [], covered: [] }, this.held, there);
    this.held.addAll(snapshot.holds);
    return true;
  }

  /** All that is known here, as a file that stands for every batch it is made of. */
  snapshot(number: number): Snapshot {
    return { kind: 'snapshot', writer: this.writer, number, holds: this.held.told(), leaves: this.leaves() };
  }

  /** What is known of one record, as a snapshot tells it. */
  toldOf(record: string): Snapshot['leaves'] {
    return [...(this.records.get(record) ?? [])]
      .toSorted(([a], [b]) => (a < b ? -1 : 1))
      .flatMap(([leaf, register]) => {
        const [heads, covered] = [register.sorted(), register.waiting()];
        return heads.length + covered.length === 0 ? [] : [{ record, leaf, heads, covered }];
      });
  }

  holds(): Holds {
    return this.held.told();
  }

  private leaves(): Snapshot['leaves'] {
    return this.recordNames().flatMap((record) => this.toldOf(record));
  }

  /** What stands of a leaf by its names: what a change that knew of all of it is over. */
  standing(record: string, leaf: string): Replaced[] {
    return this.records.get(record)?.get(leaf)?.standing() ?? [];
  }

  recordNames(): string[] {
    return [...this.records.keys()].toSorted();
  }

  /** Every leaf of a record that anybody told of, in the order of their names: what stands, since when, and what else was entered without knowing of it. */
  leavesOf(
    record: string,
  ): { leaf: string; value: unknown; stamp: string; others: { stamp: string; value: unknown }[] }[] {
    return [...(this.records.get(record) ?? [])]
      .toSorted(([a], [b]) => (a < b ? -1 : 1))
      .flatMap(([leaf, register]) => {
        const [first] = register.sorted();
        return first ? [{ leaf, value: register.value(), stamp: first.stamp, others: register.others() }] : [];
      });
  }

  /** Whether a batch is known here, by itself or by a snapshot that stands for it. */
  knows(name: BatchName): boolean {
    return this.held.has(name);
  }

  value(record: string, leaf: string): unknown {
    return this.records.get(record)?.get(leaf)?.value() ?? null;
  }

  /** Whoever wrote what stands; null where nobody did. */
  writerOf(record: string, leaf: string): string | null {
    return this.records.get(record)?.get(leaf)?.sorted()[0]?.from[0] ?? null;
  }

  /** What two changed of a record without knowing of each other, and nobody has settled yet: a change made by whoever sees both settles it everywhere. */
  doubtsOf(record: string): Doubt[] {
    return [...(this.records.get(record) ?? [])]
      .toSorted(([a], [b]) => (a < b ? -1 : 1))
      .flatMap(([leaf, register]) => {
        const others = register.others().map(({ value }) => value);
        return others.length === 0 ? [] : [{ record, leaf, kept: register.value(), others }];
      });
  }

  doubts(): Doubt[] {
    return this.recordNames().flatMap((record) => this.doubtsOf(record));
  }

  /** What stands, leaf by leaf, in one order whoever tells it. */
  told(): string {
    return JSON.stringify(this.leaves().map(({ record, leaf }) => [record, leaf, this.value(record, leaf)]));
  }
}
