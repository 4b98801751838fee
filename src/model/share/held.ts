import type { BatchName, Holds } from './change';

/** Numbers of each writer's batches that are here, as stretches. */
export class Held {
  private readonly stretches = new Map<string, [number, number][]>();

  has([writer, number]: BatchName): boolean {
    return (this.stretches.get(writer) ?? []).some(([from, to]) => from <= number && number <= to);
  }

  add([writer, number]: BatchName): void {
    this.addStretch(writer, number, number);
  }

  private addStretch(writer: string, from: number, to: number): void {
    const all = [...(this.stretches.get(writer) ?? []), [from, to] as [number, number]].sort((a, b) => a[0] - b[0]);
    const joined: [number, number][] = [];
    for (const [a, b] of all) {
      const last = joined.at(-1);
      if (last && a <= last[1] + 1) last[1] = Math.max(last[1], b);
      else joined.push([a, b]);
    }
    this.stretches.set(writer, joined);
  }

  addAll(holds: Holds): void {
    for (const [writer, stretches] of Object.entries(holds))
      for (const [from, to] of stretches) this.addStretch(writer, from, to);
  }

  /** The highest number of a writer; nought where none is here. */
  lastOf(writer: string): number {
    return this.stretches.get(writer)?.at(-1)?.[1] ?? 0;
  }

  /** Whether all of that is here. */
  includes(holds: Holds): boolean {
    return Object.entries(holds).every(([writer, stretches]) =>
      stretches.every(([from, to]) => (this.stretches.get(writer) ?? []).some(([a, b]) => a <= from && to <= b)),
    );
  }

  told(): Holds {
    return Object.fromEntries(
      [...this.stretches]
        .toSorted(([a], [b]) => (a < b ? -1 : 1))
        .map(([writer, all]) => [writer, all.map(([a, b]) => [a, b])]),
    );
  }
}
