import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';

const folder = mkdtempSync(join(tmpdir(), 'layers-'));
afterAll(() => rmSync(folder, { recursive: true }));

interface Config {
  options: object;
}

/** What the linter says of one file that stands at `path`. */
function said(path: string, code: string): string[] {
  const config = JSON.parse(readFileSync('.oxlintrc.json', 'utf8')) as Config;
  const file = join(folder, path);
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(join(folder, '.oxlintrc.json'), JSON.stringify({ ...config, $schema: undefined, options: {} }));
  writeFileSync(file, code);
  const { stdout } = spawnSync('node', [resolve('node_modules/oxlint/bin/oxlint'), '-f', 'unix', path], {
    cwd: folder,
    encoding: 'utf8',
  });
  rmSync(file);
  return stdout.split('\n').filter((line) => line.includes('no-restricted'));
}

describe('imports point down the layers, and the linter says so', () => {
  test.each([
    ['src/core/a.ts', "export * from '@/model/record';"],
    ['src/core/a.ts', "export * from '../store/workshop';"],
    ['src/core/a.ts', "export * from 'react';"],
    ['src/core/a.ts', 'export const a = Math.random();'],
    ['src/core/a.ts', 'export const a = Date.now();'],
    ['src/core/a.ts', 'export const a = localStorage;'],
    ['src/model/a.ts', "export * from '@/store/workshop';"],
    ['src/model/a.ts', "export * from '@/core/registry';"],
    ['src/sim/a.ts', "export * from '@/features/a';"],
    ['src/worker/a.ts', "export * from '@/model/record';"],
    ['src/store/a.ts', "export * from '@/ui/format';"],
    ['src/ui/a.tsx', "export * from '@/store/workshop';"],
    ['src/ui/a.tsx', "export * from '@/core/money/data/x';"],
    ['src/features/a/a.tsx', "export * from '@/app/layout';"],
    ['src/features/a/a.tsx', "export * from '@/core/reckon';"],
    ['src/features/a/a.tsx', "export * from '@/core/subjects';"],
    ['src/features/a/a.tsx', "export * from '@/core/strip/calculators';"],
    ['src/app/page.tsx', "export * from '@/model/record';"],
    ['src/app/page.tsx', "export * from '@/core/registry';"],
  ])('%s: %s is refused', (path, code) => expect(said(path, code)).toHaveLength(1));

  test.each([
    [
      'src/features/a/a.tsx',
      "export * from '@/core/units/a';\nexport * from '@/store/a';\nexport * from '../b/b';\nimport type {} from '@/core/questions';",
    ],
    ['src/app/api/route.ts', "export * from '@/core/registry';\nexport * from '@/worker/a';"],
    ['src/core/a.test.ts', 'export const a = Math.random();'],
  ])('%s: what it may is let through', (path, code) => expect(said(path, code)).toEqual([]));
});
