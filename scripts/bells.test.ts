import { existsSync } from 'node:fs';
import { cloneTree } from './clone';
import { strayed, touchedBy, type Touched } from './touched';

// In a tree that has it already, as a clone has that is tried whole, it cannot be put in once more.
const once = existsSync('src/core/bells') ? test.skip : test;

once(
  'a made-up subject touches one folder a layer and one line a list, and its types hold',
  () => {
    const clone = cloneTree();
    try {
      expect(clone.run('git', 'apply', 'tests/fixtures/bells.patch')).toMatchObject({ ok: true, said: '' });
      const touched = touchedBy(clone);
      expect(strayed(touched)).toEqual([]);
      expect(touched.filter(({ isNew }) => !isNew).map(({ file }) => file)).toEqual([
        'src/core/subjects.ts',
        'src/features/subjects.ts',
        'src/model/migrate/steps.ts',
        'src/model/subjects.ts',
        'src/model/version.ts',
        'src/worker/subjects.ts',
      ]);
      expect(clone.run('npm', 'run', '-s', 'data').ok).toBe(true);
      expect(clone.run('node', 'node_modules/typescript/bin/tsc', '--noEmit')).toMatchObject({ ok: true, said: '' });
    } finally {
      clone.remove();
    }
  },
  120_000,
);

test('a second folder of a layer, or a second line of a list, is told', () => {
  const at = (file: string, isNew: boolean, added: number): Touched => ({ file, isNew, added, removed: 0 });
  expect(
    strayed([
      at('src/core/bells/a.ts', true, 9),
      at('src/core/bells/data/b.ts', true, 9),
      at('src/core/strip/c.ts', true, 9),
      at('src/model/subjects.ts', false, 2),
    ]),
  ).toEqual(['2 folders of src/core: src/core/bells, src/core/strip', '2 lines of src/model/subjects.ts']);
});
