/** Calculators that may take longer than a blink; the rest must not wait behind them. */
export const LONG = new Set([
  'money.appraise',
  'buy.appraise',
  'money.samples',
  'money.drive',
  'bearings.adjustCone',
  'bearings.learnDrag',
]);
