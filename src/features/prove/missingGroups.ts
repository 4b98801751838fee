import type { Missing, ReadyStage } from '@/core/prove/ready';

export interface MissingGroup {
  stage: ReadyStage;
  items: Missing[];
}

/** The order of the work. */
const ORDER: ReadyStage[] = ['look-over', 'decide', 'strip', 'clean', 'overhaul', 'rebuild', 'prove'];

/** What is missing, by the stage where it is put right, in the order of the work. */
export function missingGroups(items: Missing[]): MissingGroup[] {
  const groups = new Map<ReadyStage, Missing[]>();
  for (const item of items) groups.set(item.stage, [...(groups.get(item.stage) ?? []), item]);
  return ORDER.flatMap((stage) => {
    const own = groups.get(stage);
    return own ? [{ stage, items: own }] : [];
  });
}

export interface OpenLine {
  /** What is open, such as "not signed". */
  what: string;
  /** Of which: bolts, places, proofs by name. */
  of: string[];
}

/** What is open as few lines, for paper: what is alike stands together, in the order of the law. */
export function openLines(items: Missing[]): OpenLine[] {
  const lines = new Map<string, string[]>();
  for (const { words } of items) {
    const cut = words.indexOf(': ');
    const [label, what] = cut < 0 ? [words, ''] : [words.slice(0, cut), words.slice(cut + 2)];
    lines.set(what, [...(lines.get(what) ?? []), label]);
  }
  return [...lines].map(([what, of]) => ({ what, of }));
}
