import { bicycleKind, type BicycleKind } from '../bicycle';
import { ALIGNMENT_LINES } from '@/model/inspect/part';
import { inspectAlignment } from './alignment';
import { alignmentLines } from './data/alignmentLines';

const lines = (read: Record<string, number>, kind: Partial<BicycleKind> = {}) =>
  inspectAlignment.run(inspectAlignment.input.parse({ kind: bicycleKind.parse(kind), read })).lines;
const line = (id: string, offMm: number, kind: Partial<BicycleKind> = {}) =>
  lines({ [id]: offMm }, kind).find((each) => each.id === id)!;

describe('in line after a crash', () => {
  test('a string that differs by 2 mm is let pass, by 2.1 mm it is out', () => {
    expect(line('string', 2).verdict).toBe('in-line');
    expect(line('string', 2.1).verdict).toBe('out-of-line');
    expect(line('string', -5).verdict).toBe('out-of-line');
  });

  test('a reading of a line that nobody knows is refused, and never dropped', () => {
    expect(inspectAlignment.input.safeParse({ read: { string: 1 } }).success).toBe(true);
    expect(inspectAlignment.input.safeParse({ read: { strnig: 1 } }).success).toBe(false);
  });

  test('steel alone is set cold, and no further than steel takes', () => {
    expect(line('string', 5)).toMatchObject({ mayBeColdSet: true });
    expect(line('string', 20)).toMatchObject({ mayBeColdSet: false });
    for (const frameMaterial of ['aluminium', 'carbon', 'titanium'] as const)
      expect(line('string', 5, { frameMaterial })).toMatchObject({ verdict: 'out-of-line', mayBeColdSet: false });
    expect(line('fork', 3, { forkMaterial: 'carbon' }).mayBeColdSet).toBe(false);
    expect(line('fork', 3).mayBeColdSet).toBe(true);
  });

  test('a head tube that is twisted and a bent pedal thread are never set cold', () => {
    for (const id of ['head-tube', 'pedal-threads']) expect(line(id, 3).mayBeColdSet).toBe(false);
  });

  test('what was not measured is not in line', () => {
    for (const each of lines({})) expect(each.verdict).toBeNull();
  });

  test('a hanger is asked about where there is one', () => {
    expect(lines({}, { gears: 'hub' }).map(({ id }) => id)).not.toContain('hanger');
    expect(lines({}).map(({ id }) => id)).toContain('hanger');
  });

  test('the table has each line that a record speaks of, with its tolerance', () => {
    expect(alignmentLines.map(({ id }) => id).sort()).toEqual([...ALIGNMENT_LINES].sort());
    for (const { withinMm } of alignmentLines) expect(withinMm).toBeGreaterThan(0);
  });
});
