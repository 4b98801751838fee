import * as Comlink from 'comlink';
import { reckonIn } from './subjects';

const api = { reckon: reckonIn };
export type ReckonApi = typeof api;

Comlink.expose(api);
