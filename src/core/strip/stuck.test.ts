import { runs } from '../../../tests/runs';
import fc from 'fast-check';
import { answer } from '../calculator';
import { materials } from './data/materials';
import { stuckSteps } from './data/stuckSteps';
import { LEAVING_SHARE, stripStuck, type StuckInput } from './stuck';

const POST: StuckInput = {
  part: 'seat post',
  partMaterial: 'bare aluminium',
  aroundMaterial: 'plain steel',
  paintMatters: false,
  partValue: 1500,
  aroundValue: 20000,
  ratePerHour: 1500,
  tried: [],
};

function stuck(changes: Partial<StuckInput> = {}) {
  const result = answer(stripStuck, { ...POST, ...changes });
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output;
}

const HOT = ['hot-water', 'flame'];
const names = materials.map((row) => row.material);
const joint = fc.record({
  part: fc.constantFrom('seat post', 'quill stem', 'crank bolt', 'bottom bracket cup'),
  partMaterial: fc.constantFrom(...names),
  aroundMaterial: fc.constantFrom(...names),
  paintMatters: fc.boolean(),
  partValue: fc.integer({ min: 0, max: 40_000 }),
  aroundValue: fc.integer({ min: 0, max: 40_000 }),
  ratePerHour: fc.integer({ min: 0, max: 6000 }),
  tried: fc.array(
    fc.record({
      step: fc.constantFrom(...stuckSteps.map((step) => step.id)),
      soakMinutes: fc.integer({ min: 0, max: 600 }),
    }),
    { maxLength: 6 },
  ),
});

describe('what is never done to a stuck part', () => {
  test('no step that either material forbids, no heat near carbon, no flame near paint to keep', () => {
    fc.assert(
      fc.property(joint, (question) => {
        const { order, next } = stuck(question);
        for (const id of [...order, ...(next ? [next.step] : [])]) {
          const step = stuckSteps.find((each) => each.id === id)!;
          expect(step.forbiddenFor).not.toContain(question.partMaterial);
          expect(step.forbiddenFor).not.toContain(question.aroundMaterial);
          if (HOT.includes(id)) expect([question.partMaterial, question.aroundMaterial]).not.toContain('carbon');
          if (id === 'flame') expect(question.paintMatters).toBe(false);
        }
      }),
      { numRuns: runs(400) },
    );
  });

  test('aluminium in steel is cooled; steel in aluminium is warmed', () => {
    expect(stuck().order).toContain('cold');
    expect(stuck().order).not.toEqual(expect.arrayContaining(HOT.slice(0, 1)));
    const bolt = stuck({ partMaterial: 'plain steel', aroundMaterial: 'bare aluminium', partValue: 100 });
    expect(bolt.order).toContain('hot-water');
    expect(bolt.order).not.toContain('cold');
  });

  test('ammonia is for aluminium in steel, and never near brass or bronze', () => {
    expect(stuck().order).toContain('ammonia');
    for (const around of ['brass', 'bronze']) expect(stuck({ aroundMaterial: around }).order).not.toContain('ammonia');
  });
});

describe('what comes next, and when to stop', () => {
  test('a well seated tool before oil, oil and time before force, force before anything that destroys', () => {
    const { order } = stuck({ part: 'crank bolt', partMaterial: 'plain steel', aroundMaterial: 'plain steel' });
    const grades = order.map((id) => stuckSteps.find((step) => step.id === id)!.grade);
    expect(grades).toEqual([...grades].sort((a, b) => a - b));
    expect(order[0]).toBe('seat-tool');
  });

  test('a soak that was cut short is gone on with', () => {
    const { next } = stuck({
      tried: [
        { step: 'twist', soakMinutes: 0 },
        { step: 'penetrant', soakMinutes: 100 },
      ],
    });
    expect(next).toMatchObject({ step: 'penetrant', soakMinutes: 380 });
  });

  test('a quill is freed by four turns and a blow; nothing else has that step', () => {
    expect(stuck({ part: 'quill stem' }).order).toContain('wedge-blow');
    expect(stuck({ part: 'crank bolt' }).order).not.toContain('wedge-blow');
  });

  test('a worthless part in a worthless frame is left at once', () => {
    expect(stuck({ partValue: 50, aroundValue: 60, ratePerHour: 6000 })).toMatchObject({
      stop: true,
      next: null,
      order: [],
    });
  });

  test('the dearer the frame, the further one goes', () => {
    const cheap = stuck({ aroundValue: 3000 });
    const dear = stuck({ aroundValue: 60_000 });
    expect(dear.chanceFree).toBeGreaterThanOrEqual(cheap.chanceFree);
  });

  test('the plan is the cheapest of all that keep the order of grades (tried one by one)', () => {
    fc.assert(
      fc.property(joint, (question) => {
        const found = stuck(question);
        const leaving = Math.max(
          Math.min(question.partValue, question.aroundValue),
          LEAVING_SHARE * question.aroundValue,
        );
        expect(found.expectedCost).toBeLessThanOrEqual(Math.round(leaving) + 1);
        const cost = new Map(
          found.working
            .filter(({ symbol }) => symbol.startsWith('c('))
            .map((row) => [row.symbol.slice(2, -1), row.value]),
        );
        const chance = new Map(found.rungs.map((rung) => [rung.step, rung.chance]));
        // Walking the plan gives its cost again, and leaving any one rung out of it is no cheaper.
        const walk = (order: string[]) =>
          order.reduceRight((then, id) => cost.get(id)! + (1 - chance.get(id)!) * then, leaving);
        const whole = walk(found.order);
        expect(Math.abs(whole - found.expectedCost)).toBeLessThan(found.order.length + 2);
        // What another one has to wait for pays by what it opens.
        const needed = new Set(
          stuckSteps.flatMap((step) => (step.penetrant === 'dries' ? [step.id] : [step.afterStep])),
        );
        for (const id of found.order)
          if (!needed.has(id))
            expect(walk(found.order.filter((each) => each !== id))).toBeGreaterThan(whole - found.order.length - 2);
      }),
      { numRuns: runs(200) },
    );
  });

  test('a step that should not have been tried is said aloud', () => {
    const { reasons } = stuck({
      partMaterial: 'plain steel',
      aroundMaterial: 'carbon',
      tried: [{ step: 'flame', soakMinutes: 0 }],
    });
    expect(reasons.join(' ')).toMatch(/should not have been.*carbon/);
  });

  test('unknown materials and steps are refused by name', () => {
    const result = answer(stripStuck, { ...POST, partMaterial: 'cheese', tried: [{ step: 'wish', soakMinutes: 0 }] });
    expect(!result.ok && result.errors.map(({ path }) => path)).toEqual(['partMaterial', 'tried.0.step']);
  });
});
