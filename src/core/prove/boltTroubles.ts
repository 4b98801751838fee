import { atLeast } from '../numbers';
import type { ReadyQuestion } from './readyInput';

/** Everything that may be wrong with a bolt's signature. */
export type BoltTrouble =
  'part-out' | 'unsigned' | 'reopened' | 'torque' | 'wrench-asked' | 'hold-test' | 'second-eyes';

export type ChangeKind = ReadyQuestion['changes'][number]['kind'];

/** When something was last done to a bolt or a place; −∞ for never. */
export interface LastChanges {
  set(bolt: string): number;
  at(kinds: ChangeKind[], places: string[]): number;
}

/** The changes by bolt and place, so that many bolts ask of many changes at once. */
export function lastChanges(changes: ReadyQuestion['changes']): LastChanges {
  const last = new Map<string, number>();
  const keyOf = (kind: ChangeKind, of: string) => `${kind} ${of}`;
  for (const { kind, bolt, place, at } of changes) {
    const key = keyOf(kind, kind === 'set' ? (bolt ?? '') : place);
    last.set(key, Math.max(last.get(key) ?? -Infinity, Date.parse(at)));
  }
  const when = (kind: ChangeKind, of: string) => last.get(keyOf(kind, of)) ?? -Infinity;
  return {
    set: (bolt) => when('set', bolt),
    at: (kinds, places) => Math.max(-Infinity, ...kinds.flatMap((kind) => places.map((of) => when(kind, of)))),
  };
}

/**
 * What keeps a bolt from being signed as the law asks: each as kind and words; none where it counts as signed. At a limit
 * counts as inside. Units: N·m.
 */
export function boltTroubles(
  bolt: ReadyQuestion['bolts'][number],
  rules: ReadyQuestion['rules'],
  last: LastChanges,
): [BoltTrouble, string][] {
  const { id, label, place, signed, minNm, maxNm } = bolt;
  if (bolt.partOut) return [['part-out', `${label}: its part is not back in`]];
  if (!signed) return [['unsigned', `${label}: not signed`]];
  const since = Date.parse(signed.at);
  const later = last.set(id) > since || last.at(['off', 'renewed'], [place]) > since;
  if (later) return [['reopened', `${label}: worked on since it was signed`]];
  const told: [BoltTrouble, string][] = [];
  const { how, valueNm, holdTest, by } = signed;
  if (how === 'wrench') {
    const inside =
      (minNm === null || (valueNm !== null && atLeast(valueNm, minNm))) &&
      (maxNm === null || (valueNm !== null && atLeast(maxNm, valueNm)));
    if (!inside)
      told.push([
        'torque',
        `${label}: ${valueNm ?? 'no'} N·m by wrench, and its band is ${minNm ?? 0} to ${maxNm ?? '…'} N·m`,
      ]);
  } else {
    // A lever or a catch has no figure that a wrench could show.
    if (bolt.wrenchAsked || (rules.wrenchEverywhere && maxNm !== null))
      told.push(['wrench-asked', `${label}: by feel, where the wrench is asked for`]);
    if (!holdTest) told.push(['hold-test', `${label}: by feel, and its hold was not tried`]);
  }
  if (wantsSecondEyes(bolt, by, rules))
    told.push(['second-eyes', `${label}: signed by whoever did it; another person signs it too`]);
  return told;
}

/** Whether another person has to sign as well. */
export function wantsSecondEyes(
  { second, doneBy }: { second: boolean; doneBy?: string | undefined },
  by: string | undefined,
  rules: ReadyQuestion['rules'],
): boolean {
  return rules.secondEyes && second && (doneBy === undefined || doneBy === by);
}
