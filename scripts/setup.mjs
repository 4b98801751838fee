/** What `npm run demo` and `npm test` share: installing what is missing, and running steps with their times. No dependencies. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, rmSync, statSync } from 'node:fs';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));
export const PORT = 4730;
export const NEXT = 'node_modules/next/dist/bin/next';
const ENV = { ...process.env, NEXT_TELEMETRY_DISABLED: '1' };

/** Stops with a sentence instead of a stack. */
export function stop(sentence) {
  console.error(`\n${sentence}`);
  process.exit(1);
}

/** Runs a command to its end, its output shown as it comes; gives exit code and all that was printed. */
export function run(command, args, { env = {}, quiet = false } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, env: { ...ENV, ...env }, stdio: ['ignore', 'pipe', 'pipe'] });
    let printed = '';
    for (const [from, to] of [
      [child.stdout, process.stdout],
      [child.stderr, process.stderr],
    ]) {
      from.on('data', (chunk) => {
        printed += chunk;
        if (!quiet) to.write(chunk);
      });
    }
    child.on('error', (error) => resolve({ code: 1, printed: String(error) }));
    child.on('close', (code) => resolve({ code: code ?? 1, printed }));
  });
}

/** A step by name, with the time it took; stops at a failure unless told to go on. */
export async function step(name, command, args, { goOn = false, ...options } = {}) {
  const from = Date.now();
  console.log(`— ${name}`);
  const result = await run(command, args, options);
  // What ran beside another step is told in one piece; of what went well the end is enough.
  if (options.quiet)
    console.log(result.code === 0 ? result.printed.trimEnd().split('\n').slice(-8).join('\n') : result.printed);
  console.log(`— ${name}: ${result.code === 0 ? 'done' : 'FAILED'} in ${Math.round((Date.now() - from) / 1000)} s`);
  if (result.code !== 0 && !goOn) stop(`${name} failed; what it printed stands above.`);
  return result;
}

/** Installs the packages when the lock file is newer than what is installed, and makes the tables whose sources have changed. */
export async function packages() {
  const [major] = process.versions.node.split('.').map(Number);
  if (major < 20) stop(`Node 20 or newer is needed; this is ${process.versions.node}.`);
  const installed = `${ROOT}/node_modules/.package-lock.json`;
  const fresh = existsSync(installed) && statSync(installed).mtimeMs >= statSync(`${ROOT}/package-lock.json`).mtimeMs;
  if (!fresh) await step('packages', 'npm', ['ci', '--no-audit', '--no-fund'], { quiet: true });
  const { makeTables } = await import('./tables.mjs');
  await makeTables();
}

/**
 * The browser of the tests: the one named in CHROMIUM_PATH, else Debian's Chromium without a window, installed when it is missing.
 * It is a fifth quicker than the one with a window, which readies menus and bars that nobody sees for every test.
 */
export async function chromium() {
  const path = process.env.CHROMIUM_PATH ?? '/usr/bin/chromium-headless-shell';
  if (existsSync(path)) return path;
  if (process.env.CHROMIUM_PATH) stop(`CHROMIUM_PATH names ${path}, and there is no file.`);
  if (process.getuid?.() !== 0)
    stop('Chromium is missing. As root: apt-get install chromium-headless-shell; or name one in CHROMIUM_PATH.');
  await step('package lists', 'apt-get', ['update'], { quiet: true });
  await step('Chromium', 'apt-get', ['install', '-y', '--no-install-recommends', 'chromium-headless-shell'], {
    quiet: true,
    env: { DEBIAN_FRONTEND: 'noninteractive' },
  });
  return path;
}

/** Builds when there is no build or a source is newer than it. Gives whether there is a build; stops without one unless told to go on. */
export async function build({ goOn = false } = {}) {
  const stamp = `${ROOT}/.next/BUILD_ID`;
  const newest = spawnSync(
    'find',
    ['src', 'public', 'package-lock.json', 'next.config.ts', '-newer', stamp, '-print', '-quit'],
    { cwd: ROOT, encoding: 'utf8' },
  );
  if (existsSync(stamp) && newest.stdout?.trim() === '') return true;
  const { code } = await step('build', process.execPath, [NEXT, 'build'], { quiet: true, goOn });
  if (code !== 0) {
    return false;
  }
  try {
    const { writeHashes } = await import('./hashes.mjs');
    writeHashes();
    return true;
  } catch (error) {
    rmSync(stamp, { force: true });
    if (!goOn) stop(`The build was made and is not good: ${error.message}.`);
    console.error(error);
    return false;
  }
}

/** Starts the built application and waits until it answers. */
export async function serve(port) {
  const child = spawn(process.execPath, ['scripts/server.mjs', String(port)], {
    cwd: ROOT,
    env: { ...process.env, ...ENV },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  const address = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 120; tries++) {
    if (child.exitCode !== null) stop(`Ergasto could not start on port ${port}.`);
    try {
      if ((await fetch(address)).ok) return { child, address };
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 250));
    }
  }
  child.kill();
  return stop('Ergasto did not answer within half a minute.');
}
