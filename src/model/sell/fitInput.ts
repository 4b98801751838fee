import type { QuestionOf } from '@/core/questions';
import type { Bicycle } from '../record';

/** The question for `buy.fit`: whom the frame fits, without a rider in particular; null until it is measured. */
export function fitInput({ size }: Pick<Bicycle, 'size'>): QuestionOf<'buy.fit'> | null {
  if (size.sizeMm === null) return null;
  return {
    kind: size.use,
    sizeMm: size.sizeMm,
    convention: size.convention,
    ...(size.standoverMm !== null && { standoverMm: size.standoverMm }),
  };
}
