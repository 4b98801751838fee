import { bicycleKind, type BicycleKind } from '@/core/bicycle';
import type { Bicycle, Parts } from './record';
import { SCHEMA_VERSION } from './version';
import * as subjects from './subjects';

/** A bicycle that nobody has looked at yet. `id` and `at` come in, since the model has no clock and no dice. */
export function newBicycle(id: string, at: string, name: string, kind: Partial<BicycleKind> = {}): Bicycle {
  const parts = Object.assign({}, ...Object.values(subjects).map(({ fresh }) => fresh())) as Parts;
  return {
    schemaVersion: SCHEMA_VERSION,
    id,
    revision: 0,
    createdAt: at,
    updatedAt: at,
    recent: [],
    ...parts,
    name,
    kind: bicycleKind.parse(kind),
    conflicts: [],
    stamps: {},
    sharedAt: null,
  };
}
