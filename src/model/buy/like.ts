import { STATE_OF_BRIEF } from '@/core/buy/saleStates';
import type { Like } from '@/core/buy/comparables';
import type { Bicycle } from '../record';

/** What a bicycle will be sold as: what like ones are told by. */
export function likeOf({ kind, size, brief }: Pick<Bicycle, 'kind' | 'size' | 'brief'>): Like {
  return {
    frame: kind.frame,
    use: size.use,
    ...(size.sizeMm !== null && { sizeMm: size.sizeMm }),
    state: STATE_OF_BRIEF[brief],
  };
}
