import { makeTables } from './tables.mjs';

export default makeTables;
