/** What declares itself to the shells, a line each. */
export { buy } from './buy/declared';
export { clean } from './clean/declared';
export { decide } from './decide/declared';
export { gauges } from './gauges/declared';
export { handOver } from './hand-over/declared';
export { lookOver } from './look-over/declared';
export { overhaul } from './overhaul/declared';
export { prove } from './prove/declared';
export { rebuild } from './rebuild/declared';
export { setup } from './setup/declared';
export { strip } from './strip/declared';
export { wheels } from './wheels/declared';
