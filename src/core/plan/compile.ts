import type { PlanQuestion } from './planTask';

/** One pair of hands: when they are there, and what is pinned into their time. */
export interface HandTime {
  from: Float64Array;
  to: Float64Array;
  pins: number[];
}

/** A question as the search needs it: tasks by number, what follows what both ways, groups that close together. */
export interface Problem {
  question: PlanQuestion;
  count: number;
  minutes: Float64Array;
  wait: Float64Array;
  earliest: Float64Array;
  /** −1 where nothing has to follow in time. */
  maxWait: Float64Array;
  /** −1 where it is not pinned. */
  pin: Float64Array;
  after: readonly (readonly number[])[];
  next: readonly (readonly number[])[];
  uses: readonly (readonly number[])[];
  holds: readonly boolean[];
  splits: readonly boolean[];
  /** A task, and behind it what must be closed in one session with it. */
  groups: readonly (readonly number[])[];
  bicycleOf: Int32Array;
  bicycles: readonly string[];
  caps: readonly number[];
  /** When anybody is there, from the first to come until the last to go. */
  from: Float64Array;
  to: Float64Array;
  hands: readonly HandTime[];
  /** All hands are there at the same times, so that it hangs on nothing who does what. */
  alike: boolean;
  /** The longest session of one pair of hands. */
  longest: number;
  /** Why a task cannot be planned whatever the order; by its number. */
  hopeless: Map<number, string>;
  /** Pins collide: which of them is let go of is a choice that no order tells. */
  pinsCollide: boolean;
}

/** Tasks that come after themselves, and one such circle in words. */
function circleWords(count: number, after: readonly (readonly number[])[], name: (i: number) => string) {
  const left = after.map((each) => each.length);
  const next = nextOf(count, after);
  const free = left.flatMap((n, i) => (n === 0 ? [i] : []));
  for (let i = free.pop(); i !== undefined; i = free.pop())
    for (const follower of next[i]!) if (--left[follower]! === 0) free.push(follower);
  const stuck = new Set(left.flatMap((n, i) => (n > 0 ? [i] : [])));
  const circles = new Map<number, string>();
  for (const start of stuck) {
    // A walk back from a stuck one runs into a circle: itself, or one that it waits for.
    const path: number[] = [start];
    for (;;) {
      const at = after[path.at(-1)!]!.find((each) => stuck.has(each))!;
      if (path.includes(at)) {
        const round = path.slice(path.indexOf(at));
        if (round.includes(start))
          circles.set(start, `a circle: ${[...round.toReversed(), round.at(-1)!].map(name).join(', then ')}`);
        break;
      }
      path.push(at);
    }
  }
  return circles;
}

function nextOf(count: number, after: readonly (readonly number[])[]): number[][] {
  const next: number[][] = Array.from({ length: count }, () => []);
  after.forEach((each, i) => each.forEach((before) => next[before]!.push(i)));
  return next;
}

/** What must be closed in one session with a task, behind that task itself. */
function groupsOf(question: PlanQuestion, at: ReadonlyMap<string, number>): number[][] {
  return question.tasks.flatMap(({ closeWith = [] }, i) => {
    const others = [...new Set(closeWith.map((each) => at.get(each)!))].filter((other) => other !== i);
    return others.length > 0 ? [[i, ...others]] : [];
  });
}

/** When each pair of hands is there. */
function handTimes({ sessions, hands }: PlanQuestion): HandTime[] {
  return Array.from({ length: hands }, (_, h) => {
    const own = sessions.filter(({ hand }) => hand === undefined || hand === h + 1);
    return {
      from: Float64Array.from(own, ({ fromMin }) => fromMin),
      to: Float64Array.from(own, ({ toMin }) => toMin),
      pins: [],
    };
  });
}

/** Sessions as one where the hands of one come before those of another go; one pair’s own stay apart. */
function together({ sessions, hands }: PlanQuestion): { fromMin: number; toMin: number }[] {
  if (hands === 1) return sessions;
  const joined: { fromMin: number; toMin: number }[] = [];
  for (const { fromMin, toMin } of sessions.toSorted((a, b) => a.fromMin - b.fromMin)) {
    const last = joined.at(-1);
    if (last && fromMin < last.toMin) last.toMin = Math.max(last.toMin, toMin);
    else joined.push({ fromMin, toMin });
  }
  return joined;
}

/** A question with its names resolved, and what cannot be planned whatever the order. */
export function compiled(question: PlanQuestion): Problem {
  const { tasks, resources, pinned } = question;
  const sessions = together(question);
  const hands = handTimes(question);
  const count = tasks.length;
  const at = new Map(tasks.map((task, i) => [task.id, i]));
  const shared = new Map(resources.map((resource, i) => [resource.id, i]));
  const bicycles = [...new Set(tasks.map(({ bicycle }) => bicycle))];
  const after = tasks.map((task) => [...new Set(task.after.map((each) => at.get(each)!))]);
  const groups = groupsOf(question, at);
  const pin = new Float64Array(count).fill(-1);
  for (const { task, fromMin } of pinned) pin[at.get(task)!] = fromMin;
  const problem: Problem = {
    question,
    count,
    minutes: Float64Array.from(tasks, (task) => task.minutes),
    wait: Float64Array.from(tasks, (task) => task.waitMin),
    earliest: Float64Array.from(tasks, (task) => task.earliestMin),
    maxWait: Float64Array.from(tasks, (task) => task.maxWaitMin ?? -1),
    pin,
    after,
    next: nextOf(count, after),
    uses: tasks.map((task) => [...new Set(task.uses.map((each) => shared.get(each)!))]),
    holds: tasks.map((task) => task.holdsWhileWaiting),
    splits: tasks.map((task) => task.splittable),
    groups,
    bicycleOf: Int32Array.from(tasks, ({ bicycle }) => bicycles.indexOf(bicycle)),
    bicycles,
    caps: resources.map((resource) => resource.count),
    from: Float64Array.from(sessions, (session) => session.fromMin),
    to: Float64Array.from(sessions, (session) => session.toMin),
    hands,
    alike: question.hands === 1 || question.sessions.every(({ hand }) => hand === undefined),
    longest: hands.reduce(
      (most, hand) => hand.from.reduce((all, from, k) => Math.max(all, hand.to[k]! - from), most),
      0,
    ),
    hopeless: new Map(),
    pinsCollide: false,
  };
  fillHopeless(problem);
  return problem;
}

function fillHopeless(problem: Problem): void {
  const { question, hopeless, from, to, hands, longest, minutes, pin, wait, maxWait, next, splits, groups, earliest } =
    problem;
  const name = (i: number) => question.tasks[i]!.label ?? question.tasks[i]!.id;
  const say = (i: number, why: string) => !hopeless.has(i) && hopeless.set(i, why);
  const holds = (hand: HandTime, i: number) =>
    hand.from.some((start, k) => start <= pin[i]! && pin[i]! + minutes[i]! <= hand.to[k]!);
  for (const [i, why] of circleWords(problem.count, problem.after, name)) say(i, why);
  question.tasks.forEach((_task, i) => {
    if (from.length === 0) say(i, 'there is no session');
    else if (!splits[i] && minutes[i]! > longest)
      say(i, `it takes ${minutes[i]} min and the longest session has ${longest}: split it, or find a longer one`);
    if (maxWait[i]! >= 0 && next[i]!.length === 0)
      say(i, 'something has to follow it in time, and nothing comes after it');
    if (maxWait[i]! >= 0 && maxWait[i]! < wait[i]!)
      say(i, `it waits ${wait[i]} min, and what follows would have to begin within ${maxWait[i]}`);
    if (pin[i]! >= 0) {
      if (!hands.some((hand) => holds(hand, i))) say(i, 'where it is pinned there is no session that holds it');
      else if (pin[i]! < earliest[i]!) say(i, 'it is pinned before it can begin');
    }
  });
  const pinnedAt = [...pin.keys()]
    .filter((i) => pin[i]! >= 0 && !hopeless.has(i))
    .toSorted((a, b) => pin[a]! - pin[b]!);
  const kept: number[] = [];
  const lasts = (i: number) => pin[i]! + minutes[i]! + (problem.holds[i] ? wait[i]! : 0);
  for (const i of pinnedAt) {
    const inTheWay = (hand: HandTime) =>
      hand.pins.find((other) => pin[other]! + minutes[other]! > pin[i]! && minutes[i]! > 0);
    const there = hands.filter((hand) => holds(hand, i));
    const free = there.find((hand) => inTheWay(hand) === undefined);
    const hand = free ? undefined : inTheWay(there[0]!);
    const full = problem.uses[i]!.find(
      (resource) =>
        kept.filter((other) => problem.uses[other]!.includes(resource) && lasts(other) > pin[i]!).length >=
        problem.caps[resource]!,
    );
    if (free && full === undefined) {
      kept.push(i);
      free.pins.push(i);
      continue;
    }
    problem.pinsCollide = true;
    say(
      i,
      hand === undefined
        ? `${question.resources[full!]!.id} is taken where it is pinned`
        : `it is pinned into “${name(hand)}”: ${there.length === 1 ? 'there is one pair of hands' : `there are ${there.length} pairs of hands`}`,
    );
  }
  const widest = from.reduce((most, start, k) => Math.max(most, to[k]! - start), 0);
  for (const group of groups) {
    const all = group.reduce((sum, i) => sum + minutes[i]!, 0);
    if (all > widest * hands.length)
      say(group[0]!, `it must close in one session with what belongs to it: ${all} min, and the longest has ${widest}`);
  }
}
