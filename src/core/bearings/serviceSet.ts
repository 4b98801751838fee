import * as z from 'zod/mini';
import { answer, defineCalculator } from '../calculator';
import { bearingsServiceDue, type ServiceDue } from './serviceDue';

const input = z.strictObject({
  bearings: z
    .array(
      z.strictObject({ place: z.string().check(z.minLength(1), z.maxLength(64)), question: bearingsServiceDue.input }),
    )
    .check(z.maxLength(40)),
});

/**
 * When each bearing of a bicycle is due, the soonest first. Errors: as `bearings.serviceDue`. Source: rules of thumb.
 * Example: a jet-washed hub and a dry headset → the hub first.
 */
export const bearingsServiceSet = defineCalculator({
  id: 'bearings.serviceSet',
  title: 'When the bearings of a bicycle are due again',
  example: {
    bearings: [
      {
        place: 'hub.front',
        question: {
          place: 'hub.front',
          kind: 'cup-and-cone',
          lastServiced: '2026-11-27',
          use: 'wet',
          hoursPerWeek: 5,
          grease: 'standard',
          seal: 'good',
          jetWashed: true,
        },
      },
    ],
  },
  input,
  run({ bearings }): { due: (ServiceDue & { place: string })[] } {
    const due = bearings.flatMap(({ place, question }) => {
      const asked = answer(bearingsServiceDue, question);
      return asked.ok ? [{ place, ...asked.output }] : [];
    });
    return { due: due.sort((a, b) => (a.dueOn < b.dueOn ? -1 : a.dueOn > b.dueOn ? 1 : 0)) };
  },
});
