import type { CartridgeNote, SideCount } from './part';

/** A row of balls that nobody has counted. */
export const UNCOUNTED: SideCount = { out: null, holds: null, in: null, answer: null };

/** A cartridge that nobody has measured. */
export const UNMEASURED: CartridgeNote = { boreMm: null, odMm: null, widthMm: null, print: '', fate: null };

/** A bearing that nobody has felt. */
export const UNFELT = { feel: 'unknown', play: 'unknown', spinS: null } as const;

export const fresh = () => ({});
