/** This moment, as the record writes moments: in UTC, to the millisecond, so that they sort as text. */
export const nowIso = (): string => new Date().toISOString();
