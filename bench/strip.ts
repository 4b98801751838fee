import type { Page } from '@playwright/test';
import { answer } from '@/core/calculator';
import { cartridges } from '@/core/bearings/data/cartridges';
import { bearingsIdentifyCartridge } from '@/core/bearings/identifyCartridge';
import { cleanPlan, type CleanPlanInput } from '@/core/clean/plan';
import { MATERIALS, SOILS } from '@/core/clean/ways';
import { identifyMatch } from '@/core/identify/match';
import { uniformStream } from '@/core/money/streams';
import { frameGaps, watchFrames } from './frames';

/** A part that no cleaning table refuses outright, drawn at random. */
export function randomWash(parts: number, seed: number): CleanPlanInput {
  const next = uniformStream(seed, 'wash');
  const materials = [...MATERIALS];
  const pick = <Row>(rows: readonly Row[]) => rows[Math.floor(next() * rows.length)]!;
  return {
    parts: Array.from({ length: parts }, (_, i) => ({
      id: `p${i}`,
      // Two in three are steel of some kind, as they are on a bench.
      materials: [
        next() < 0.66 ? pick(['plain steel', 'hardened or spring steel', 'stainless steel']) : pick(materials),
      ],
      soil: pick(SOILS),
      volumeMl: Math.round(5 + 400 * next() ** 2),
    })),
    baths: [
      { id: 'hot', process: 'hot ultrasonic, water-based degreaser', capacityMl: 2500 },
      { id: 'cold', process: 'cold ultrasonic, water-based degreaser', capacityMl: 2500 },
      { id: 'acid', process: 'white vinegar soak', capacityMl: 1500 },
    ],
  };
}

/** Loads and the volume bound of many random washes. */
export function washLoads(runs: number): { loads: number; bound: number } {
  let loads = 0;
  let bound = 0;
  for (let seed = 1; seed <= runs; seed++) {
    const planned = answer(cleanPlan, randomWash(60, seed));
    if (!planned.ok) throw new Error(JSON.stringify(planned.errors));
    loads += planned.output.loads.length;
    bound += planned.output.volumeBound;
  }
  return { loads, bound };
}

export function plan(seed: number): void {
  answer(cleanPlan, randomWash(60, seed));
}

export function identify(): void {
  answer(identifyMatch, { kind: 'bottom-bracket', readings: { diameterMm: 35.02, pitchMm: 1 } });
}

/** Share of right first choices over the whole cartridge table, each measured with a noisy caliper. */
export function cartridgeShare(noiseMm: number, times: number): { share: number; counted: number; level: number } {
  const next = uniformStream(11, 'caliper');
  const noise = () => noiseMm * Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());
  const size = (each: (typeof cartridges)[number]) => `${each.boreMm} ${each.odMm} ${each.widthMm}`;
  const sizes = cartridges.map(size);
  const single = cartridges.filter((each) => sizes.filter((other) => other === size(each)).length === 1);
  let right = 0;
  for (const each of single)
    for (let i = 0; i < times; i++) {
      const found = answer(bearingsIdentifyCartridge, {
        boreMm: each.boreMm + noise(),
        odMm: each.odMm + noise(),
        widthMm: each.widthMm + noise(),
      });
      if (found.ok && found.output.candidates[0]!.code === each.code) right += 1;
    }
  return { share: right / (single.length * times), counted: single.length, level: cartridges.length - single.length };
}

/** Frames while a part is dragged through a tray of forty. */
export async function dragTray(page: Page, address: string): Promise<number[]> {
  await page.setViewportSize({ width: 1280, height: 2600 });
  await page.goto(`${address}/bike?id=ferry-staff-7&stage=strip&tray=frame`, { waitUntil: 'networkidle' });
  for (let i = 0; i < 40; i++) {
    await page.getByRole('button', { name: 'One more part' }).click();
    await page.getByRole('textbox', { name: 'A part that is not in the list' }).fill(`Bolt ${i + 1}`);
    await page.keyboard.press('Enter');
    await page.getByRole('button', { name: 'One more part' }).waitFor();
  }
  const handle = page.getByRole('button', { name: 'Move Bolt 3', exact: true });
  await handle.scrollIntoViewIfNeeded();
  const box = (await handle.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 12);
  await watchFrames(page);
  const from = Date.now();
  for (let i = 0; Date.now() - from < 2500; i++) {
    await page.mouse.move(box.x + box.width / 2, box.y + 300 + 260 * Math.sin(i / 22));
    await page.waitForTimeout(8);
  }
  const gaps = await frameGaps(page);
  await page.mouse.up();
  return gaps;
}
