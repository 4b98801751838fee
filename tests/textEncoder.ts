import { TextEncoder } from 'node:util';

// Every browser has it; the stand-in for one does not.
Object.assign(globalThis, { TextEncoder });
