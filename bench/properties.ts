/** The long properties, as often as a patient person asks: a thousand lives of two tabs, a thousand damaged files, every calculator. */
import { spawnSync } from 'node:child_process';
import { line } from './line';

const FILES = ['src/store', 'src/model/merge', 'src/core/contract', 'src/core/strip', 'src/core/clean'];

export function measureProperties(): void {
  for (const file of FILES) {
    const from = Date.now();
    const { stderr, status } = spawnSync(process.execPath, ['node_modules/jest/bin/jest.js', file], {
      env: { ...process.env, PATIENT: '1' },
      encoding: 'utf8',
    });
    const counted = /^Tests:\s+(.*)$/m.exec(stderr)?.[1] ?? 'nothing was counted';
    line(
      `properties a thousand times, ${file}`,
      counted,
      `${status === 0 ? 'held' : 'BROKEN'}, ${Math.round((Date.now() - from) / 1000)} s`,
    );
  }
}
