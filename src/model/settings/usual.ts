import { USUAL_STALE_PRICE } from '@/core/sell/staleRule';
import { SCHEMA_VERSION } from '../version';
import type { WorkshopSettings } from './settings';

/** What most workshops own: one small warm tank that also runs cold, and a tub of vinegar. */
export const USUAL_BATHS: WorkshopSettings['baths'] = [
  {
    id: 'hot',
    label: 'Tank, warm',
    process: 'hot ultrasonic, water-based degreaser',
    capacityMl: 3000,
    fillShare: 0.6,
  },
  {
    id: 'cold',
    label: 'Tank, cold',
    process: 'cold ultrasonic, water-based degreaser',
    capacityMl: 3000,
    fillShare: 0.6,
  },
  { id: 'vinegar', label: 'Vinegar tub', process: 'white vinegar soak', capacityMl: 2000, fillShare: 0.6 },
];

/** A workshop of one. */
export const USUAL_PEOPLE: WorkshopSettings['people'] = [{ id: 'one', name: 'The mechanic' }];

/** House rules of a workshop that has not set its own. */
export const USUAL_SETTINGS: WorkshopSettings = {
  schemaVersion: SCHEMA_VERSION,
  name: 'Workshop',
  currency: 'EUR',
  labourPerHour: 0,
  customerPerHour: 0,
  rules: {
    openSound: false,
    reuseBalls: 'if-bright',
    cartridges: 'replace-when-rough',
    pittedCup: 'renew-unit',
    taper: 'greased',
    chainRenewal: 'at-limit',
    tyreGap: 'usual',
    tyreAge: 'condition',
    padToe: 'toed',
    leverGrip: 'turn',
    masterCylinder: 'renew',
    chainLube: 'drop',
    spoiltNipple: 'one',
    spokesPull: 'outside',
  },
  school: 'from-tight',
  letterKeys: true,
  frontBrakeHand: 'either',
  people: USUAL_PEOPLE,
  wrenchEverywhere: 'customers',
  secondEyes: false,
  baths: USUAL_BATHS,
  tensionMeter: [],
  learnt: {},
  week: [],
  ownSessions: [],
  cancelled: {},
  busy: [],
  pins: {},
  stands: 1,
  stalePrice: USUAL_STALE_PRICE,
  practice: {},
  stamps: {},
};
