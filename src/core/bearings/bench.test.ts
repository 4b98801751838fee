import { bicycleKind, type BicycleKind } from '../bicycle';
import { isCondition } from '../conditions';
import { answer } from '../calculator';
import { assemblyRows } from '../strip/data/templates';
import { assemblyAt } from '../strip/assembly';
import { bearingsBenches, overhaulSteps, type Benches } from './bench';
import { openSteps, type BearingBench } from './benchTypes';
import { benchRows, overhaulStepRows } from './data/benches';

const kind = (changes: Partial<BicycleKind> = {}) => bicycleKind.parse(changes);
function benches(changes: Partial<BicycleKind> = {}, chosen: Record<string, string> = {}): Benches {
  const asked = answer(bearingsBenches, { kind: kind(changes), chosen });
  if (!asked.ok) throw new Error(JSON.stringify(asked.errors));
  return asked.output;
}
const at = (place: string, changes: Partial<BicycleKind> = {}, chosen: Record<string, string> = {}): BearingBench =>
  benches(changes, chosen).benches.find((each) => each.place === place)!;
const stepAt = (bench: BearingBench, id: string) => bench.steps.findIndex((step) => step.id === id);

describe('the tables of bearings', () => {
  test('every bench is an assembly that comes apart, every step belongs to a bench, every condition can be asked', () => {
    const ids = new Set(assemblyRows.map((row) => row.id));
    const has = new Set(benchRows.map((row) => row.assembly));
    for (const id of has) expect(ids).toContain(id);
    for (const { assemblies, applies } of overhaulStepRows) {
      for (const id of assemblies) expect(has).toContain(id);
      if (applies) expect(isCondition(applies, Object.keys(bicycleKind.shape))).toBe(true);
    }
  });

  test('every kind of bearing that the trade meets has its bench', () => {
    const ids = benchRows.map((row) => row.assembly).join(' ');
    for (const word of [
      'hub-front',
      'freewheel',
      'freehub',
      'coaster',
      'rear-gear',
      'dynamo',
      'headset-threaded',
      'caged',
      'headset-threadless',
      'bb-cup-cone',
      'bb-cartridge',
      'bb-external',
      'bb-press-fit',
      'pedal-sleeve',
      'pedal-cup-cone',
      'pedal-sealed',
      'freehub-body',
      'freewheel-body',
      'pulleys',
      'linkage',
    ])
      expect(ids).toContain(word);
  });

  test('what is set has a thread, a tool, a drag and bands; what squeezes has an axle with metal in it', () => {
    for (const row of benchRows) {
      if (row.adjusts)
        for (const value of [row.pitchMm, row.lockMeanDeg, row.lockSdDeg, row.tickDeg, row.smoothDeg, row.toolMm])
          expect(value).not.toBeNull();
      if (row.skewer === 'yes') expect(row.axleMajorMm! - row.axleBoreMm!).toBeGreaterThan(3);
      if (row.kind === 'cup-and-cone')
        expect(assemblyAt(row.assembly, 'x').balls.length > 0 || row.leaveWhy !== null).toBe(true);
    }
  });
});

describe('the steps of an overhaul', () => {
  test.each(benchRows.map((row) => row.assembly))('%s: its steps stand in an order that can be worked', (assembly) => {
    const steps = overhaulSteps(assembly, kind({ brakes: 'disc' }), 'left');
    const done: string[] = [];
    expect(steps[0]!.id).toBe('feel');
    expect(steps.at(-1)!.id).toBe('after');
    for (const step of steps) {
      for (const id of step.after) expect(done).toContain(id);
      expect(openSteps(steps, done)).toContain(step);
      done.push(step.id);
    }
    expect(new Set(done).size).toBe(done.length);
    expect(openSteps(steps, done)).toEqual([]);
  });

  test('clean before it is looked at, looked at before grease, grease before balls, balls before it is set, set before lock', () => {
    for (const place of ['hub.front', 'hub.rear', 'bottom-bracket', 'headset', 'pedal.left']) {
      const bench = at(place);
      const order = ['feel', 'clean', 'look', 'grease', 'balls', 'adjust', 'lock', 'recheck', 'after'].map((id) =>
        stepAt(bench, id),
      );
      expect(order.every((index) => index >= 0)).toBe(true);
      expect([...order].sort((a, b) => a - b)).toEqual(order);
    }
  });

  test('a disc comes off or is bagged before grease comes near, and only where there is one', () => {
    expect(stepAt(at('hub.front', { brakes: 'disc' }), 'disc')).toBe(1);
    expect(stepAt(at('hub.front', { brakes: 'caliper' }), 'disc')).toBe(-1);
  });

  test('a retainer goes in with its bare balls to the cup; loose balls have no such step', () => {
    const caged = at('headset', {}, { headset: 'headset-threaded-caged' });
    expect(caged.steps.find((step) => step.id === 'cage')!.title).toMatch(/open side, balls bare, to the cup/);
    expect(caged.rows.every((row) => row.caged)).toBe(true);
    expect(stepAt(at('headset'), 'cage')).toBe(-1);
  });

  test('the washer of a sleeve pedal goes on with its convex side outwards, and the left pedal is left-handed in its crank', () => {
    const left = at('pedal.left');
    expect(left.steps.find((step) => step.id === 'washer')!.title).toMatch(/convex side outwards/);
    expect(left.steps.find((step) => step.id === 'pass')!.turn).toEqual({ fastener: 'pedal', side: 'left' });
    expect(at('pedal.right').steps.find((step) => step.id === 'pass')!.turn!.side).toBe('right');
  });

  test('pawls take thin grease, brake shoes the heat-proof kind, hubs the ordinary one', () => {
    expect(
      at('freehub', { chain: '11-speed' }, { freehub: 'freehub-body' }).steps.find((step) => step.id === 'grease')!
        .compound,
    ).toMatch(/thin/);
    const coaster = at('hub.rear', { gears: 'coaster' });
    expect(coaster.steps.find((step) => step.id === 'shoe-grease')!.compound).toMatch(/heat-proof/);
    expect(at('hub.front').steps.find((step) => step.id === 'grease')!.compound).toBe('bearing grease');
  });
});

describe('which bearing is what', () => {
  test('a coaster hub has three retainers, one of smaller balls, and no skewer', () => {
    const coaster = at('hub.rear', { gears: 'coaster' });
    expect(coaster.rows.map((row) => row.fractionIn).sort()).toEqual(['1/4', '1/4', '3/16']);
    expect(coaster.axle).toBeNull();
  });

  test('nuts squeeze nothing, a skewer does; a headset, a pedal and a bottom bracket have neither', () => {
    expect(at('hub.front', { wheels: 'quick-release' }).axle?.boreMm).toBeGreaterThan(0);
    expect(at('hub.front', { wheels: 'nutted' }).axle).toBeNull();
    for (const place of ['headset', 'pedal.left', 'bottom-bracket']) expect(at(place).axle).toBeNull();
  });

  test('gear and dynamo hubs are left shut, with the reason', () => {
    expect(at('hub.rear', { gears: 'hub' }).leaveWhy).toMatch(/left alone/);
    expect(at('hub.front', {}, { 'hub.front': 'hub-front-dynamo' }).leaveWhy).toMatch(/keeper/);
    expect(at('hub.front', {}, { 'hub.front': 'hub-front-dynamo' }).openable).toBe(false);
    expect(at('hub.front').leaveWhy).toBe('');
  });

  test('a headset stands upright; cups of a hub are pressed, those of a bottom bracket turned', () => {
    expect([at('headset').upright, at('hub.front').upright]).toEqual([true, false]);
    expect([at('hub.front').cupMake, at('bottom-bracket').cupMake]).toEqual(['pressed', 'turned']);
  });

  test('what is turned: cone, adjustable cup, top cap, preload cap, or nothing', () => {
    expect(at('hub.front').setting!.adjusts).toBe('cone');
    expect(at('headset').setting!.adjusts).toBe('adjustable-cup');
    expect(at('headset', { stem: 'threadless' }).setting!.adjusts).toBe('top-cap');
    expect(at('bottom-bracket', {}, { 'bottom-bracket': 'bb-external' }).setting!.adjusts).toBe('preload-cap');
    expect(at('bottom-bracket', {}, { 'bottom-bracket': 'bb-press-fit' }).setting).toBeNull();
  });

  test('a cap that is turned loosely bound takes larger turns than a cone, and drags less', () => {
    const cap = at('headset', { stem: 'threadless' }).setting!;
    const cone = at('hub.front').setting!;
    expect(cap.bands.smoothDeg).toBeGreaterThan(cone.bands.smoothDeg);
    expect(cap.lockShift.meanDeg).toBeLessThan(cone.lockShift.meanDeg);
  });
});
