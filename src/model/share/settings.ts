import { produce } from 'immer';
import { own } from '@/core/own';
import { putLeaves } from '../leafChanges';
import { leafTree } from '../leafTree';
import { same } from '../same';
import { settingLeaves } from '../settings/settingLeaves';
import { workshopSettings, type WorkshopSettings } from '../settings/settings';
import { USUAL_SETTINGS } from '../settings/usual';
import { LAST } from './question';
import type { Entered, Replica } from './replica';

export const SETTINGS = 'settings';

/** Lists whose rows change one by one among several hands: two who each add somebody both have added somebody. */
const LISTS = ['people', 'baths', 'week', 'ownSessions'] as const;
type ListName = (typeof LISTS)[number];
interface Placed {
  /** Where it stands among the others, as it was put there. */
  at: number;
  row: { id: string };
}

/** Of two changes the later stands without a question: a pin or a calendar is put again in a moment, and a round was played. */
const LATER_STANDS = ['pins', 'busy', 'practice', 'cancelled'];

const tree = leafTree(workshopSettings);
const headOf = (leaf: string): string => leaf.split('/')[0]!;
const isList = (head: string): head is ListName => LISTS.some((each) => each === head);
const placedIn = (value: unknown): Placed | null => (value === null ? null : (value as Placed));

/** Whether somebody is asked where two changed it without knowing of each other. */
export const isAskedOfSettings = (leaf: string): boolean => !LATER_STANDS.includes(headOf(leaf));

/** The leaf under which the settings keep the moment of one that the folder knows. Example: `people/ada` → `people`. */
export const stampLeafOf = (leaf: string): string => (isList(headOf(leaf)) ? headOf(leaf) : leaf);

/** Every setting by the leaf that the folder knows it by; rows of the lists each by their own. */
function sharedLeaves(settings: WorkshopSettings): Map<string, unknown> {
  return new Map(
    [...settingLeaves(settings)].flatMap(([leaf, value]) =>
      isList(leaf)
        ? (value as Placed['row'][]).map((row): [string, unknown] => [`${leaf}/${row.id}`, row])
        : [[leaf, value] as [string, unknown]],
    ),
  );
}

/** Where a row stands: where it was put, else behind all that are known. */
function placeFor(list: ListName, leaf: string, replica: Replica): () => number {
  const usual = USUAL_SETTINGS[list].findIndex(({ id }) => leaf === `${list}/${id}`);
  const known = placedIn(replica.value(SETTINGS, leaf))?.at ?? (usual < 0 ? null : usual);
  if (known !== null) return () => known;
  return () =>
    replica
      .leavesOf(SETTINGS)
      .filter((each) => headOf(each.leaf) === list)
      .reduce((most, { value }) => Math.max(most, placedIn(value)?.at ?? 0), USUAL_SETTINGS[list].length) + 1;
}

/** What somebody changed in the settings, as it goes to the others; of settings that nobody touched nothing is told. */
export function enteredInSettings(
  before: WorkshopSettings | null,
  after: WorkshopSettings,
  replica: Replica,
): Entered[] {
  const [was, is] = [sharedLeaves(before ?? USUAL_SETTINGS), sharedLeaves(after)];
  let added = 0;
  return [...new Set([...was.keys(), ...is.keys()])].flatMap((leaf): Entered[] => {
    const value = is.get(leaf);
    const head = headOf(leaf);
    const stamp = own(after.stamps, stampLeafOf(leaf)) ?? LAST;
    // Whoever chose what is usual has chosen it.
    const isChosen = stamp !== LAST && !isList(head) && replica.standing(SETTINGS, leaf).length === 0;
    if (same(was.get(leaf), value) && !isChosen) return [];
    if (!isList(head) || value === undefined) return [{ record: SETTINGS, leaf, value: value ?? null, stamp }];
    const isNew = !was.has(leaf);
    return [
      {
        record: SETTINGS,
        leaf,
        value: { at: placeFor(head, leaf, replica)() + (isNew ? added++ : 0), row: value },
        stamp,
      },
    ];
  });
}

/** A list as the folder's files make it, over the usual one. */
function listOf(list: ListName, told: ReadonlyMap<string, unknown>): Placed['row'][] {
  const rows = new Map<string, Placed>(USUAL_SETTINGS[list].map((row, at) => [`${list}/${row.id}`, { at, row }]));
  for (const [leaf, value] of told) {
    if (headOf(leaf) !== list) continue;
    const placed = placedIn(value);
    if (placed) rows.set(leaf, placed);
    else rows.delete(leaf);
  }
  return [...rows].toSorted(([a, x], [b, y]) => x.at - y.at || (a < b ? -1 : 1)).map(([, { row }]) => row);
}

/** Settings as a folder's files make them: the usual ones with what anybody changed. Null where nobody did. */
export function settingsOf(replica: Replica): WorkshopSettings | null {
  const leaves = replica.leavesOf(SETTINGS);
  if (leaves.length === 0) return null;
  const told = new Map(leaves.map(({ leaf, value }) => [leaf, value]));
  const stamps: Record<string, string> = {};
  for (const { leaf, stamp } of leaves) {
    const head = stampLeafOf(leaf);
    if (stamp !== LAST && stamp > (own(stamps, head) ?? '')) stamps[head] = stamp;
  }
  return produce(USUAL_SETTINGS, (draft) => {
    putLeaves(
      tree,
      draft,
      [...told].filter(([leaf]) => !isList(headOf(leaf))),
    );
    const lists = Object.fromEntries(LISTS.map((list) => [list, listOf(list, told)]));
    Object.assign(draft, lists, { stamps });
  });
}
