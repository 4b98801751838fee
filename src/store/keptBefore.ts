import { SCHEMA_VERSION } from '@/model/version';

/** The setting under which the records lie as they were before the last raise. */
export const KEPT_BEFORE = `kept-before-${SCHEMA_VERSION}`;

export interface KeptBefore {
  at: string;
  version: number;
  bicycles: number;
  zip: Blob;
}
