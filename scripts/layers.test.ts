import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';

/** Where a file stands, and what it imports or says. */
type Case = [path: string, code: string];

const REFUSED: Case[] = [
  ['src/core/a.ts', "export * from '@/model/record';"],
  ['src/core/a.ts', "export * from '../store/workshop';"],
  ['src/core/a.ts', "export * from 'react';"],
  ['src/core/a.ts', "export * from 'zod';"],
  ['src/core/a.ts', 'export const a = Math.random();'],
  ['src/core/a.ts', 'export const a = Date.now();'],
  ['src/core/a.ts', 'export const a = localStorage;'],
  ['src/model/a.ts', "export * from '@/store/workshop';"],
  ['src/model/a.ts', "export * from '@/core/registry';"],
  ['src/model/a.ts', "export * from '@/core/inspect/checks';"],
  ['src/sim/a.ts', "export * from '@/features/a';"],
  ['src/worker/a.ts', "export * from '@/model/record';"],
  ['src/store/a.ts', "export * from '@/ui/format';"],
  ['src/ui/a.tsx', "export * from '@/store/workshop';"],
  ['src/ui/a.tsx', "export * from '@/core/money/data/x';"],
  ['src/features/strip/a.tsx', "export * from '@/app/layout';"],
  ['src/features/strip/a.tsx', "export * from '@/core/reckon';"],
  ['src/features/strip/a.tsx', "export * from '@/core/subjects';"],
  ['src/features/strip/a.tsx', "export * from '@/core/strip/calculators';"],
  ['src/features/strip/a.tsx', "export * from '@/core/prove/proofs';"],
  ['src/app/page.tsx', "export * from '@/model/record';"],
  ['src/app/page.tsx', "export * from '@/core/registry';"],
  // No circle between subjects: each imports only those before it, and none what collects them.
  ['src/core/strip/a.ts', "export * from '../bearings/section';"],
  ['src/core/bearings/a.ts', "import type {} from '../identify/match';"],
  ['src/core/strip/a.ts', "export * from '../registry';"],
  ['src/core/a.ts', "export * from './strip/order';"],
  ['src/core/strip/a.ts', "export * from '../unheard/b';"],
  ['src/features/bike/a.tsx', "export * from '../strip/Strip';"],
  ['src/features/bench/a.tsx', "export const a = () => import('../overhaul/bench');"],
  ['src/features/strip/a.tsx', "export * from '../overhaul/Overhaul';"],
  ['src/features/strip/a.tsx', "export * from '../subjects';"],
  // What is shipped imports only what is installed with it.
  ['src/store/a.ts', "export * from 'fast-check';"],
];

const LET_THROUGH: Case[] = [
  [
    'src/features/strip/a.tsx',
    "export * from '@/core/units/a';\nexport * from '@/store/a';\nexport * from '../workshop/b';\nimport type {} from '@/core/questions';\nimport type {} from '@/core/prove/proofs';",
  ],
  ['src/app/api/route.ts', "export * from '@/core/registry';\nexport * from '@/worker/a';"],
  ['src/core/a.test.ts', 'export const a = Math.random();'],
  ['src/core/bearings/a.ts', "export * from '../strip/order';\nexport * from '../numbers';"],
  ['src/core/unheard/a.ts', "export * from '../prove/ready';"],
  ['src/features/subjects.ts', "export * from './strip/declared';"],
  ['src/store/a.ts', "export * from 'papaparse';"],
];

const folder = mkdtempSync(join(tmpdir(), 'layers-'));
afterAll(() => rmSync(folder, { recursive: true }));

/** Each case in a file of its own, beside the others of its folder; what collects keeps its name. */
function placed(cases: Case[], tag: string): { file: string; code: string }[] {
  return cases.map(([path, code], i) => ({
    file: path.startsWith('src/features/subjects') ? path : path.replace(/(\w+)(\.[a-z.]+)$/, `$1${tag}${i}$2`),
    code,
  }));
}

/** What the linter says of all of them, by file. */
function said(files: { file: string; code: string }[]): Map<string, string[]> {
  const config = JSON.parse(readFileSync('.oxlintrc.json', 'utf8')) as { jsPlugins: (string | { name: string })[] };
  const jsPlugins = config.jsPlugins.map((plugin) => (typeof plugin === 'string' ? resolve(plugin) : plugin));
  const bare = { ...config, jsPlugins, $schema: undefined, options: {} };
  writeFileSync(join(folder, '.oxlintrc.json'), JSON.stringify(bare));
  for (const shared of ['node_modules', 'package.json']) symlinkSync(resolve(shared), join(folder, shared));
  for (const { file, code } of files) {
    mkdirSync(dirname(join(folder, file)), { recursive: true });
    writeFileSync(join(folder, file), code);
  }
  const { stdout } = spawnSync('node', [resolve('node_modules/oxlint/bin/oxlint'), '-f', 'unix', 'src'], {
    cwd: folder,
    encoding: 'utf8',
  });
  const told = stdout.split('\n').filter((line) => /no-restricted|house\(order\)|no-extraneous/.test(line));
  return new Map(files.map(({ file }) => [file, told.filter((line) => line.startsWith(`${file}:`))]));
}

describe('imports point down the layers, and the linter says so', () => {
  const refused = placed(REFUSED, 'r');
  const through = placed(LET_THROUGH, 't');
  const told = said([...refused, ...through]);
  test.each(refused)('$file: $code is refused', ({ file }) => expect(told.get(file)).toHaveLength(1));
  test.each(through)('$file: what it may is let through', ({ file }) => expect(told.get(file)).toEqual([]));
});
