import { expect, test } from '@playwright/test';
import { writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pluck, stiffHz } from '@/core/practice/pluck';
import { openDemo } from './bench';

const RATE = 48_000;
const TENSIONS = [500, 700, 900, 650, 800, 1000];
const OF = { freeLengthMm: 180, spokeDiameterMm: 2 };

/** Six made-up spokes plucked one after the other, as a sound file of sixteen bits that the browser takes for its microphone. */
function soundFile(): string {
  const quiet = Array.from({ length: RATE }, (_, i) => 0.003 * Math.sin(i * 12.9898) ** 3);
  const sounds = TENSIONS.flatMap((tensionN, i) => [
    ...pluck({ ...OF, tensionN, sampleRate: RATE, seconds: 1.2, noise: 0.004, seed: i + 1 }),
  ]);
  const samples = [...quiet, ...sounds];
  const file = Buffer.alloc(44 + 2 * samples.length);
  file.write('RIFF', 0);
  file.writeUInt32LE(36 + 2 * samples.length, 4);
  file.write('WAVEfmt ', 8);
  file.writeUInt32LE(16, 16);
  file.writeUInt16LE(1, 20);
  file.writeUInt16LE(1, 22);
  file.writeUInt32LE(RATE, 24);
  file.writeUInt32LE(2 * RATE, 28);
  file.writeUInt16LE(2, 32);
  file.writeUInt16LE(16, 34);
  file.write('data', 36);
  file.writeUInt32LE(2 * samples.length, 40);
  samples.forEach((each, i) =>
    file.writeInt16LE(Math.round(Math.max(-1, Math.min(1, 0.7 * each)) * 32_767), 44 + 2 * i),
  );
  const path = join(tmpdir(), 'plucked-spokes.wav');
  writeFileSync(path, file);
  return path;
}

test.use({
  launchOptions: {
    executablePath: process.env.CHROMIUM_PATH ?? '/usr/bin/chromium-headless-shell',
    args: [
      '--no-sandbox',
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-audio-capture=${soundFile()}`,
    ],
  },
});

test('plucked spokes are heard through the microphone, one after the other; nothing is sent', async ({ page }) => {
  test.slow();
  const sent: string[] = [];
  await openDemo(page, '/bike?id=green-tourer&stage=rebuild&tray=rim.rear');
  await page.getByRole('button', { name: 'So it is built' }).click();
  await page.getByRole('button', { name: /^Spin it past/ }).click();
  await page.getByText('Tension by tone').click();
  const which = page.getByRole('status', { name: 'Which spoke' });
  await expect(which).toContainText('Spoke 1');
  page.on('request', (request) => {
    if (request.method() !== 'GET') sent.push(request.url());
  });
  await page.getByRole('button', { name: 'Listen' }).click();
  await expect(page.getByText('Listening: pluck it.')).toBeVisible();
  // The file goes round and round: six are enough, wherever in it the first was heard.
  await expect(page.getByText(/^([6-9]|\d\d) of 36 heard/)).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Stop listening' }).click();
  const heard: number[] = [];
  for (let spoke = 0; spoke < 6; spoke++) {
    await page.getByRole('button', { name: 'Back one' }).click();
    heard.push(Number((await which.textContent())!.match(/: ([\d.]+) Hz/)![1]));
  }
  const known = TENSIONS.map((tensionN) => stiffHz({ ...OF, tensionN }));
  for (const hz of heard) expect(Math.min(...known.map((each) => Math.abs(hz / each - 1)))).toBeLessThan(0.03);
  // In the order that they were plucked in.
  const order = heard.toReversed().map((hz) => known.findIndex((each) => Math.abs(hz / each - 1) < 0.03));
  for (let i = 1; i < order.length; i++) expect(order[i]).toBe((order[i - 1]! + 1) % known.length);
  expect(sent).toEqual([]);
});
