import type { BicycleKind } from '@/core/bicycle';
import type { Check } from '@/core/inspect/check';
import type { Evidence } from '@/core/inspect/evidence';

/** What takes evidence down for a check is given. */
export interface EvidenceProps {
  check: Check;
  kind: BicycleKind;
  seen: Evidence;
  errors: { path: string; message: string }[];
  note(changes: Evidence): void;
}

/** What was refused at one of these paths, or null. */
export function errorAt(errors: EvidenceProps['errors'], ...paths: string[]): string | null {
  return errors.find((error) => paths.includes(error.path))?.message ?? null;
}
