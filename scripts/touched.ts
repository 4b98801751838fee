import type { Clone } from './clone';

export interface Touched {
  file: string;
  isNew: boolean;
  added: number;
  removed: number;
}

/** What a change touches, by file: what is new in it, and how many lines of the others. */
export function touchedBy(clone: Clone): Touched[] {
  clone.git('add', '-AN');
  const added = new Set(clone.git('diff', '--name-only', '--diff-filter=A').split('\n'));
  return clone
    .git('diff', '--numstat')
    .trim()
    .split('\n')
    .map((line) => line.split('\t'))
    .map(([plus, minus, file]) => ({
      file: file!,
      isNew: added.has(file!),
      added: Number(plus),
      removed: Number(minus),
    }));
}

/** The folder of a layer that a file belongs to. Example: `src/core/bells/data/bells.ts` → `src/core/bells`. */
const folderOf = (file: string) =>
  file
    .split('/')
    .slice(0, file.startsWith('src/') ? 3 : 1)
    .join('/');
const layerOf = (file: string) =>
  file
    .split('/')
    .slice(0, file.startsWith('src/') ? 2 : 1)
    .join('/');

/** What breaks the law that a new subject touches one folder a layer and one line a list. */
export function strayed(touched: Touched[]): string[] {
  const folders = new Map<string, Set<string>>();
  for (const { file, isNew } of touched)
    if (isNew) folders.set(layerOf(file), (folders.get(layerOf(file)) ?? new Set()).add(folderOf(file)));
  return [
    ...[...folders].flatMap(([layer, here]) =>
      here.size > 1 ? [`${here.size} folders of ${layer}: ${[...here].join(', ')}`] : [],
    ),
    ...touched.flatMap(({ file, isNew, added, removed }) =>
      !isNew && (added > 1 || removed > 1) ? [`${added} lines of ${file}`] : [],
    ),
  ];
}
