/** `npm test`: lint and types, unit and browser tests, each step with its time; the last line counts all suites. */
import { readFileSync } from 'node:fs';
import { build, chromium, packages, step } from './setup.mjs';

const from = Date.now();
const [, browser] = await Promise.all([packages(), chromium()]);

const counted = { passed: 0, failed: 0, skipped: 0 };

/** Processor seconds of everything that was started and has ended, where the system tells them. */
function processorWords() {
  try {
    // After the name in brackets: user and system time of this process, then of its children, in hundredths.
    const fields = readFileSync('/proc/self/stat', 'utf8')
      .replace(/^.*\) /, '')
      .split(' ')
      .map(Number);
    const seconds = (fields[11] + fields[12] + fields[13] + fields[14]) / 100;
    return `, ${Math.round(seconds)} s of processor time`;
  } catch {
    return '';
  }
}

/** A step that is one check in itself. */
async function check(name, args) {
  const { code } = await step(name, process.execPath, args, { goOn: true });
  counted[code === 0 ? 'passed' : 'failed']++;
}

/** Adds what a runner counted; a runner that failed without counting a failure counts as one. */
function add({ code, printed }, passed, failed, skipped) {
  const number = (pattern) => Number(pattern.exec(printed)?.[1] ?? 0);
  const failures = number(failed);
  const passes = number(passed);
  counted.passed += passes;
  counted.failed += failures || (code === 0 && passes > 0 ? 0 : 1);
  counted.skipped += number(skipped);
}

// Neither needs the other, nor fills both cores by itself; what is timed comes after them.
const [built] = await Promise.all([build({ goOn: true }), check('lint and types', ['node_modules/oxlint/bin/oxlint'])]);
add(
  await step('unit tests', process.execPath, ['node_modules/jest/bin/jest.js', '--ci'], { goOn: true }),
  /^Tests:.*?(\d+) passed/m,
  /^Tests:.*?(\d+) failed/m,
  /^Tests:.*?(\d+) skipped/m,
);
if (built)
  add(
    await step('browser tests', process.execPath, ['node_modules/@playwright/test/cli.js', 'test'], {
      goOn: true,
      env: { CHROMIUM_PATH: browser },
    }),
    /^\s*(\d+) passed/m,
    /^\s*(\d+) failed/m,
    /^\s*(\d+) skipped/m,
  );
else counted.failed++;

console.log(`\nAll of it took ${Math.round((Date.now() - from) / 1000)} s${processorWords()}.`);
console.log(
  `${counted.passed} passed, ${counted.failed} failed${counted.skipped ? `, ${counted.skipped} skipped` : ''}`,
);
process.exit(counted.failed === 0 ? 0 : 1);
