import { buy } from './buy/declared';
import { clean } from './clean/declared';
import { decide } from './decide/declared';
import { gauges } from './gauges/declared';
import { handOver } from './hand-over/declared';
import { lookOver } from './look-over/declared';
import { overhaul } from './overhaul/declared';
import { prove } from './prove/declared';
import { rebuild } from './rebuild/declared';
import { strip } from './strip/declared';
import type { Declared } from './workshop/declared';

/** What declares itself to the shells, in the order of the work; a sign that is laid later covers an earlier one. */
export const SUBJECTS: readonly Declared[] = [
  lookOver,
  buy,
  gauges,
  decide,
  strip,
  clean,
  overhaul,
  rebuild,
  prove,
  handOver,
];
