import { uniformStream } from '@/core/money/streams';
import { planInput, type PlanQuestion, type PlanTask } from '@/core/plan/planTask';

/** A workshop's next weeks, made up: bicycles in chains with soaks and cures, one bath and one stand, evenings and a Saturday. */
export function madeUpPlan(seed: number, tasks: number, sessions: number): PlanQuestion {
  const next = uniformStream(seed, 'plan instance');
  const pick = (from: number, to: number) => from + Math.floor(next() * (to - from + 1));
  const list: Partial<PlanTask>[] = [];
  for (let bicycle = 0; list.length < tasks; bicycle++) {
    const own = Math.min(pick(4, 10), tasks - list.length);
    for (let k = 0; k < own; k++) {
      const id = `b${bicycle}t${k}`;
      const soaks = next() < 0.18;
      const after = k === 0 ? [] : next() < 0.75 ? [`b${bicycle}t${k - 1}`] : [`b${bicycle}t${pick(0, k - 1)}`];
      list.push({
        id,
        bicycle: `b${bicycle}`,
        minutes: pick(2, 16) * 5,
        after,
        waitMin: soaks ? pick(1, 24) * 30 : 0,
        uses: soaks ? ['bath'] : next() < 0.4 ? ['stand'] : [],
        holdsWhileWaiting: soaks,
        splittable: next() < 0.1,
        dirty: (bicycle * 7 + k * 3) % 5 < 2,
        earliestMin: next() < 0.08 ? pick(0, 7) * 1440 : 0,
      });
    }
  }
  let now = 0;
  const evenings = Array.from({ length: sessions }, (_, day) => {
    const fromMin = Math.max(now, day * 1440 + 18 * 60 + pick(0, 60));
    now = fromMin + pick(8, day % 6 === 5 ? 48 : 30) * 5;
    return { fromMin, toMin: now };
  });
  return planInput.parse({
    sessions: evenings,
    resources: [
      { id: 'bath', count: 1 },
      { id: 'stand', count: 1 },
    ],
    tasks: list,
  });
}

interface Taken {
  from: number;
  to: number;
}

/** The value of one random order placed earliest-fit: each task at the first gap that holds it, also before those placed ahead of it. Whole tasks and stretches; no task must follow in time. */
export function randomEarliestFit(question: PlanQuestion, seed: number): number {
  const next = uniformStream(seed, 'random order');
  const { sessions, tasks, resources } = question;
  const left = [...tasks];
  const end = new Map<string, number>();
  const hands: Taken[] = [];
  const held = new Map(resources.map(({ id }) => [id, [] as Taken[]]));
  const cap = new Map(resources.map(({ id, count }) => [id, count]));
  const overlaps = (list: readonly Taken[], from: number, to: number) =>
    list.filter((each) => each.from < to && from < each.to);
  while (left.length > 0) {
    const free = left.filter(({ after }) => after.every((before) => end.has(before)));
    const task = free[Math.floor(next() * free.length)]!;
    left.splice(left.indexOf(task), 1);
    const from = task.after.reduce((most, before) => {
      const wait = tasks.find(({ id }) => id === before)!.waitMin;
      return Math.max(most, end.get(before)! + wait);
    }, task.earliestMin);
    const candidates = [
      from,
      ...sessions.map(({ fromMin }) => fromMin),
      ...hands.map(({ to }) => to),
      ...[...held.values()].flat().map(({ to }) => to),
    ]
      .filter((at) => at >= from)
      .toSorted((a, b) => a - b);
    const tail = task.holdsWhileWaiting ? task.waitMin : 0;
    const at = candidates.find(
      (start) =>
        sessions.some(({ fromMin, toMin }) => fromMin <= start && start + task.minutes <= toMin) &&
        overlaps(hands, start, start + task.minutes).length === 0 &&
        task.uses.every((id) => overlaps(held.get(id)!, start, start + task.minutes + tail).length < cap.get(id)!),
    );
    if (at === undefined) return Infinity;
    end.set(task.id, at + task.minutes);
    hands.push({ from: at, to: at + task.minutes });
    for (const id of task.uses) held.get(id)!.push({ from: at, to: at + task.minutes + tail });
  }
  const bicycles = [...new Set(tasks.map(({ bicycle }) => bicycle))];
  const ready = bicycles.map((bicycle) =>
    Math.max(...tasks.filter((task) => task.bicycle === bicycle).map(({ id, waitMin }) => end.get(id)! + waitMin)),
  );
  return question.objective === 'all-done-soonest'
    ? Math.max(...ready)
    : ready.reduce((sum, each) => sum + each, 0) / ready.length;
}
