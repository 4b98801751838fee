import type { HandTime, Problem } from './compile';

/** An order of tasks as it falls out in time: what was placed, where, and what could not be. */
export interface Schedule {
  /** First minute and last; −1 where it is not planned. */
  start: Float64Array;
  end: Float64Array;
  /** Whose hands, by number from nought. */
  hand: Int32Array;
  /** Stretches of tasks that were split, from and to by turns. */
  pieces: Map<number, number[]>;
  why: Map<number, string>;
  /** Bicycles with something unplanned, tasks unplanned, and the value over the others. */
  unready: number;
  unplanned: number;
  value: number;
}

const MOST_ROUNDS = 400;

interface Hold {
  from: number;
  to: number;
}

/** The state of one placing, kept between calls so that a search makes nothing new. */
export class Placer {
  private readonly least: Float64Array;
  private readonly start: Float64Array;
  private readonly end: Float64Array;
  private readonly banned: Uint8Array;
  private why = new Map<number, string>();
  private pieces = new Map<number, number[]>();
  private holds: Hold[][];
  private busy: Hold[][];
  /** Until when each pair of hands has been given work in this order. */
  private readonly free: Float64Array;
  private readonly hand: Int32Array;
  private readonly pins: number[];
  private readonly hasSplits: boolean;
  private readonly hasUses: boolean;
  private readonly ready: Float64Array;

  constructor(
    private readonly p: Problem,
    private readonly minutes: Float64Array = p.minutes,
  ) {
    this.least = new Float64Array(p.count);
    this.start = new Float64Array(p.count);
    this.end = new Float64Array(p.count);
    this.banned = new Uint8Array(p.count);
    this.holds = p.caps.map(() => []);
    this.busy = p.hands.map(() => []);
    this.free = new Float64Array(p.hands.length);
    this.hand = new Int32Array(p.count);
    this.pins = [...p.pin.keys()].filter((i) => p.pin[i]! >= 0 && !p.hopeless.has(i));
    p.hands.forEach(({ pins }, h) => {
      for (const i of pins) this.hand[i] = h;
    });
    this.hasSplits = p.splits.some(Boolean);
    this.hasUses = p.uses.some((each) => each.length > 0);
    this.ready = new Float64Array(p.bicycles.length);
  }

  /** The first minute from `t` on at which so many minutes of a free session of those hands begin; −1 where none is left. */
  private fit({ from, to, pins }: HandTime, t: number, minutes: number): number {
    let low = 0;
    let high = from.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (to[middle]! < t + minutes) low = middle + 1;
      else high = middle;
    }
    for (let k = low; k < from.length; k++) {
      let at = Math.max(t, from[k]!);
      for (const pinned of pins) {
        if (this.p.pin[pinned]! < 0 || this.p.hopeless.has(pinned)) continue;
        const pin = this.p.pin[pinned]!;
        if (at < pin + this.minutes[pinned]! && pin < at + minutes) at = pin + this.minutes[pinned]!;
      }
      if (at + minutes <= to[k]!) return at;
    }
    return -1;
  }

  /** Where a resource is full in that time: the moment from which it may be tried again; −1 where it is free. */
  private full(resource: number, from: number, to: number): number {
    if (to <= from) return -1;
    const cap = this.p.caps[resource]!;
    const held = this.holds[resource]!;
    let over = 0;
    let first = Infinity;
    for (const each of held)
      if (each.from < to && from < each.to) {
        over += 1;
        first = Math.min(first, each.to);
      }
    if (over < cap) return -1;
    if (cap === 1) return first;
    // As many as there are of it, at one and the same moment?
    for (const each of held) {
      const at = Math.max(each.from, from);
      if (at >= to || each.to <= at) continue;
      let together = 0;
      for (const other of held) if (other.from <= at && at < other.to) together += 1;
      if (together >= cap) return first;
    }
    return -1;
  }

  private hold(i: number): void {
    const { uses, holds, wait } = this.p;
    if (uses[i]!.length === 0) return;
    const pieces = this.pieces.get(i);
    for (const resource of uses[i]!) {
      if (holds[i] || !pieces) {
        const to = holds[i] ? this.end[i]! + wait[i]! : this.end[i]!;
        if (to > this.start[i]!) this.holds[resource]!.push({ from: this.start[i]!, to });
      } else
        for (let k = 0; k < pieces.length; k += 2) this.holds[resource]!.push({ from: pieces[k]!, to: pieces[k + 1]! });
    }
  }

  /** With whichever hands can begin it first. */
  private placeWhole(i: number, from: number): boolean {
    const { hands } = this.p;
    let first = -1;
    for (let h = 0; h < hands.length; h++) {
      const t = this.wholeWith(hands[h]!, i, Math.max(from, this.free[h]!));
      if (t < 0 || (first >= 0 && t >= first)) continue;
      first = t;
      this.hand[i] = h;
    }
    if (first < 0) return false;
    this.start[i] = first;
    this.end[i] = first + this.minutes[i]!;
    return true;
  }

  /** When those hands can begin it, in one piece and with what it uses; −1 where they cannot. */
  private wholeWith(hand: HandTime, i: number, from: number): number {
    const minutes = this.minutes[i]!;
    const { uses, holds, wait } = this.p;
    for (let t = this.fit(hand, from, minutes); t >= 0;) {
      let again = -1;
      for (const resource of uses[i]!)
        again = Math.max(again, this.full(resource, t, t + minutes + (holds[i] ? wait[i]! : 0)));
      if (again < 0) return t;
      t = this.fit(hand, again, minutes);
    }
    return -1;
  }

  /** With whichever hands are done with it first. */
  private placeSplit(i: number, from: number): boolean {
    let best: number[] | null = null;
    for (let h = 0; h < this.p.hands.length; h++) {
      const pieces = this.splitWith(h, i, from);
      if (!pieces || (best && pieces.at(-1)! >= best.at(-1)!)) continue;
      best = pieces;
      this.hand[i] = h;
    }
    if (!best) return false;
    this.start[i] = best[0]!;
    this.end[i] = best.at(-1)!;
    this.pieces.set(i, best);
    return true;
  }

  /** Over as many stretches as it takes: wherever those hands are free, and what it uses is. */
  private splitWith(h: number, i: number, from: number): number[] | null {
    const { uses, holds, wait } = this.p;
    const { from: opens, to: closes, pins } = this.p.hands[h]!;
    const taken: Hold[] = [...this.busy[h]!];
    for (const pinned of pins.filter((each) => this.p.pin[each]! >= 0 && !this.p.hopeless.has(each)))
      taken.push({ from: this.p.pin[pinned]!, to: this.p.pin[pinned]! + this.minutes[pinned]! });
    if (!holds[i])
      for (const resource of uses[i]!)
        for (const each of this.holds[resource]!) if (this.full(resource, each.from, each.to) >= 0) taken.push(each);
    taken.sort((a, b) => a.from - b.from);
    for (let at = from; ;) {
      const pieces: number[] = [];
      let left = this.minutes[i]!;
      for (let k = 0; k < opens.length && left > 0; k++) {
        let t = Math.max(at, opens[k]!);
        if (t >= closes[k]!) continue;
        for (const each of taken) {
          if (each.to <= t || each.from >= closes[k]!) continue;
          if (each.from > t) {
            const here = Math.min(left, each.from - t);
            pieces.push(t, t + here);
            left -= here;
            if (left <= 0) break;
          }
          t = Math.max(t, each.to);
        }
        if (left > 0 && t < closes[k]!) {
          const here = Math.min(left, closes[k]! - t);
          pieces.push(t, t + here);
          left -= here;
        }
      }
      if (left > 0 || pieces.length === 0) return null;
      const last = pieces.at(-1)!;
      let again = -1;
      if (holds[i])
        for (const resource of uses[i]!) again = Math.max(again, this.full(resource, pieces[0]!, last + wait[i]!));
      if (again < 0) return pieces;
      at = again;
    }
  }

  private sessionOf(t: number): number {
    const { from } = this.p;
    let low = 0;
    let high = from.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (from[middle]! <= t) low = middle + 1;
      else high = middle;
    }
    return low - 1;
  }

  private refuse(i: number, why: string): void {
    this.start[i] = -1;
    this.end[i] = -1;
    this.pieces.delete(i);
    if (!this.why.has(i)) this.why.set(i, why);
  }

  private name(i: number): string {
    const task = this.p.question.tasks[i]!;
    return task.label ?? task.id;
  }

  private pass(order: readonly number[], length: number): void {
    const { p } = this;
    this.pieces.clear();
    this.why.clear();
    this.start.fill(-1);
    this.end.fill(-1);
    for (const each of this.busy) each.length = 0;
    for (const held of this.holds) held.length = 0;
    for (const i of this.pins) {
      if (this.banned[i]) continue;
      this.start[i] = p.pin[i]!;
      this.end[i] = p.pin[i]! + this.minutes[i]!;
      this.hold(i);
    }
    this.free.fill(0);
    for (let k = 0; k < length; k++) {
      const i = order[k]!;
      if (this.banned[i]) {
        this.refuse(i, this.bannedWhy.get(i)!);
        continue;
      }
      let from = this.least[i]!;
      let waits = -1;
      for (const before of p.after[i]!) {
        if (this.end[before]! < 0) {
          waits = before;
          break;
        }
        from = Math.max(from, this.end[before]! + p.wait[before]!);
      }
      if (waits >= 0) {
        this.refuse(i, `it comes after “${this.name(waits)}”, which is not planned`);
        continue;
      }
      if (p.pin[i]! >= 0) {
        if (from > p.pin[i]!) this.refuse(i, 'what it comes after is not done where it is pinned');
        continue;
      }
      const split = p.splits[i]! && this.minutes[i]! > 0;
      const placed = split ? this.placeSplit(i, from) : this.placeWhole(i, from);
      if (!placed) {
        this.refuse(i, 'no room is left for it before the last session ends');
        continue;
      }
      const h = this.hand[i]!;
      this.free[h] = Math.max(this.free[h]!, this.end[i]!);
      if (this.hasSplits)
        if (split) {
          const pieces = this.pieces.get(i)!;
          for (let at = 0; at < pieces.length; at += 2) this.busy[h]!.push({ from: pieces[at]!, to: pieces[at + 1]! });
        } else if (this.end[i]! > this.start[i]!) this.busy[h]!.push({ from: this.start[i]!, to: this.end[i]! });
      if (this.hasUses) this.hold(i);
    }
  }

  private bannedWhy = new Map<number, string>();

  private ban(i: number, why: string): void {
    this.banned[i] = 1;
    this.bannedWhy.set(i, why);
  }

  /** Pushes what must be begun later, so that what follows it comes in time and what closes together does; true where it did. */
  private pushed(whole: boolean, isLast = false): boolean {
    const { p } = this;
    let again = false;
    for (let i = 0; i < p.count; i++) {
      if (p.maxWait[i]! < 0 || this.end[i]! < 0) continue;
      let first = Infinity;
      for (const follower of p.next[i]!) if (this.end[follower]! >= 0) first = Math.min(first, this.start[follower]!);
      if (first === Infinity) {
        if (whole) {
          this.ban(i, 'nothing that comes after it is planned in time');
          again = true;
        }
        continue;
      }
      const late = first - p.maxWait[i]! - this.end[i]!;
      if (late <= 0) continue;
      if (p.pin[i]! >= 0 || isLast) this.ban(i, 'nothing can follow it in time');
      else this.least[i] = Math.max(this.least[i]!, this.start[i]! + late);
      again = true;
    }
    for (const group of p.groups) {
      const head = group[0]!;
      if (this.end[head]! < 0) continue;
      let last = -1;
      let missing = false;
      for (const i of group) {
        if (this.end[i]! < 0) missing ||= whole;
        else last = Math.max(last, this.sessionOf(p.minutes[i]! > 0 ? this.end[i]! - 1 : this.start[i]!));
      }
      if (missing) {
        this.ban(head, 'it cannot be closed: not all that closes with it finds room');
        again = true;
        continue;
      }
      for (const i of group) {
        if (this.end[i]! < 0 || this.sessionOf(this.start[i]!) >= last) continue;
        if (p.pin[i]! >= 0 || isLast) this.ban(head, 'what closes with it does not fit into one session with it');
        else this.least[i] = Math.max(this.least[i]!, p.from[last]!);
        again = true;
      }
    }
    return again;
  }

  /** Places so many tasks of an order, each at the first moment that the ones before it leave, and measures it. */
  private run(order: readonly number[], length: number, whole: boolean): void {
    this.least.set(this.p.earliest);
    this.banned.fill(0);
    this.bannedWhy.clear();
    for (let round = 0; round < MOST_ROUNDS; round++) {
      this.pass(order, length);
      if (!this.pushed(whole)) return;
    }
    // Nothing settles: whatever still has to be pushed is left out, until nothing has to.
    do this.pass(order, length);
    while (this.pushed(whole, true));
  }

  /** Unready bicycles, unplanned tasks and value of a whole order: the lesser is the better, in that order. */
  measure(order: readonly number[]): { unready: number; unplanned: number; value: number } {
    this.run(order, order.length, true);
    return this.measured();
  }

  private measured(): { unready: number; unplanned: number; value: number } {
    const { p, ready } = this;
    ready.fill(0);
    let unplanned = 0;
    for (let i = 0; i < p.count; i++) {
      const bicycle = p.bicycleOf[i]!;
      if (this.end[i]! < 0) {
        unplanned += 1;
        ready[bicycle] = Infinity;
      } else ready[bicycle] = Math.max(ready[bicycle]!, this.end[i]! + p.wait[i]!);
    }
    let unready = 0;
    let sum = 0;
    let last = 0;
    for (const at of ready) {
      if (at === Infinity) unready += 1;
      else {
        sum += at;
        last = Math.max(last, at);
      }
    }
    const out = ready.length - unready;
    const mean = out === 0 ? 0 : sum / out;
    return { unready, unplanned, value: p.question.objective === 'all-done-soonest' ? last : mean };
  }

  /** When each bicycle is ready in the order measured last; `Infinity` where something of it is not planned. */
  readyTimes(): Float64Array {
    return this.ready.slice();
  }

  /** The least that an order which begins so can come to, by the end of what is placed; ends of what is not yet are read by the caller. */
  begin(order: readonly number[], length: number): { end: Float64Array; hand: Int32Array } {
    this.run(order, length, false);
    return { end: this.end, hand: this.hand };
  }

  /** The order as a schedule of its own. */
  schedule(order: readonly number[]): Schedule {
    const measured = this.measure(order);
    const why = new Map(this.p.hopeless);
    for (const [i, words] of this.why) if (!why.has(i)) why.set(i, words);
    for (const [i, words] of this.bannedWhy) why.set(i, words);
    return {
      start: this.start.slice(),
      end: this.end.slice(),
      hand: this.hand.slice(),
      pieces: new Map(this.pieces),
      why,
      ...measured,
    };
  }
}
