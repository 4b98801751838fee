import * as z from 'zod/mini';
import { rowRule } from '../calculator';

const id = z.string().check(z.minLength(1), z.maxLength(120));
const moment = z.number().check(z.multipleOf(1), z.gte(0), z.lte(50_000_000), z.describe('minutes from one zero'));
const span = z.number().check(z.multipleOf(1), z.gte(0), z.lte(1_000_000));

export const planTask = z.strictObject({
  id,
  bicycle: id,
  minutes: span,
  after: z._default(z.array(id).check(z.maxLength(300)), []),
  waitMin: z._default(span, 0).check(z.describe('runs on the clock once it is done')),
  uses: z._default(z.array(id).check(z.maxLength(20)), []),
  holdsWhileWaiting: z._default(z.boolean(), false),
  splittable: z._default(z.boolean(), false),
  earliestMin: z._default(moment, 0),
  maxWaitMin: z.optional(span.check(z.describe('some task after it must begin by its end and this'))),
  closeWith: z.optional(z.array(id).check(z.maxLength(50), z.describe('all in one session with it'))),
  dirty: z._default(z.boolean(), false).check(z.describe('before clean work of its session, where that costs nothing')),
  label: z.optional(z.string().check(z.maxLength(200))),
});
export type PlanTask = z.output<typeof planTask>;

const shape = z.strictObject({
  hands: z._default(z.number().check(z.multipleOf(1), z.gte(1), z.lte(20)), 1).check(z.describe('pairs of hands')),
  sessions: z
    .array(
      z.strictObject({
        fromMin: moment,
        toMin: moment,
        hand: z.optional(
          z
            .number()
            .check(z.multipleOf(1), z.gte(1), z.lte(20), z.describe('whose it is; without one all hands are there')),
        ),
      }),
    )
    .check(z.maxLength(2000)),
  resources: z
    ._default(z.array(z.strictObject({ id, count: z.number().check(z.multipleOf(1), z.gte(1), z.lte(100)) })), [])
    .check(z.maxLength(50)),
  tasks: z.array(planTask).check(z.maxLength(300)),
  objective: z._default(z.enum(['bicycles-out-soonest', 'all-done-soonest']), 'bicycles-out-soonest'),
  pinned: z._default(z.array(z.strictObject({ task: id, fromMin: moment })).check(z.maxLength(300)), []),
  before: z
    ._default(z.array(z.strictObject({ task: id, fromMin: moment })).check(z.maxLength(600)), [])
    .check(z.describe('a plan of before: it is kept to wherever nothing better is found')),
});
type Shape = z.output<typeof shape>;

type Issue = { path: (string | number)[]; message: string };

function sessionIssues({ sessions, hands }: Shape): Issue[] {
  return sessions.flatMap(({ fromMin, toMin, hand }, i): Issue[] => {
    if (toMin <= fromMin) return [{ path: ['sessions', i, 'toMin'], message: 'it ends before it begins' }];
    if (hand !== undefined && hand > hands)
      return [{ path: ['sessions', i, 'hand'], message: `there are no more than ${hands} pairs of hands` }];
    const before = sessions
      .slice(0, i)
      .findLast((each) => hand === undefined || each.hand === undefined || each.hand === hand);
    return before && fromMin < before.toMin
      ? [
          {
            path: ['sessions', i, 'fromMin'],
            message: 'it begins before the one ahead of it has ended: put them in order',
          },
        ]
      : [];
  });
}

function taskIssues({ tasks, resources, pinned }: Shape): Issue[] {
  const known = new Set(tasks.map((task) => task.id));
  const shared = new Set(resources.map((resource) => resource.id));
  const seen = new Set<string>();
  const unknown = (path: (string | number)[], task: string): Issue => ({
    path,
    message: `no task is called “${task}”`,
  });
  return [
    ...tasks.flatMap((task, i): Issue[] => {
      const twice: Issue[] = seen.has(task.id)
        ? [{ path: ['tasks', i, 'id'], message: `two tasks are called “${task.id}”` }]
        : [];
      seen.add(task.id);
      return [
        ...twice,
        ...task.after.flatMap((each, k) => (known.has(each) ? [] : [unknown(['tasks', i, 'after', k], each)])),
        ...(task.closeWith ?? []).flatMap((each, k) =>
          known.has(each) ? [] : [unknown(['tasks', i, 'closeWith', k], each)],
        ),
        ...task.uses.flatMap((each, k) =>
          shared.has(each)
            ? []
            : [{ path: ['tasks', i, 'uses', k], message: `there is nothing called “${each}” among the resources` }],
        ),
      ];
    }),
    ...pinned.flatMap(({ task }, i) => (known.has(task) ? [] : [unknown(['pinned', i, 'task'], task)])),
  ];
}

/** What `plan.sessions` is asked. */
export const planInput = rowRule(shape, (value) => [...sessionIssues(value), ...taskIssues(value)]);
export type PlanQuestion = z.output<typeof planInput>;
