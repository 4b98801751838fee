/** The stamp of what stands since before anybody kept stamps: any other is later. */
export const LAST = '1970-01-01T00:00:00.000Z before';

/** What two entered without knowing of each other outside of a bicycle, or took more of than was there: asked once, of whoever is there. */
export type ShareQuestion =
  | { is: 'differs'; record: string; leaf: string; kept: unknown; others: unknown[] }
  /** More was taken out of the drawer than lay in it. */
  | { is: 'short'; item: string; label: string; by: number };
