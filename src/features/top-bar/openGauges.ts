/** Sent by the button of the gauge drawer, wherever it stands. */
export const OPEN_GAUGES = 'ergasto-gauges';
