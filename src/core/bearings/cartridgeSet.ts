import * as z from 'zod/mini';
import { answer, defineCalculator, rule } from '../calculator';
import { lengthMm } from '../fields';
import { isSwapped, SWAPPED } from './cartridgeSize';
import { bearingsIdentifyCartridge, type CartridgeMatch } from './identifyCartridge';

const measured = z.nullable(lengthMm);
const input = z.strictObject({
  cartridges: z
    .array(
      rule(
        z.strictObject({
          id: z.string().check(z.minLength(1), z.maxLength(64)),
          boreMm: measured,
          odMm: measured,
          widthMm: measured,
          print: z
            ._default(z.string().check(z.maxLength(60)), '')
            .check(z.describe('what is printed on it: it counts before the caliper')),
        }),
        ['boreMm'],
        ({ boreMm, odMm }) => !isSwapped(boreMm, odMm),
        SWAPPED,
      ),
    )
    .check(z.maxLength(12)),
});

export interface IdentifiedCartridge {
  id: string;
  /** Null until all three are measured. */
  match: CartridgeMatch | null;
  /** The print where it was read, else what the caliper says once it is sure; null while it is not known. */
  code: string | null;
}

/**
 * Which cartridges a bearing has, all of them at once. Errors: a measure that is not over nought, a bore that is not under its outside. Source: as
 * `bearings.identifyCartridge`. Example: two of 15 × 28 × 7 → two of 6902.
 */
export const bearingsCartridgeSet = defineCalculator({
  id: 'bearings.cartridgeSet',
  title: 'Which cartridges a bearing has',
  example: { cartridges: ['left', 'right'].map((id) => ({ id, boreMm: 15, odMm: 28, widthMm: 7 })) },
  input,
  run({ cartridges }): { cartridges: IdentifiedCartridge[] } {
    return {
      cartridges: cartridges.map(({ id, boreMm, odMm, widthMm, print }) => {
        const asked =
          boreMm !== null && odMm !== null && widthMm !== null
            ? answer(bearingsIdentifyCartridge, { boreMm, odMm, widthMm })
            : null;
        const match = asked?.ok ? asked.output : null;
        const printed = print.trim();
        const code = printed || (match?.verdict === 'identified' ? match.candidates[0]!.code : null);
        return { id, match, code };
      }),
    };
  },
});
