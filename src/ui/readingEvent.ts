/** Sent to a reading field by an instrument, or when a held reading is given to it; its detail is what was typed. */
export const READING_EVENT = 'ergasto-reading';
