/** The key of a leaf: the names that lead to it, joined by strokes. Example: `observations/o1`, `trays/hub.front/assembly`. */
export type LeafKey = string;

/** A name within a key, whatever stands in it. */
const written = (name: string) => name.replaceAll('%', '%25').replaceAll('/', '%2F');

/** The key that a path has. The last name stands as it is. Example: `['trays', 'a/b', 'order']` → `trays/a%2Fb/order`. */
export const keyOf = (path: readonly string[]): LeafKey =>
  [...path.slice(0, -1).map(written), ...path.slice(-1)].join('/');

/** The leaf of a bearing's field. Example: `bearingLeaf('hub.front', 'after')` is `bearings/hub.front/after`. */
export const bearingLeaf = (place: string, ...field: string[]): LeafKey => keyOf(['bearings', place, ...field]);
