import { applyCommand, type Command } from '@/model/commands';
import { newBicycle } from '@/model/fresh';
import type { Bicycle } from '@/model/record';

/** A bicycle with one rusty nut out, known not to be hardened, and new brake cables to fit. */
export function rustyBicycle(at: string): Bicycle {
  const part = { place: 'hub.front', part: 'axle-nut' };
  const none = { low: 0, likely: 0, high: 0 };
  const commands: Command[] = [
    { type: 'recordPurchase', paid: 4000, at },
    {
      type: 'decideJob',
      job: {
        id: 'cables',
        rule: null,
        title: 'New brake cables',
        place: 'cables.brake',
        minutes: { low: 20, likely: 30, high: 40 },
        parts: none,
        decision: 'keep',
        reason: '',
        done: false,
        approval: null,
        declined: null,
      },
    },
    { type: 'markStep', place: part.place, step: 'nuts', done: true, takes: [part.part] },
    { type: 'setSoil', ...part, soil: 'rust' },
    { type: 'sayHardened', ...part, hardened: false },
  ];
  return commands.reduce(
    (bicycle, command, i) => applyCommand(bicycle, { id: `c${i}`, bicycle: bicycle.id, at, command }),
    newBicycle('slip-mixte', at, 'Slip mixte'),
  );
}
