import { defineCalculator } from '../calculator';
import { atLeast, roundTo } from '../numbers';
import { row, type Judged } from '../verdict';
import { HOOKLESS_MOST_BAR, judgeMount, mounting } from './judgeMount';

export interface Mounting extends Judged<'goes' | 'ask' | 'never'> {
  /** The most that may go in; null where neither rim nor tyre says. */
  mostBar: number | null;
  /** Sealant for a tyre of this width, ml; null with a tube. */
  sealantMl: { low: number; high: number } | null;
  /** Days until it is looked at again. */
  sealantDays: number;
}

/** A straight-sided rim holds a tyre by its wire alone. */
const STRAIGHT_MOST_BAR = 3.5;
/** Sealant by width: 30 ml in a narrow tyre, 120 in a wide one. */
const SEALANT = { narrowMm: 25, wideMm: 62, leastMl: 30, mostMl: 120 };
/** It dries within months. */
const SEALANT_DAYS = 120;

/**
 * Whether a tyre may go on a rim at all and how hard it may be blown up: bead seats that are the same (the label’s inches are not), rims without hooks
 * only with tyres that are approved for them and never over 5 bar, old straight-sided rims gently, the lower of both limits; sealant by width.
 *
 * Units: mm, bar, ml, days. Errors: none. Source: ISO 5775; workshop consensus. Example: a tyre of 559 on a rim of 571 → never.
 */
export const tyresMount = defineCalculator({
  id: 'tyres.mount',
  title: 'Whether a tyre may go on, and how hard',
  example: { rimSeatMm: 622, tyreSeatMm: 622, hooks: 'hooked', tyreMm: 35, rimMostBar: 7, tyreMostBar: 6 },
  input: mounting,
  run(q): Mounting {
    const { never, ask, says } = judgeMount(q);
    const limits = [
      q.rimMostBar,
      q.tyreMostBar,
      ...(q.hooks === 'hookless' ? [HOOKLESS_MOST_BAR] : []),
      ...(q.hooks === 'straight-sided' ? [STRAIGHT_MOST_BAR] : []),
    ].filter((each) => each !== undefined);
    const mostBar = limits.length === 0 ? null : Math.min(...limits);
    const { narrowMm, wideMm, leastMl, mostMl } = SEALANT;
    const share = q.tyreMm === undefined ? null : Math.min(1, Math.max(0, (q.tyreMm - narrowMm) / (wideMm - narrowMm)));
    const usual = share === null ? null : leastMl + share * (mostMl - leastMl);
    const verdict = never.length > 0 ? 'never' : ask.length > 0 ? 'ask' : 'goes';
    return {
      mostBar,
      sealantMl:
        !q.isTubeless || usual === null
          ? null
          : {
              low: Math.round((usual * 0.85) / 5) * 5,
              high: Math.round((atLeast(usual, mostMl) ? usual : usual * 1.15) / 5) * 5,
            },
      sealantDays: SEALANT_DAYS,
      verdict,
      reasons: [...never, ...ask, ...says, ...(verdict === 'goes' ? ['It belongs on this rim.'] : [])],
      working: [row('p', 'lower of the limits', mostBar === null ? '–' : roundTo(mostBar, 1), 'bar')],
    };
  },
});
