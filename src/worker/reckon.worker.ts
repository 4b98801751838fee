import * as Comlink from 'comlink';
import { reckon } from '@/core/reckon';

const api = { reckon };
export type ReckonApi = typeof api;

Comlink.expose(api);
