import type { Database } from './database';
import type { Journal } from './journal';

export type StoreMessage =
  | { kind: 'bicycle'; id: string }
  | { kind: 'settings' }
  | { kind: 'stock' }
  /** How much has not been exported has changed. */
  | { kind: 'count' }
  /** Many records were written at once; how the taking in stands is read again too. */
  | { kind: 'all' };

/** What the store needs from its surroundings; injected, so that tests run two of them side by side. */
export interface Surroundings {
  database: Database;
  journal: Journal;
  channel: { post(message: StoreMessage): void; listen(heard: (message: StoreMessage) => void): () => void };
  locked<T>(name: string, work: () => Promise<T>): Promise<T>;
  /** Whether somebody holds a lock just now. */
  isLocked(name: string): Promise<boolean>;
  /** Keeps records of an older version as an export, before anything is raised to this one. */
  keepBefore(at: string): Promise<void>;
  now(): string;
  newId(): string;
}

/** The lock on one bicycle's record. */
export const lockOf = (id: string) => `bicycle:${id}`;
/** The lock of whoever takes a file in. */
export const INTAKE_LOCK = 'intake';
