/** `npm run bare`: the built application is served from a folder that has only the packages that ship, and asked for everything. */
import { spawn, spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, packages, stop } from './setup.mjs';
import { builtPages } from './weights.mjs';

const PORT = 4743;

await packages();
await build();
const folder = mkdtempSync(join(tmpdir(), 'ergasto-bare-'));
let server;
try {
  for (const path of ['package.json', 'package-lock.json', 'next.config.ts', 'scripts', '.next'])
    cpSync(path, join(folder, path), { recursive: true, force: true, filter: (from) => !from.includes('.next/cache') });
  const installed = spawnSync('npm', ['ci', '--omit=dev', '--no-audit', '--no-fund'], {
    cwd: folder,
    encoding: 'utf8',
  });
  if (installed.status !== 0) stop(`The packages that ship could not be installed.\n${installed.stderr}`);
  server = spawn(process.execPath, ['scripts/server.mjs', String(PORT)], {
    cwd: folder,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const ask = (path, how) => fetch(`http://127.0.0.1:${PORT}${path}`, how);
  for (let tries = 0; tries < 80; tries++) {
    if (
      await ask('/').then(
        ({ ok }) => ok,
        () => false,
      )
    )
      break;
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  const wrong = [];
  for (const { path } of builtPages().filter(({ path: each }) => !each.startsWith('/_')))
    if (!(await ask(path)).ok) wrong.push(path);
  const question = JSON.stringify({ fastener: 'pedal', side: 'left', action: 'loosen' });
  const answer = await ask('/api/reckon/strip.turn', {
    method: 'POST',
    body: question,
    headers: { 'content-type': 'application/json' },
  });
  if ((await answer.json()).hand !== 'left') wrong.push('/api/reckon/strip.turn');
  if (!(await ask('/serwist/sw.js')).ok) wrong.push('/serwist/sw.js');
  if (wrong.length > 0) stop(`Without the packages of development these do not answer: ${wrong.join(', ')}`);
  console.log('Every page and a calculator answer with the packages that ship and no other.');
} finally {
  server?.kill();
  rmSync(folder, { recursive: true, force: true });
}
