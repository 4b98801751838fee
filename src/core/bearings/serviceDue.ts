import * as z from 'zod/mini';
import { monthsLater } from '../days';
import { defineCalculator } from '../calculator';
import { floorForgiving, roundTo } from '../numbers';
import { row, type WorkingRow } from '../verdict';

const input = z.strictObject({
  place: z.string().check(z.minLength(1), z.maxLength(64)),
  kind: z.enum(['cup-and-cone', 'cartridge', 'bushing']),
  lastServiced: z.iso.date({ error: 'give a day as year-month-day, for example 2026-11-25' }),
  use: z.enum(['dry', 'mixed', 'wet']),
  hoursPerWeek: z.number().check(z.gte(0), z.lte(168)),
  grease: z.enum(['thick', 'standard', 'thin']),
  seal: z.enum(['good', 'poor']),
  jetWashed: z._default(z.boolean(), false),
  runOn: z._default(z.boolean(), false).check(z.describe('runs on with a pitted cup')),
});
type Question = z.output<typeof input>;
export type ServiceDueInput = z.input<typeof input>;

const USE = { dry: 1.5, mixed: 1, wet: 0.6 };
const GREASE = { thick: 1.2, standard: 1, thin: 0.6 };
const SEAL = { good: 1, poor: 0.7 };
const JET = 0.6;
const RUN_ON = 0.5;
const USUAL_HOURS = 5;

export interface ServiceDue {
  months: number;
  /** ISO day. */
  dueOn: string;
  reasons: string[];
  working: WorkingRow[];
}

/** Hubs by their place on the bicycle and by their place in a sentence: `hub.rear`, `rear-hub`. */
const isHub = (place: string) => place.startsWith('hub') || place.endsWith('-hub');

/**
 * When a bearing is due again: months = base · use · clamp(√(5/hours), 0.5, 1.5) · grease · seal · jet · run-on, rounded
 * down, at least one. Base 12 months, 24 for cartridges in hubs.
 *
 * Units: months, hours a week. Errors: a day that is none. Source: rules of thumb, workshop consensus.
 * Example: a cup-and-cone hub in mixed use at five hours a week, standard grease, good seal: twelve months.
 */
function run(question: Question): ServiceDue {
  const { place, kind, lastServiced, use, hoursPerWeek, grease, seal, jetWashed, runOn } = question;
  const base = kind === 'cartridge' && isHub(place) ? 24 : 12;
  const hours = hoursPerWeek === 0 ? 1.5 : Math.min(1.5, Math.max(0.5, Math.sqrt(USUAL_HOURS / hoursPerWeek)));
  const factors = [
    row('use', `ridden ${use}`, USE[use], ''),
    row(
      'hours',
      `${hoursPerWeek} hours a week against ${USUAL_HOURS}, within a half and one and a half`,
      roundTo(hours, 4),
      '',
    ),
    row('grease', `${grease} grease`, GREASE[grease], ''),
    row('seal', `${seal} seal`, SEAL[seal], ''),
    row('jet', jetWashed ? 'washed with a jet' : 'not washed with a jet', jetWashed ? JET : 1, ''),
    row('run-on', runOn ? 'runs on with a pitted cup' : 'not run on', runOn ? RUN_ON : 1, ''),
  ];
  const exact = base * USE[use] * hours * GREASE[grease] * SEAL[seal] * (jetWashed ? JET : 1) * (runOn ? RUN_ON : 1);
  const months = Math.max(1, floorForgiving(exact));
  return {
    months,
    dueOn: monthsLater(lastServiced, months),
    reasons: [
      `Due in about ${months === 1 ? 'a month' : `${months} months`}: a rule of thumb; what it feels like comes first.`,
      ...(jetWashed ? ['A jet drives water past every seal.'] : []),
      ...(runOn ? ['It runs on with a pitted cup: look sooner.'] : []),
    ],
    working: [
      row('base', kind === 'cartridge' ? 'cartridges' : 'cups, cones and bushings', base, 'months'),
      ...factors,
    ],
  };
}

export const bearingsServiceDue = defineCalculator({
  id: 'bearings.serviceDue',
  title: 'When a bearing is due again',
  example: {
    place: 'hub.front',
    kind: 'cup-and-cone',
    lastServiced: '2026-11-27',
    use: 'mixed',
    hoursPerWeek: 5,
    grease: 'standard',
    seal: 'good',
  },
  input,
  run,
});
