/**
 * `npm run bells`: a made-up subject (a field, two commands, a calculator with a table, a check of the look-over with its job,
 * a stage's note, signs on the drawing, a step of the bench, words at a place) is put into a clone of this tree, which then
 * goes through types, lint and the laws. Shows what it touches: one folder a layer and one line a list. `-- --whole` puts the
 * clone through the whole test command, its own browser tests among it.
 */
import { cloneTree } from './clone';
import { strayed, touchedBy } from './touched';

export const PATCH = 'tests/fixtures/bells.patch';

/** What a new subject has to stand: its own tests, and whatever walks all subjects. */
const LAWS = [
  'src/core/bells',
  'src/features/bells',
  'src/core/contract',
  'src/core/core.test',
  'src/core/golden',
  'src/model',
  'src/worker',
  'src/store/resilience',
  'scripts/lists',
  'scripts/layers',
];

const clone = cloneTree();
let broken = 0;
function step(name: string, command: string, ...args: string[]): void {
  const from = Date.now();
  const { ok, said, printed } = clone.run(command, ...args);
  console.log(`${ok ? 'ok    ' : 'BROKEN'} ${name} (${Math.round((Date.now() - from) / 1000)} s)`);
  if (!ok) console.log(said.split('\n').slice(-60).join('\n'));
  if (!ok || command === 'npm')
    console.log(
      printed
        .split('\n')
        .slice(ok ? -1 : -60)
        .join('\n'),
    );
  if (!ok) broken++;
}
try {
  step('the present version is laid down', 'npm', 'run', '-s', 'freeze');
  clone.git('add', '-A');
  clone.git('commit', '-qm', 'laid down');
  step('the patch applies', 'git', 'apply', PATCH);
  const touched = touchedBy(clone);
  for (const { file, isNew, added } of touched)
    console.log(`       ${isNew ? 'new' : added === 1 ? 'one line' : `${added} lines`}: ${file}`);
  for (const words of strayed(touched)) {
    console.log(`BROKEN touches ${words}`);
    broken++;
  }
  step('its table is made', 'npm', 'run', '-s', 'data');
  step('its questions are laid down', 'npm', 'run', '-s', 'golden');
  // The look-over has one check more: what it answers is laid down anew, as a commit of its own would say.
  step(
    'the look-over answers with it',
    'npm',
    'run',
    '-s',
    'golden',
    '--',
    '--renew',
    'inspect.lookOver',
    'inspect.checks',
  );
  step('the schema is published', 'npm', 'run', '-s', 'schema');
  clone.git('add', '-A');
  clone.git('commit', '-qm', 'bells');
  if (process.argv.includes('--whole')) {
    clone.withoutPackages();
    step('the whole test command', 'npm', '-s', 'test');
  } else {
    step('types', 'node', 'node_modules/typescript/bin/tsc', '--noEmit');
    step('lint', 'node', 'node_modules/oxlint/bin/oxlint');
    step('the laws', 'node', 'node_modules/jest/bin/jest.js', ...LAWS);
  }
} finally {
  clone.remove();
}
console.log(broken === 0 ? 'One folder a layer, one line a list, and every law holds.' : `${broken} broken.`);
process.exitCode = broken === 0 ? 0 : 1;
