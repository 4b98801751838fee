import { execFileSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { SUBJECTS } from '../src/features/allSubjects';
import { STAGES } from '../src/model/stages';
import { BENCH_TASKS } from '../src/model/work/part';
import { tables } from './tables.mjs';

const read = (file: string) => readFileSync(file, 'utf8');
/** Folders of a layer that hold a file. */
const foldersWith = (layer: string, file: string) =>
  readdirSync(layer, { withFileTypes: true })
    .filter((entry) => entry.isDirectory() && existsSync(`${layer}/${entry.name}/${file}`))
    .map((entry) => entry.name)
    .sort();
const named = (file: string, line: RegExp) => [...read(file).matchAll(line)].map(([, name]) => name!).sort();

describe('every list is complete', () => {
  test('each subject of the core that has calculators stands in its list, and in the worker’s', () => {
    const subjects = foldersWith('src/core', 'calculators.ts');
    expect(named('src/core/subjects.ts', /export \* as (\w+) from '\.\/\1\/calculators'/g)).toEqual(subjects);
    expect(named('src/worker/subjects.ts', /^ {2}(\w+): \(\) => import\('@\/core\/\1\/calculators'\)/gm)).toEqual(
      subjects,
    );
  });

  test('each calculator stands in the list of its subject', () => {
    for (const subject of foldersWith('src/core', 'calculators.ts')) {
      const made = readdirSync(`src/core/${subject}`)
        .filter((file) => /\.ts$/.test(file) && !/\.test\.ts$/.test(file))
        .flatMap((file) => named(`src/core/${subject}/${file}`, /^export const (\w+) = defineCalculator\(/gm));
      const listed = named(`src/core/${subject}/calculators.ts`, /^ {2}(\w+),$/gm);
      const inline = /calculators = \[([\w, ]+)\] as const/.exec(read(`src/core/${subject}/calculators.ts`))?.[1];
      expect([subject, [...listed, ...(inline?.split(', ') ?? [])].sort()]).toEqual([subject, made.sort()]);
    }
  });

  test('each subject of the record stands in its list, and has a part, commands and an empty part', () => {
    const subjects = foldersWith('src/model', 'subject.ts');
    expect(named('src/model/subjects.ts', /export \* as (\w+) from '\.\/\1\/subject'/g)).toEqual(subjects);
    expect(foldersWith('src/model', 'part.ts')).toEqual(subjects);
    expect(foldersWith('src/model', 'commands.ts')).toEqual(subjects);
  });

  test('each subject that declares itself to the pages stands in their list, and every stage and task is declared once', () => {
    const listed = named('src/features/subjects.ts', /export \{ \w+ \} from '\.\/([\w-]+)\/declared'/g);
    expect(listed).toEqual(foldersWith('src/features', 'declared.ts').filter((name) => name !== 'workshop'));
    expect(SUBJECTS.flatMap(({ stage }) => stage?.id ?? []).sort()).toEqual([...STAGES].sort());
    expect(SUBJECTS.flatMap(({ tasks }) => tasks?.map(({ id }) => id) ?? []).sort()).toEqual([...BENCH_TASKS].sort());
    for (const { stage } of SUBJECTS) if (stage) expect(BENCH_TASKS).toContain(stage.bench.task);
  });

  test('each task of the bench has somebody who gives it steps', () => {
    for (const task of BENCH_TASKS)
      expect([task, SUBJECTS.some(({ bench }) => bench?.[task] !== undefined)]).toEqual([task, true]);
  });

  test('each table is read by its subject', () => {
    for (const { json } of tables()) {
      const [, subject, file] = /^src\/core\/(\w+)\/data\/(\w+\.json)$/.exec(json)!;
      const folder = `src/core/${subject}`;
      const readers = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter(
        (path) => path.endsWith('.ts') && read(`${folder}/${path}`).includes(file!),
      );
      expect([json, readers.length > 0]).toEqual([json, true]);
    }
  });
});

describe('what is told of the house is there', () => {
  const docs = ['docs/developers.md', ...readdirSync('docs/decisions').map((file) => `docs/decisions/${file}`)];
  const tree = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], { encoding: 'utf8' }).split('\n');
  /** A path as a text names it: from the root, from `src`, or from a layer of it; `<subject>` and `*` stand for any name. */
  const isThere = (path: string) => {
    const name = path.replaceAll('.', '\\.').replace(/<[^>]+>|\*/g, '[^/]+');
    const found = new RegExp(`^(src/|src/core/|src/model/|src/features/)?${name}$`);
    return tree.some((file) => found.test(file));
  };

  test.each(docs)('%s names no file that is not there', (doc) => {
    const paths = [...read(doc).matchAll(/`([\w*<>-]+(?:\/[\w.*<>-]+)*\.(?:ts|tsx|json|csv|mjs|patch))`/g)].map(
      ([, path]) => path!,
    );
    expect(paths.filter((path) => path.includes('/') && !isThere(path))).toEqual([]);
  });

  test('each decision is linked from the page for developers', () => {
    const linked = new Set(named('docs/developers.md', /\]\(decisions\/([\w-]+\.md)\)/g));
    expect([...linked]).toEqual(readdirSync('docs/decisions').sort());
  });
});
