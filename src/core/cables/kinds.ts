/** What is cut: an outer for an index shifter breaks where a brake is squeezed, and is no brake outer however long. */
export const CABLE_KINDS = ['brake-outer', 'index-outer', 'brake-inner', 'gear-inner', 'brake-hose'] as const;
export type CableKind = (typeof CABLE_KINDS)[number];

export const CABLE_WORDS: Record<CableKind, string> = {
  'brake-outer': 'brake outer',
  'index-outer': 'index outer',
  'brake-inner': 'brake inner',
  'gear-inner': 'gear inner',
  'brake-hose': 'brake hose',
};

/** Heads that an inner is held by: the pear of a drop lever, the barrel of a flat one, the small ones of shifters. */
export const CABLE_HEADS = ['pear', 'barrel', 'shifter'] as const;
export type CableHead = (typeof CABLE_HEADS)[number];
