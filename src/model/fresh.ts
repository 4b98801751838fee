import { bicycleKind, type BicycleKind } from '@/core/bicycle';
import { SCHEMA_VERSION, type Bicycle, type Parts } from './record';
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
