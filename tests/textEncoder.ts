import { TextDecoder, TextEncoder } from 'node:util';

// Every browser has them; the stand-in for one does not.
Object.assign(globalThis, { TextDecoder, TextEncoder });
