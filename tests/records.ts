import { applyCommand, type Command } from '@/model/commands';
import { newBicycle } from '@/model/fresh';
import type { Bicycle } from '@/model/record';
import type { StockItem } from '@/model/stock/item';

export const AT = '2026-11-25T10:00:00.000Z';

/** A new bicycle after these commands. */
export function after(...commands: Command[]): Bicycle {
  return commands.reduce(
    (bicycle, step, i) => applyCommand(bicycle, { id: `c${i}`, bicycle: 'b', at: AT, command: step }),
    newBicycle('b', AT, 'Green tourer'),
  );
}

/** An observation of one check, as a command. */
export const seen = (id: string, check: string, evidence: object): Command => ({
  type: 'addObservation',
  observation: { id, check, at: AT, evidence, note: '', seenAs: 'bought' as const, withdrawn: false },
});

/** Something in the drawer: two new brake pads, but for what is told. */
export const inDrawer = (id: string, changes: Partial<StockItem> = {}): StockItem => ({
  id,
  label: 'Brake pads',
  place: 'pads.front',
  size: '',
  state: 'new',
  from: '',
  bicycle: null,
  quantity: 2,
  worth: 0,
  cost: 500,
  at: AT,
  goneAt: null,
  ...changes,
});
