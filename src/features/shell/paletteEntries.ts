import { own } from '@/core/own';
import type { BenchTask } from '@/model/work/part';
import { isBearing, placeLabel } from '@/core/vocabulary/vocabulary';
import type { Stage } from '@/model/stages';
import type { Summary } from '@/model/summary';
import { bicycleGeometry } from '@/core/drawing/bicycle';
import { taskHref } from '../plan/taskHref';
import { settingWays } from '../settings/settingWays';
import { WAYS } from '../top-bar/ways';
import { benchHref } from '../workshop/benchHref';
import { nextHref, stageHref } from '../workshop/stageLink';

export interface Entry {
  id: string;
  group: string;
  label: string;
  /** What it answers to besides. */
  words?: string;
  /** Shown before a letter is typed. */
  first?: boolean;
  to: string | (() => void);
}

/** How many are listed at once. */
export const MOST_LISTED = 60;

/** At which stages a place is gone to, and what that is called. */
const placeStages = (place: string): { stage: Stage; word: string }[] => [
  { stage: 'look-over', word: 'Look over' },
  { stage: 'strip', word: 'Tray' },
  ...(isBearing(place) ? [{ stage: 'overhaul' as const, word: 'Overhaul' }] : []),
  { stage: 'rebuild', word: 'Rebuild' },
];

function ofBicycle(
  row: Summary,
  stages: readonly { id: Stage; label: string }[],
  tasks: readonly { id: BenchTask; label: string }[],
): Entry[] {
  const group = row.name;
  return [
    ...stages.map(({ id, label }): Entry => ({
      id: `stage ${id}`,
      group,
      label,
      first: true,
      to: stageHref(row.id, id),
    })),
    ...tasks.map(({ id, label }): Entry => ({
      id: `bench ${id}`,
      group,
      label: `Bench: ${label}`,
      first: true,
      to: benchHref(row.id, id),
    })),
    ...Object.keys(bicycleGeometry(row.kind).spots).flatMap((place) =>
      placeStages(place).map(({ stage, word }): Entry => ({
        id: `place ${stage} ${place}`,
        group,
        label: `${word}: ${placeLabel(place)}`,
        to: nextHref(row.id, { stage, place }),
      })),
    ),
  ];
}

/** What is open on a bicycle that is not the one at hand. */
const openOn = ({ id, name, open }: Summary): Entry[] =>
  open.map((each) => ({
    id: `open ${id} ${each.id}`,
    group: name,
    label: each.label,
    words: each.kind === 'back' ? 'tray' : each.kind,
    to: taskHref({ kind: each.kind, bicycle: id, place: each.place }),
  }));

/** Everything that can be gone to, done or set, the nearest first. */
export function paletteEntries({
  here,
  summaries,
  stages,
  tasks,
  actions,
  onPage,
}: {
  here: string | null;
  summaries: Readonly<Record<string, Summary>>;
  stages: readonly { id: Stage; label: string }[];
  tasks: readonly { id: BenchTask; label: string }[];
  /** What can be done here and now. */
  actions: readonly { id: string; label: string; run(): void }[];
  /** Whatever can be pressed on the page as it stands. */
  onPage: readonly { id: string; label: string; run(): void }[];
}): Entry[] {
  const current = here === null ? undefined : own(summaries, here);
  const rows = Object.values(summaries);
  return [
    ...(current ? ofBicycle(current, stages, tasks) : []),
    ...actions.map(({ id, label, run }): Entry => ({ id: `action ${id}`, group: 'Do', label, first: true, to: run })),
    { id: 'floor', group: 'Rooms', label: 'The floor', first: true, to: '/' },
    ...WAYS.map(({ href, label }): Entry => ({ id: href, group: 'Rooms', label, first: true, to: href })),
    {
      id: 'folder',
      group: 'Rooms',
      label: 'Shared folder',
      words: 'several hands devices passphrase seal zip sync',
      to: '/records#folder',
    },
    ...rows.map((row): Entry => ({
      id: `bike ${row.id}`,
      group: 'Bicycles',
      label: row.name,
      words: row.note,
      first: true,
      to: stageHref(row.id, row.stage),
    })),
    ...onPage.map(({ id, label, run }): Entry => ({ id: `press ${id}`, group: 'On this page', label, to: run })),
    ...rows.filter(({ id }) => id !== here).flatMap(openOn),
    ...settingWays().map(({ id, title, words }): Entry => ({
      id: `setting ${id}`,
      group: 'House rules',
      label: title,
      words,
      to: `/settings#${id}`,
    })),
  ];
}
