import type { PlanQuestion } from '@/core/plan/planTask';
import type { SessionPlan } from '@/core/plan/sessions';

/** What a plan breaks of what it was asked: nothing, if it is one. Written apart from the search. */
export function brokenBy(question: PlanQuestion, { plan, waits, ready, unplanned, value }: SessionPlan): string[] {
  const broken: string[] = [];
  const say = (words: string) => broken.push(words);
  const of = new Map(question.tasks.map((task) => [task.id, task]));
  const pieces = new Map(question.tasks.map(({ id }) => [id, plan.filter(({ task }) => task === id)]));
  const out = new Set(unplanned.map(({ task }) => task));
  const startOf = (id: string) => pieces.get(id)![0]!.fromMin;
  const endOf = (id: string) => pieces.get(id)!.at(-1)!.toMin;
  const isThere = (fromMin: number, toMin: number, hand: number) =>
    question.sessions.some(
      (session) => (session.hand ?? hand) === hand && session.fromMin <= fromMin && toMin <= session.toMin,
    );
  /** Whether somebody is there all that time, hands taking turns as they come and go. */
  const isOpen = (fromMin: number, toMin: number) => {
    let at = fromMin;
    for (const session of question.sessions.toSorted((a, b) => a.fromMin - b.fromMin))
      if (
        session.fromMin <= fromMin
          ? session.toMin >= at
          : question.hands > 1 && session.fromMin < at && session.toMin > at
      )
        at = Math.max(at, session.toMin);
    return at >= toMin && question.sessions.some((each) => each.fromMin <= fromMin && fromMin <= each.toMin);
  };

  for (const { id } of question.tasks)
    if (out.has(id) === pieces.get(id)!.length > 0) say(`${id} is neither planned nor told, or both`);
  const worked = plan.filter(({ fromMin, toMin }) => toMin > fromMin);
  worked.forEach((each, i) => {
    if (!isThere(each.fromMin, each.toMin, each.hand ?? 1)) say(`${each.task} lies outside the sessions`);
    if ((each.hand === undefined) !== (question.hands === 1)) say(`${each.task} does not say whose hands`);
    for (const other of worked.slice(i + 1))
      if (each.hand === other.hand && each.fromMin < other.toMin && other.fromMin < each.toMin)
        say(`${each.task} and ${other.task} at once`);
  });
  const planned = question.tasks.filter(({ id }) => !out.has(id));
  for (const task of planned) {
    const own = pieces.get(task.id)!;
    const spent = own.reduce((sum, { fromMin, toMin }) => sum + toMin - fromMin, 0);
    if (spent !== task.minutes) say(`${task.id} takes ${spent}, not ${task.minutes}`);
    if (own.length > 1 && !task.splittable) say(`${task.id} is split`);
    if (new Set(own.map(({ hand }) => hand)).size > 1) say(`${task.id} goes from hand to hand`);
    if (startOf(task.id) < task.earliestMin) say(`${task.id} begins too early`);
    for (const before of task.after)
      if (out.has(before)) say(`${task.id} comes after ${before}, which is not planned`);
      else if (startOf(task.id) < endOf(before) + of.get(before)!.waitMin)
        say(`${task.id} does not wait for ${before}`);
    const wait = waits.find((each) => each.task === task.id);
    if (task.waitMin > 0 && (wait?.fromMin !== endOf(task.id) || wait.toMin !== endOf(task.id) + task.waitMin))
      say(`the wait of ${task.id} is not told`);
    if (task.maxWaitMin !== undefined) {
      const inTime = planned.some(
        (each) => each.after.includes(task.id) && startOf(each.id) <= endOf(task.id) + task.maxWaitMin!,
      );
      if (!inTime) say(`nothing follows ${task.id} in time`);
    }
    for (const other of task.closeWith ?? []) {
      if (out.has(other)) say(`${task.id} is left open by ${other}`);
      else {
        const all = [...own, ...pieces.get(other)!];
        const from = Math.min(...all.map(({ fromMin }) => fromMin));
        if (!isOpen(from, Math.max(...all.map(({ toMin }) => toMin))))
          say(`${task.id} and ${other} are not closed in one session`);
      }
    }
    const pin = question.pinned.find((each) => each.task === task.id);
    if (pin && startOf(task.id) !== pin.fromMin) say(`${task.id} is not where it is pinned`);
  }
  for (const { id, count } of question.resources) {
    const held = planned
      .filter(({ uses }) => uses.includes(id))
      .flatMap((task) =>
        task.holdsWhileWaiting
          ? [{ from: startOf(task.id), to: endOf(task.id) + task.waitMin }]
          : pieces.get(task.id)!.map(({ fromMin, toMin }) => ({ from: fromMin, to: toMin })),
      )
      .filter(({ from, to }) => to > from);
    for (const { from } of held)
      if (held.filter((each) => each.from <= from && from < each.to).length > count) say(`${id} is taken too often`);
  }
  const times = new Map<string, number>();
  for (const bicycle of new Set(question.tasks.map((task) => task.bicycle))) {
    const own = question.tasks.filter((task) => task.bicycle === bicycle);
    if (own.every(({ id }) => !out.has(id)))
      times.set(bicycle, Math.max(...own.map(({ id, waitMin }) => endOf(id) + waitMin)));
  }
  if (ready.length !== times.size) say('bicycles that are ready are not told');
  for (const { bicycle, atMin } of ready) if (times.get(bicycle) !== atMin) say(`${bicycle} is not ready then`);
  const all = [...times.values()];
  const should =
    all.length === 0
      ? 0
      : question.objective === 'all-done-soonest'
        ? Math.max(...all)
        : all.reduce((sum, each) => sum + each, 0) / all.length;
  if (Math.abs(should - value) > 1e-6) say(`the value is ${should}, not ${value}`);
  return broken;
}

/** The best plan of a very small question, by trying every minute for every task, and leaving out whichever: whole tasks only. */
export function byBruteForce(question: PlanQuestion): { unready: number; unplanned: number; value: number } {
  const { tasks, sessions } = question;
  const minutes = [
    ...new Set(
      sessions.flatMap(({ fromMin, toMin }) => Array.from({ length: toMin - fromMin + 1 }, (_, i) => fromMin + i)),
    ),
  ];
  let best = { unready: Infinity, unplanned: Infinity, value: Infinity };
  const starts: (number | null)[] = [];
  const whose: number[] = [];
  const hands = Array.from({ length: question.hands }, (_, h) => h + 1);
  const tryAll = (i: number): void => {
    if (i < tasks.length) {
      const pin = question.pinned.find(({ task }) => task === tasks[i]!.id);
      const fits = pin ? [pin.fromMin] : minutes;
      const places = fits.flatMap((at) => hands.map((hand) => ({ at, hand })));
      for (const { at, hand } of [...places, { at: null, hand: 1 }]) {
        if (
          at !== null &&
          !sessions.some(
            (each) => (each.hand ?? hand) === hand && each.fromMin <= at && at + tasks[i]!.minutes <= each.toMin,
          )
        )
          continue;
        // Hands are taken by an earlier one: nothing that follows can mend it.
        if (
          at !== null &&
          starts.some(
            (other, k) =>
              other !== null &&
              whose[k] === hand &&
              other < at + tasks[i]!.minutes &&
              at < other + tasks[k]!.minutes &&
              tasks[i]!.minutes > 0 &&
              tasks[k]!.minutes > 0,
          )
        )
          continue;
        starts.push(at);
        whose.push(hand);
        tryAll(i + 1);
        starts.pop();
        whose.pop();
      }
      return;
    }
    const plan = tasks
      .flatMap(({ id, minutes: takes }, k) =>
        starts[k] === null
          ? []
          : [
              {
                task: id,
                fromMin: starts[k]!,
                toMin: starts[k]! + takes,
                ...(question.hands > 1 && { hand: whose[k]! }),
              },
            ],
      )
      .toSorted((a, b) => a.fromMin - b.fromMin);
    const unplanned = tasks.flatMap(({ id }, k) => (starts[k] === null ? [{ task: id, why: '' }] : []));
    const ready = [...new Set(tasks.map(({ bicycle }) => bicycle))].flatMap((bicycle) => {
      const own = tasks.map((task, k) => ({ task, at: starts[k] })).filter(({ task }) => task.bicycle === bicycle);
      return own.some(({ at }) => at === null)
        ? []
        : [{ bicycle, atMin: Math.max(...own.map(({ task, at }) => at! + task.minutes + task.waitMin)) }];
    });
    const times = ready.map(({ atMin }) => atMin);
    const value =
      times.length === 0
        ? 0
        : question.objective === 'all-done-soonest'
          ? Math.max(...times)
          : times.reduce((sum, each) => sum + each, 0) / times.length;
    const unready = new Set(tasks.map(({ bicycle }) => bicycle)).size - ready.length;
    const isBetter =
      unready !== best.unready
        ? unready < best.unready
        : unplanned.length !== best.unplanned
          ? unplanned.length < best.unplanned
          : value < best.value - 1e-9;
    if (!isBetter) return;
    const waits = tasks.flatMap(({ id, waitMin, minutes: takes }, k) =>
      starts[k] === null || waitMin === 0
        ? []
        : [{ task: id, fromMin: starts[k]! + takes, toMin: starts[k]! + takes + waitMin }],
    );
    const made = {
      plan,
      waits,
      ready,
      unplanned,
      value,
      lowerBound: 0,
      proven: false,
      verdict: 'complete',
      reasons: [],
      working: [],
    } as SessionPlan;
    if (brokenBy(question, made).length === 0) best = { unready, unplanned: unplanned.length, value };
  };
  tryAll(0);
  return best;
}
