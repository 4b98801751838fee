import * as z from 'zod/mini';
import { houseRules } from '../bearings/gradeRules';
import { bicycleKind } from '../bicycle';
import { answer } from '../calculator';
import { isCondition } from '../conditions';
import { checks } from '../inspect/checks';
import { placeLabel } from '../vocabulary/vocabulary';
import { setupFigures, setupJobs, setupSteps } from './data/setupSteps';
import { setupFacts } from './facts';
import { SET_BRAKES } from './kinds';
import { settingUp } from './steps';

type Asked = z.input<typeof settingUp.input>;
const setUp = (question: Asked = {}) => {
  const said = answer(settingUp, question);
  if (!said.ok) throw new Error(JSON.stringify(said));
  return said.output;
};
const ids = (question: Asked, place: string) =>
  setUp(question)
    .jobs.filter((job) => job.place === place)
    .flatMap(({ steps }) => steps.map(({ id }) => id));
const job = (question: Asked, id: string, place?: string) =>
  setUp(question).jobs.find((each) => each.job === id && (place === undefined || each.place === place));
const HYDRAULIC = { brakes: 'disc', frontActuation: 'hydraulic', rearActuation: 'hydraulic' } as const;

describe('the tables of setting-up', () => {
  const known = setupFacts(bicycleKind.parse({}), houseRules.parse({}), 'brake.front');

  test('every step is of a job and of its places, once, and every condition names what is known', () => {
    expect(new Set(setupSteps.map(({ id }) => id)).size).toBe(setupSteps.length);
    for (const step of setupSteps) {
      const of = setupJobs.find(({ id }) => id === step.job);
      expect([step.id, step.places.every((place) => of?.places.includes(place))]).toEqual([step.id, true]);
      expect([step.id, step.facts === null || isCondition(step.facts, Object.keys(known))]).toEqual([step.id, true]);
      for (const place of step.places) expect([step.id, placeLabel(place) === place]).toEqual([step.id, false]);
    }
  });

  test('every job has steps, and waits only for jobs that come before it', () => {
    setupJobs.forEach(({ id, after }, i) => {
      expect([id, setupSteps.some((step) => step.job === id)]).toEqual([id, true]);
      for (const before of after ?? []) expect(setupJobs.slice(0, i).map((each) => each.id)).toContain(before);
    });
  });

  test('every check that a step is read into is one of the look-over, and every figure is of a step', () => {
    const every = new Set(checks.map(({ id }) => id));
    for (const { id, check } of setupSteps)
      for (const each of check ?? []) expect([id, each, every.has(each)]).toEqual([id, each, true]);
    for (const { id, steps } of setupFigures)
      for (const step of steps) expect([id, setupSteps.some((each) => each.id === step)]).toEqual([id, true]);
  });

  test('every kind of brake has its setting-up', () => {
    for (const brake of SET_BRAKES)
      expect([
        brake,
        setupSteps.some(({ facts }) => facts !== null && new RegExp(`brake=[^;]*\\b${brake}\\b`).test(facts)),
      ]).toEqual([brake, true]);
  });
});

describe('fluids', () => {
  test('mineral and glycol are locked apart: neither is told while nobody has looked, and never both', () => {
    expect(setUp({ kind: HYDRAULIC }).asksFluid).toEqual(['brake.front', 'brake.rear']);
    expect(ids({ kind: HYDRAULIC }, 'brake.front').filter((id) => id.startsWith('bleed'))).toEqual([]);
    for (const [fluid, other] of [
      ['mineral', 'glycol'],
      ['glycol', 'mineral'],
    ] as const) {
      const told = ids({ kind: HYDRAULIC, fluids: { front: fluid } }, 'brake.front');
      expect(told).toContain(`bleed-${fluid}`);
      expect(told).not.toContain(`bleed-${other}`);
      // What is in the front one says nothing of the rear one.
      expect(ids({ kind: HYDRAULIC, fluids: { front: fluid } }, 'brake.rear').join()).not.toContain('bleed');
    }
    // A step that moves fluid is never told without knowing which.
    for (const step of setupSteps)
      if (step.job === 'bleed' || step.job === 'master') expect([step.id, step.fluid]).not.toEqual([step.id, null]);
  });

  test('the lever is never pulled with both pistons free, and the reservoir is relieved before they go back', () => {
    const told = ids({ kind: HYDRAULIC, fluids: { front: 'mineral' } }, 'brake.front');
    expect(told.indexOf('reservoir')).toBeLessThan(told.indexOf('pistons-back'));
    expect(setupSteps.find(({ id }) => id === 'piston-clean')?.stop).toContain('never pulled');
  });
});

describe('what a bicycle and a house ask', () => {
  test('a side pull is asked for both locknuts and six turns, into the check of its own end; a cantilever and a drum are not', () => {
    for (const end of ['front', 'rear'] as const) {
      const steps = job({ kind: { brakes: 'caliper' } }, 'set-brake', `brake.${end}`)!.steps;
      expect(steps.map(({ id }) => id)).toEqual(expect.arrayContaining(['locknuts', 'recess-turns']));
      expect(steps.find(({ id }) => id === 'recess-turns')!.check).toBe(`locknut-${end}`);
    }
    for (const brakes of ['cantilever', 'drum'] as const)
      expect(ids({ kind: { brakes } }, 'brake.front')).not.toContain('locknuts');
  });

  test('the rules of the house: toed or square, turn or hold, renewed or taken apart, drop or wax; drop levers always hold', () => {
    const kind = { brakes: 'cantilever', bars: 'flat' } as const;
    const front = (rules: Asked['rules'], of: Asked['kind'] = kind) => ids({ kind: of, rules }, 'brake.front');
    expect(front({ padToe: 'square' })).toEqual(expect.arrayContaining(['pads-square', 'lever-turns']));
    expect(front({ padToe: 'toed', leverGrip: 'hold' })).toEqual(expect.arrayContaining(['pads-toed', 'lever-holds']));
    expect(front({ leverGrip: 'turn' }, { ...kind, bars: 'drop' })).toContain('lever-holds');
    const master = (masterCylinder: 'rebuild' | 'renew') =>
      ids({ kind: HYDRAULIC, fluids: { front: 'mineral' }, rules: { masterCylinder } }, 'brake.front').filter((id) =>
        id.startsWith('master'),
      );
    expect(master('renew')).toEqual(['master-renewed']);
    expect(master('rebuild')).toContain('master-bore');
    expect(job({ rules: { chainLube: 'wax' } }, 'lubricate')!.steps.map(({ id }) => id)).toEqual(['lube-wax']);
    expect(job({}, 'lubricate')!.steps.map(({ id }) => id)).toEqual(['lube-drop']);
  });

  test('front and rear are asked by their own: a back-pedal bicycle has a side pull in front', () => {
    const kind = { brakes: 'back-pedal', gears: 'coaster' } as const;
    expect(ids({ kind }, 'brake.front')).toContain('recess-turns');
    expect(ids({ kind }, 'brake.rear')).toContain('coaster-bite');
    expect(ids({ kind }, 'brake.rear')).not.toContain('recess-turns');
  });

  test('a hub gear has its marks and no derailleur, a single chain its tightest spot, no cable is led where none is', () => {
    const hub = setUp({ kind: { gears: 'hub', chain: 'single-or-hub-gear' } }).jobs.map((each) => each.job);
    expect(hub).toEqual(expect.arrayContaining(['hub-gear', 'tension']));
    expect(hub).not.toEqual(expect.arrayContaining(['index']));
    const coaster = { gears: 'coaster', chain: 'single-or-hub-gear', ...HYDRAULIC, rearBrake: 'back-pedal' } as const;
    expect(setUp({ kind: coaster }).jobs.filter((each) => each.job === 'lead')).toEqual([]);
  });

  test('what is sprung is in jobs that nobody is asked for unasked, all air out first', () => {
    const kind = { fork: 'suspension', forkSpring: 'air', frame: 'full-suspension', rearShock: 'air' } as const;
    const sprung = setUp({ kind }).jobs.filter(({ place }) => place === 'fork' || place === 'linkage');
    expect(sprung.map((each) => each.job)).toEqual(['wipers', 'lowers-quick', 'lowers', 'bushes', 'pivots-one']);
    expect(sprung.every(({ asked }) => !asked)).toBe(true);
    for (const id of ['lowers-quick', 'lowers', 'bushes'])
      expect(sprung.find((each) => each.job === id)!.steps[0]!.label).toMatch(/^All air out/);
    expect(
      sprung.find((each) => each.job === 'lowers')!.steps.flatMap(({ figures }) => figures.map((f) => f.id)),
    ).toEqual(['pressure', 'oil-left', 'oil-right']);
    // A coil fork holds no air.
    expect(ids({ kind: { ...kind, forkSpring: 'coil' } }, 'fork').join()).not.toContain('air');
  });
});

describe('the order', () => {
  test('the front derailleur waits for torqued cranks, indexing for its cable and its chain', () => {
    expect(job({ facts: { torqued: false } }, 'hang-front')!.waits).toContain('tight, by the wrench');
    expect(job({ facts: { torqued: true } }, 'hang-front')!.waits).toBeNull();
    expect(job({}, 'index')!.waits).not.toBeNull();
    const before = setUp({})
      .jobs.filter(({ job: id }) => ['hang-rear', 'hang-front', 'join', 'lead'].includes(id))
      .flatMap(({ place, steps }) => steps.map(({ id }) => `${place}/${id}`));
    expect(job({ done: before }, 'index')!.waits).toBeNull();
    expect(job({ done: before.slice(1) }, 'join')!.waits).not.toBeNull();
  });

  test('what nobody touched is together: nothing waits for it', () => {
    expect(job({ touched: ['chain'] }, 'join')!.waits).toBeNull();
    expect(job({ touched: ['chain', 'derailleur.rear'] }, 'join')!.waits).toContain('both cages');
    // A fact is a fact, whoever touched what.
    expect(job({ touched: [], facts: { torqued: false } }, 'hang-front')!.waits).not.toBeNull();
  });

  test('nothing ever waits for something that waits for it, whatever the bicycle', () => {
    for (const kind of [{}, HYDRAULIC, { gears: 'hub' }, { gears: 'single', chain: 'single-or-hub-gear' }] as const) {
      const done: string[] = [];
      for (let round = 0; round < 40; round++) {
        const open = setUp({ kind, done }).jobs.filter((each) => each.asked && each.done < each.steps.length);
        if (open.length === 0) break;
        const next = open.find(({ waits }) => waits === null)!;
        expect(next).toBeDefined();
        done.push(...next.steps.map(({ id }) => `${next.place}/${id}`));
      }
      expect(setUp({ kind, done }).jobs.every((each) => !each.asked || each.done === each.steps.length)).toBe(true);
    }
  });
});

test('a fluid that there is not, and a bicycle that there is not, are refused', () => {
  expect(answer(settingUp, { fluids: { front: 'water' } })).toMatchObject({ ok: false });
  expect(answer(settingUp, { kind: { brakes: 'spoon' } })).toMatchObject({ ok: false });
});
