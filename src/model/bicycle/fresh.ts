import { bicycleKind } from '@/core/bicycle';
import type { Held } from '../fields';
import type { part } from './part';

type Part = Held<typeof part>;

export const NO_PAPERS: Part['provenance'] = { serial: '', seller: '', proof: null };
export const NO_SIZE: Part['size'] = { sizeMm: null, convention: 'centre-top', standoverMm: null, use: 'touring' };

/** A drive of which nothing is known. */
export const NO_DRIVE: Part['electricDrive'] = {
  motor: null,
  battery: null,
  key: null,
  charger: null,
  faults: '',
  way: null,
};

/** How most bicycles are ridden. */
export const USUAL_RIDING: Part['riding'] = { use: 'mixed', hoursPerWeek: 5, jetWashed: false };

export const fresh = (): Part => ({
  name: '',
  note: '',
  kind: bicycleKind.parse({}),
  brief: 'rideable',
  purpose: 'sale',
  customer: '',
  provenance: NO_PAPERS,
  size: NO_SIZE,
  riding: USUAL_RIDING,
  electricDrive: NO_DRIVE,
  archivedAt: null,
});
