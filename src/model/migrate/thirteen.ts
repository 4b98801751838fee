import type { Raw } from './stored';

/** From version 12 to 13: the steps of a brake became those of everything that is set up. */

const asRaw = (value: unknown): Raw => (typeof value === 'object' && value !== null ? (value as Raw) : {});
const OLD = 'brakeSteps/';
const leafOf = (leaf: unknown): string => {
  const name = String(leaf);
  return name.startsWith(OLD) ? `setSteps/${name.slice(OLD.length)}` : name;
};

const renamed = (changes: unknown): unknown =>
  Array.isArray(changes) ? changes.map((change: Raw) => ({ ...change, leaf: leafOf(change.leaf) })) : changes;

/** A record of version 12 as version 13 has it. */
export function toThirteen({ brakeSteps, ...old }: Raw): Raw {
  return {
    ...old,
    setSteps: asRaw(brakeSteps),
    setFigures: {},
    rimMetals: {},
    teeth: {},
    driveFigures: {},
    driveFamilies: {},
    shiftRounds: [],
    wheelBuilds: {},
    wheelReadings: [],
    wheelRounds: [],
    nipples: {},
    stamps: Object.fromEntries(Object.entries(asRaw(old.stamps)).map(([leaf, stamp]) => [leafOf(leaf), stamp])),
    conflicts: renamed(old.conflicts),
  };
}

/** How a row of the history was written by version 12, as today reads it. */
export function historyOfThirteen(history: unknown): unknown {
  if (!Array.isArray(history)) return history;
  return history.map((row: Raw) => ({ ...row, changes: renamed(row.changes) }));
}

/** A command as version 12 wrote it to the journal, as today reads it. */
export function commandOfThirteen(command: unknown): unknown {
  const { type, ...rest } = asRaw(command);
  if (type === 'setBrakeStep') return { ...rest, type: 'setUpStep' };
  if (type === 'amend') return { ...rest, type, changes: renamed(rest.changes) };
  return command;
}
