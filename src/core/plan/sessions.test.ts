import fc from 'fast-check';
import { brokenBy, byBruteForce } from '../../../tests/planCheck';
import { madeUpPlan } from '../../../tests/planInstance';
import { keptPromises } from '../../../tests/planPromises';
import { runs } from '../../../tests/runs';
import { answer } from '../calculator';
import { lowerBound } from './bound';
import { compiled } from './compile';
import { planPromise } from './promise';
import { planInput, type PlanQuestion } from './planTask';
import { plannedSessions, planSessions, type SessionPlan } from './sessions';

function planned(question: object): SessionPlan {
  const said = answer(planSessions, question);
  if (!said.ok) throw new Error(JSON.stringify(said.errors));
  return said.output;
}
const EVENING = [{ fromMin: 0, toMin: 120 }];
const task = (id: string, minutes: number, more: object = {}) => ({ id, bicycle: 'a', minutes, ...more });
const at = (plan: SessionPlan, id: string) => plan.plan.find((each) => each.task === id)?.fromMin ?? null;

describe('a plan of sessions', () => {
  test('two bicycles in one session: the shorter first, proven', () => {
    const plan = planned({ sessions: EVENING, tasks: [task('long', 60), task('short', 30, { bicycle: 'b' })] });
    expect(plan).toMatchObject({ value: 60, lowerBound: 60, proven: true, verdict: 'complete' });
    expect(plan.ready).toEqual([
      { bicycle: 'b', atMin: 30 },
      { bicycle: 'a', atMin: 90 },
    ]);
  });
  test('a long wait is begun first, and other work goes on meanwhile', () => {
    const plan = planned({
      sessions: EVENING,
      tasks: [task('soak', 10, { waitMin: 60 }), task('rinse', 10, { after: ['soak'] }), task('cables', 30)],
    });
    expect([at(plan, 'soak'), at(plan, 'cables'), at(plan, 'rinse')]).toEqual([0, 10, 70]);
    expect(plan.waits).toEqual([{ task: 'soak', fromMin: 10, toMin: 70 }]);
  });
  test('a bath that must not be forgotten begins only when somebody is there in time', () => {
    const sessions = [
      { fromMin: 0, toMin: 60 },
      { fromMin: 2000, toMin: 2100 },
      { fromMin: 2500, toMin: 2600 },
    ];
    const vinegar = task('vinegar', 10, { waitMin: 480, maxWaitMin: 720 });
    const plan = planned({ sessions, tasks: [vinegar, task('lift', 10, { after: ['vinegar'] })] });
    expect([at(plan, 'vinegar'), at(plan, 'lift')]).toEqual([2000, 2500]);
    const none = planned({
      sessions: sessions.slice(0, 2),
      tasks: [vinegar, task('lift', 10, { after: ['vinegar'] })],
    });
    expect(none.verdict).toBe('nothing-fits');
    expect(none.unplanned.map(({ why }) => why)).toEqual([
      'nothing that comes after it is planned in time',
      'it comes after “vinegar”, which is not planned',
    ]);
  });
  test('what must close in one session goes where all of it does', () => {
    const sessions = [
      { fromMin: 0, toMin: 40 },
      { fromMin: 1000, toMin: 1120 },
    ];
    const tasks = [task('open', 30, { closeWith: ['shut'] }), task('shut', 30, { after: ['open'] }), task('label', 20)];
    const plan = planned({ sessions, tasks });
    expect([at(plan, 'label'), at(plan, 'open'), at(plan, 'shut')]).toEqual([0, 1000, 1030]);
  });
  test('a task may be split only where it says so', () => {
    const sessions = [
      { fromMin: 0, toMin: 40 },
      { fromMin: 100, toMin: 140 },
    ];
    expect(planned({ sessions, tasks: [task('polish', 60, { splittable: true })] }).plan).toEqual([
      { task: 'polish', fromMin: 0, toMin: 40 },
      { task: 'polish', fromMin: 100, toMin: 120 },
    ]);
    expect(planned({ sessions, tasks: [task('polish', 60)] }).unplanned[0]!.why).toContain(
      'the longest session has 40',
    );
  });
  test('a tub of one is held while it waits, and a second one lets two in', () => {
    const tasks = ['x', 'y'].map((id) =>
      task(id, 10, { bicycle: id, uses: ['tub'], waitMin: 50, holdsWhileWaiting: true }),
    );
    const value = (count: number) => planned({ sessions: EVENING, tasks, resources: [{ id: 'tub', count }] });
    expect(value(1).ready.map(({ atMin }) => atMin)).toEqual([60, 120]);
    expect(value(2).ready.map(({ atMin }) => atMin)).toEqual([60, 70]);
  });
  test('a circle is told and the rest is planned; unknown names are refused', () => {
    const plan = planned({
      sessions: EVENING,
      tasks: [
        task('a', 5, { after: ['b'] }),
        task('b', 5, { after: ['a'] }),
        task('c', 5, { after: ['b'] }),
        task('d', 5),
      ],
    });
    expect(plan.verdict).toBe('partial');
    expect(plan.unplanned.map(({ task: id, why }) => `${id}: ${why}`)).toEqual([
      expect.stringMatching(/^a: a circle: /),
      expect.stringMatching(/^b: a circle: /),
      'c: it comes after “b”, which is not planned',
    ]);
    const refused = answer(planSessions, {
      sessions: [{ fromMin: 10, toMin: 5 }],
      tasks: [task('a', 5, { after: ['nobody'], uses: ['nothing'] })],
    });
    expect(refused.ok ? [] : refused.errors.map(({ path }) => path)).toEqual([
      'sessions.0.toMin',
      'tasks.0.after.0',
      'tasks.0.uses.0',
    ]);
  });
  test('dirty work of a session goes before clean work, where nothing is out later for it', () => {
    const sessions = [...EVENING, { fromMin: 1000, toMin: 1100 }];
    const wash = task('wash', 20, { dirty: true });
    const later = task('fit', 60, { after: ['cables', 'wash'], earliestMin: 1000 });
    for (const tasks of [
      [task('cables', 30), wash, later],
      [wash, task('cables', 30), later],
    ]) {
      const plan = planned({ sessions, tasks });
      expect([at(plan, 'wash'), at(plan, 'cables')]).toEqual([0, 20]);
    }
    // A bicycle that is out sooner goes before clean hands.
    const sooner = planned({ sessions: EVENING, tasks: [task('cables', 10), { ...wash, bicycle: 'b' }] });
    expect([at(sooner, 'cables'), at(sooner, 'wash')]).toEqual([0, 10]);
  });
  test('what is found on the way is a plan that keeps to all that was asked, each no worse than the one before', () => {
    const question = madeUpPlan(3, 24, 20);
    const heard: SessionPlan[] = [];
    const last = plannedSessions(question, (plan) => heard.push(plan));
    expect(heard.length).toBeGreaterThan(2);
    for (const plan of heard) expect(brokenBy(question, plan)).toEqual([]);
    const left = heard.map(({ value, unplanned }) => unplanned.length * 1e6 + value);
    expect(left).toEqual(left.toSorted((a, b) => b - a));
    expect(last.value).toBeLessThanOrEqual(heard.at(-1)!.value);
  });
  test('a pin is kept, or its task is told; where it was is free again', () => {
    const tasks = [task('first', 30), task('second', 30, { after: ['first'] }), task('third', 60)];
    const kept = planned({ sessions: EVENING, tasks, pinned: [{ task: 'second', fromMin: 90 }] });
    expect(at(kept, 'second')).toBe(90);
    expect(kept.verdict).toBe('complete');
    const lost = planned({ sessions: EVENING, tasks, pinned: [{ task: 'second', fromMin: 10 }] });
    expect(lost.unplanned).toEqual([{ task: 'second', why: 'what it comes after is not done where it is pinned' }]);
    expect([at(lost, 'first'), at(lost, 'third')].toSorted((x, y) => x! - y!)[0]).toBe(0);
  });
});

const minute = (max: number) => fc.integer({ min: 0, max });
/** Small questions of everything that there is: sessions with gaps, waits, tubs, pins, chains, what closes together. */
const anyQuestion = (most: number, span: number, splits: boolean, hands = 1) =>
  fc
    .record({
      gaps: fc.array(fc.tuple(fc.integer({ min: 0, max: span }), fc.integer({ min: 1, max: span })), {
        minLength: 1,
        maxLength: 3,
      }),
      tasks: fc.array(
        fc.record({
          bicycle: fc.constantFrom('a', 'b', 'c'),
          minutes: fc.integer({ min: 1, max: Math.max(2, Math.floor(span / 2)) }),
          afterBits: minute(255),
          waitMin: fc.oneof(fc.constant(0), minute(span)),
          tub: fc.constantFrom(0, 0, 1, 2),
          holdsWhileWaiting: fc.boolean(),
          splittable: splits ? fc.boolean() : fc.constant(false),
          earliestMin: fc.oneof(fc.constant(0), minute(span)),
          dirty: fc.boolean(),
          maxWaitMin: fc.option(minute(span * 2), { nil: undefined, freq: 4 }),
          closes: fc.integer({ min: 0, max: 9 }),
          pin: fc.option(minute(span * 2), { nil: undefined, freq: 8 }),
        }),
        { minLength: 1, maxLength: most },
      ),
      objective: fc.constantFrom('bicycles-out-soonest' as const, 'all-done-soonest' as const),
      hands: fc.integer({ min: 1, max: hands }),
      whose: fc.array(fc.integer({ min: 0, max: 2 }), { minLength: 3, maxLength: 3 }),
    })
    .map(({ gaps, tasks, objective, hands: there, whose }): PlanQuestion => {
      let now = 0;
      const sessions = gaps.map(([gap, length]) => {
        const fromMin = now + gap;
        now = fromMin + length;
        return { fromMin, toMin: now };
      });
      // One comes before the other goes, stays on alone, or both are there at once.
      const shared = sessions.flatMap(({ fromMin, toMin }, i) => {
        const middle = Math.floor((fromMin + toMin) / 2);
        if (there === 1 || whose[i] === 0) return [{ fromMin, toMin }];
        if (whose[i] === 1 || middle <= fromMin) return [{ fromMin, toMin, hand: 1 + (i % there) }];
        return [
          { fromMin, toMin, hand: 1 },
          { fromMin: middle, toMin, hand: 2 },
        ];
      });
      return planInput.parse({
        hands: there,
        sessions: shared,
        objective,
        resources: [
          { id: 'tub', count: 1 },
          { id: 'stands', count: 2 },
        ],
        tasks: tasks.map(({ afterBits, tub, closes, pin: _pin, maxWaitMin, ...each }, i) => ({
          ...each,
          id: `t${i}`,
          after: tasks.flatMap((_, k) => (k < i && (afterBits >> k) % 3 === 1 ? [`t${k}`] : [])),
          uses: tub === 0 ? [] : [tub === 1 ? 'tub' : 'stands'],
          ...(maxWaitMin !== undefined && { maxWaitMin }),
          ...(closes === 0 && i > 0 && { closeWith: [`t${i - 1}`] }),
        })),
        pinned: tasks.flatMap(({ pin }, i) => (pin === undefined ? [] : [{ task: `t${i}`, fromMin: pin }])),
      });
    });

describe('laws of a plan', () => {
  test('whatever is asked, a plan breaks nothing that it was asked, and no bound lies above it', () => {
    fc.assert(
      fc.property(fc.oneof(anyQuestion(7, 30, true), anyQuestion(7, 30, true, 3)), (question) => {
        const plan = planned(question);
        expect(brokenBy(question, plan)).toEqual([]);
        expect(plan.lowerBound).toBeLessThanOrEqual(plan.value + 1e-9);
      }),
      { numRuns: runs(6000, 300) },
    );
  });
  test('what is proven is as good as trying every minute for every task', () => {
    fc.assert(
      fc.property(anyQuestion(3, 7, false), (question) => {
        const plan = planned(question);
        const best = byBruteForce(question);
        // A pin that can be kept is kept, also where letting go of it would leave something else sooner.
        if (question.pinned.length > 0 && plan.unplanned.length > 0) return;
        const bicycles = new Set(question.tasks.map(({ bicycle }) => bicycle)).size;
        expect({
          unready: bicycles - plan.ready.length,
          unplanned: plan.unplanned.length,
          value: plan.value,
          proven: plan.proven,
        }).toEqual({ ...best, proven: true });
        if (best.unready === 0) {
          const problem = compiled(question);
          expect(
            lowerBound(
              problem,
              problem.bicycles.map((_, b) => b),
            ).value,
          ).toBeLessThanOrEqual(best.value + 1e-9);
        }
      }),
      { numRuns: runs(3000, 200) },
    );
  });
  test('a plan of before is kept where nothing better is found', () => {
    fc.assert(
      fc.property(anyQuestion(8, 40, false), (question) => {
        const first = planned(question);
        const again = planned({
          ...question,
          before: first.plan.map(({ task: id, fromMin }) => ({ task: id, fromMin })),
        });
        expect(again.value).toBeLessThanOrEqual(first.value + 1e-9);
        if (first.verdict === 'complete') expect(again.plan).toEqual(first.plan);
      }),
      { numRuns: runs(100, 30) },
    );
  });
});

describe('several pairs of hands', () => {
  const two = { hands: 2, sessions: EVENING };
  test('two work at once; one task is never shared out, and what comes after waits', () => {
    const plan = planned({
      ...two,
      tasks: [task('long', 60), task('short', 30, { bicycle: 'b' }), task('last', 20, { after: ['long'] })],
    });
    expect(plan.ready).toEqual([
      { bicycle: 'b', atMin: 30 },
      { bicycle: 'a', atMin: 80 },
    ]);
    expect(plan).toMatchObject({ proven: true, verdict: 'complete' });
    expect(new Set(plan.plan.slice(0, 2).map(({ hand }) => hand)).size).toBe(2);
  });
  test('who is not there does nothing: a task fits into one person’s time, not into two that meet', () => {
    const sessions = [
      { fromMin: 0, toMin: 60, hand: 1 },
      { fromMin: 60, toMin: 130, hand: 2 },
    ];
    const plan = planned({ hands: 2, sessions, tasks: [task('wheel', 70), task('hub', 50)] });
    expect(plan.plan).toEqual([
      { task: 'hub', fromMin: 0, toMin: 50, hand: 1 },
      { task: 'wheel', fromMin: 60, toMin: 130, hand: 2 },
    ]);
    expect(planned({ hands: 2, sessions, tasks: [task('wheel', 80)] }).unplanned[0]!.why).toContain(
      'the longest session has 70',
    );
  });
  test('there is one stand, however many hands', () => {
    const tasks = ['x', 'y'].map((id) => task(id, 40, { bicycle: id, uses: ['stand'] }));
    expect(planned({ ...two, resources: [{ id: 'stand', count: 1 }], tasks }).ready.map(({ atMin }) => atMin)).toEqual([
      40, 80,
    ]);
  });
  test('two are pinned at one moment, a third is not', () => {
    const tasks = ['x', 'y', 'z'].map((id) => task(id, 40, { bicycle: id }));
    const plan = planned({ ...two, tasks, pinned: tasks.map(({ id }) => ({ task: id, fromMin: 20 })) });
    expect([at(plan, 'x'), at(plan, 'y'), at(plan, 'z')]).toEqual([20, 20, null]);
    expect(plan.unplanned[0]!.why).toContain('there are 2 pairs of hands');
  });
  test('whose sessions overlap is refused, and hands that there are not', () => {
    const said = answer(planSessions, {
      hands: 2,
      sessions: [
        { fromMin: 0, toMin: 60, hand: 1 },
        { fromMin: 30, toMin: 90, hand: 2 },
        { fromMin: 50, toMin: 90, hand: 1 },
        { fromMin: 95, toMin: 99, hand: 3 },
      ],
      tasks: [],
    });
    expect(said.ok ? [] : said.errors.map(({ path }) => path)).toEqual(['sessions.2.fromMin', 'sessions.3.hand']);
  });
  test('what is proven is as good as trying every minute and both hands for every task; no bound lies above the best', () => {
    fc.assert(
      fc.property(anyQuestion(3, 6, false, 2), (question) => {
        const plan = planned(question);
        const best = byBruteForce(question);
        if (question.pinned.length > 0 && plan.unplanned.length > 0) return;
        if (best.unready === 0) {
          const problem = compiled(question);
          expect(lowerBound(problem, [...problem.bicycles.keys()]).value).toBeLessThanOrEqual(best.value + 1e-9);
        }
        const bicycles = new Set(question.tasks.map(({ bicycle }) => bicycle)).size;
        const is = { unready: bicycles - plan.ready.length, unplanned: plan.unplanned.length, value: plan.value };
        if (plan.proven) expect(is).toEqual(best);
        expect(is.unready * 1e9 + is.unplanned * 1e6 + is.value).toBeGreaterThanOrEqual(
          best.unready * 1e9 + best.unplanned * 1e6 + best.value - 1e-6,
        );
      }),
      { numRuns: runs(1500, 120) },
    );
  });
});

describe('when it can be promised', () => {
  const question = {
    sessions: [{ fromMin: 0, toMin: 240 }],
    tasks: [task('cables', 30), task('chain', 20, { bicycle: 'b', after: ['cables'] })],
  };
  const promised = (ranges: object, more: object = {}) => {
    const plan = planned(question).plan.map(({ task: id, fromMin }) => ({ task: id, fromMin }));
    const said = answer(planPromise, { question, plan, ranges, draws: 500, ...more });
    if (!said.ok) throw new Error(JSON.stringify(said.errors));
    return Object.fromEntries(said.output.promises.map(({ bicycle, ...rest }) => [bicycle, rest]));
  };
  test('what is certain is promised to the minute; what is not, later, and the surer the later', () => {
    expect(promised({})).toMatchObject({ a: { byMin: 30, inTime: 1 }, b: { byMin: 50 } });
    const wide = { cables: { low: 20, likely: 30, high: 60 } };
    expect(promised(wide).a!.byMin!).toBeGreaterThan(35);
    expect(promised(wide, { chance: 0.95 }).a!.byMin!).toBeGreaterThan(promised(wide).a!.byMin!);
    // What comes after it is as uncertain.
    expect(promised(wide).b!.byMin!).toBeGreaterThan(55);
    expect(promised(wide).a!.middleMin!).toBeLessThan(promised(wide).a!.byMin!);
  });
  test('what the sessions do not reach is not promised', () => {
    const long = { cables: { low: 200, likely: 300, high: 600 } };
    expect(promised(long).a).toMatchObject({ byMin: null });
  });
  test('promises of four in five are kept as often, also where times are not of the plan’s ranges', () => {
    const all = Array.from({ length: runs(12, 4) }, (_, seed) => keptPromises(seed + 1));
    const kept = all.reduce((sum, each) => sum + each.kept, 0) / all.reduce((sum, each) => sum + each.of, 0);
    expect(kept).toBeGreaterThan(0.7);
    expect(kept).toBeLessThan(0.9);
  });
});
