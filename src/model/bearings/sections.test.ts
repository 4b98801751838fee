import { bicycleKind, type BicycleKind } from '@/core/bicycle';
import { answer } from '@/core/calculator';
import { bearingsBenches, type Benches } from '@/core/bearings/bench';
import type { BearingBench } from '@/core/bearings/benchTypes';
import { bearingSection } from '@/core/bearings/section';
import { fitSection } from '@/core/bearings/sectionLabels';
import { sectionInput } from './questions';
import { newBearing } from './fresh';

/** Every bearing that is met on some bicycle. */
const benches = new Map<string, BearingBench>();
function ask(kind: BicycleKind, chosen: Record<string, string> = {}): Benches {
  const asked = answer(bearingsBenches, { kind, chosen });
  if (!asked.ok) throw new Error(JSON.stringify(asked.errors));
  return asked.output;
}
for (const gears of ['derailleur', 'coaster', 'hub', 'single'] as const)
  for (const cranks of ['square-taper', 'pinch-bolt', 'one-piece', 'cottered'] as const)
    for (const stem of ['quill', 'threadless'] as const) {
      const kind = bicycleKind.parse({ gears, cranks, stem, chain: gears === 'derailleur' ? '11-speed' : undefined });
      for (const [place, found] of Object.entries(ask(kind).choices))
        for (const { id } of found)
          if (!benches.has(id))
            benches.set(
              id,
              ask(kind, { [place]: id }).benches.find((bench) => bench.assembly === id)!,
            );
    }

const numbers = (d: string) =>
  [...d.matchAll(/[ML](-?[\d.e-]+),(-?[\d.e-]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);

test('all kinds that the trade meets are among them', () => {
  expect(benches.size).toBeGreaterThanOrEqual(23);
});

describe.each([...benches])('%s', (_, bench) => {
  const input = sectionInput(newBearing(bench.place), bench, { ballMm: null, playMm: 0.05, cameOut: [] });

  test.each([false, true])('is drawn whole, on a narrow sheet: %p', (stacked) => {
    const section = bearingSection({ ...input, stacked });
    expect(section.shapes.length).toBeGreaterThan(4);
    for (const { d } of section.shapes) {
      expect(d).not.toMatch(/NaN|Infinity/);
      for (const [x, y] of numbers(d)) {
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x).toBeLessThanOrEqual(section.widthMm);
        expect(y).toBeGreaterThanOrEqual(0);
        expect(y).toBeLessThanOrEqual(section.heightMm);
      }
    }
  });

  test('most of its names find room, and none stands off the sheet', () => {
    const section = bearingSection(input);
    const fitted = fitSection(section, { widePx: 626, tallPx: 320, textPx: 12.5, rowNamePx: 24 }, true);
    expect(fitted.labels.length).toBeGreaterThanOrEqual(Math.ceil(section.named.length * 0.6));
    for (const { label, x } of fitted.labels) {
      const half = (label.length * 0.54 * 12.5 * fitted.mmPerPx) / 2;
      if (!input.upright) {
        expect(x - half).toBeGreaterThanOrEqual(-1e-6);
        expect(x + half).toBeLessThanOrEqual(section.widthMm + 1e-6);
      } else expect(x - 2 * half).toBeGreaterThanOrEqual(-fitted.leftMm - 1e-6);
    }
  });

  test('where something is set it is at one of its rows, and what is turned there stands off by its play', () => {
    const { set } = input;
    expect(Boolean(set)).toBe(bench.setting !== null && bench.drawing.sets !== null);
    if (!set) return;
    expect(input.rows.map((row) => row.id)).toContain(set.row);
    const still = bearingSection({ ...input, set: { ...set, playMm: 0 } });
    const loose = bearingSection(input);
    const moved = loose.shapes.filter((shape, i) => shape.d !== still.shapes[i]!.d);
    expect(moved.length).toBeGreaterThan(0);
  });
});
