import { SPOKE_FEELS, type SpokeFeel } from '../inspect/evidence';
import * as z from 'zod/mini';

/** How tension was read: by meter, by the tones of plucked spokes, or by the hand that squeezes them. */
export const tensionReadings = {
  tensionN: z.optional(z.array(z.nullable(z.number().check(z.gte(0), z.lte(4000))))),
  toneHz: z
    .optional(z.array(z.nullable(z.number().check(z.gt(20), z.lte(5000)))))
    .check(z.describe('tones of plucked spokes: evenness, and newtons with `metered`')),
  metered: z
    .optional(
      z.strictObject({
        spoke: z.number().check(z.multipleOf(1), z.gte(0), z.lte(47)),
        tensionN: z.number().check(z.gt(0), z.lte(4000)),
      }),
    )
    .check(z.describe('the spoke of a tone whose tension a meter told')),
  feels: z.optional(z.array(z.nullable(z.enum(SPOKE_FEELS)))).check(z.describe('as the hand feels each')),
};

/** What the hand feels, in shares of what such a wheel usually has. */
const FEEL_SHARE: Record<SpokeFeel, number> = { broken: 0, slack: 0.2, soft: 0.65, even: 1, hard: 1.35 };

export type TensionMeans = 'meter' | 'tone' | 'feel';
export interface TensionRead {
  /** Newtons where `isAbsolute`; else in proportion to what such a wheel usually has. */
  tensionN: (number | null)[];
  by: TensionMeans;
  /** Whether a limit in newtons may be held against it. */
  isAbsolute: boolean;
}

interface Readings {
  tensionN?: readonly (number | null)[] | undefined;
  toneHz?: readonly (number | null)[] | undefined;
  metered?: { spoke: number; tensionN: number } | undefined;
  feels?: readonly (SpokeFeel | null)[] | undefined;
}

const isRead = <Value>(list: readonly (Value | null)[] | undefined): list is readonly (Value | null)[] =>
  list !== undefined && list.some((each) => each !== null);

/** Tones as tensions: T₀·(f/f₀)² by the metered spoke, or each against the mean of its side. */
function fromTones(
  { toneHz, metered }: Readings & { toneHz: readonly (number | null)[] },
  isLeft: readonly boolean[],
  usualN: { left: number; right: number },
): TensionRead {
  const known = metered && toneHz[metered.spoke];
  if (metered && known)
    return {
      tensionN: toneHz.map((hz) => (hz === null ? null : metered.tensionN * (hz / known) ** 2)),
      by: 'tone',
      isAbsolute: true,
    };
  // Tension goes with the square of the tone, and a side is compared with itself alone.
  const meanSquare = (left: boolean) => {
    const side = toneHz.filter((hz, i): hz is number => hz !== null && isLeft[i] === left);
    return side.reduce((sum, hz) => sum + hz ** 2, 0) / Math.max(side.length, 1);
  };
  const means = { left: meanSquare(true), right: meanSquare(false) };
  return {
    tensionN: toneHz.map((hz, i) => {
      const side = isLeft[i] ? 'left' : 'right';
      return hz === null ? null : (usualN[side] * hz ** 2) / means[side];
    }),
    by: 'tone',
    isAbsolute: false,
  };
}

/**
 * Tension as it was read, by the best means that there is: meter, else tones, else the hand. Units: N, Hz. Errors: none. Source: T ∝ f² of a
 * string; a hand's rough scale. Example: tones of 400 and 500 Hz, the first metered at 800 N → 800 and 1250 N.
 */
export function tensionOf(
  readings: Readings,
  isLeft: readonly boolean[],
  usualN: { left: number; right: number },
): TensionRead | null {
  if (isRead(readings.tensionN)) return { tensionN: [...readings.tensionN], by: 'meter', isAbsolute: true };
  if (isRead(readings.toneHz)) return fromTones({ ...readings, toneHz: readings.toneHz }, isLeft, usualN);
  if (isRead(readings.feels))
    return {
      tensionN: readings.feels.map((feel, i) =>
        feel === null ? null : FEEL_SHARE[feel] * usualN[isLeft[i] ? 'left' : 'right'],
      ),
      by: 'feel',
      isAbsolute: false,
    };
  return null;
}
