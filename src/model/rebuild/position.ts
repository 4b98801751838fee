import type { Sitting } from '@/core/rebuild/position';
import type { QuestionOf } from '@/core/questions';
import { skeletonOf } from '@/core/drawing/skeleton';
import type { Bicycle } from '../record';

/** How one sits on a bicycle that is ridden so. */
const SITTING_OF: Record<Bicycle['size']['use'], Sitting> = {
  road: 'sporting',
  touring: 'touring',
  city: 'upright',
  mountain: 'touring',
  'small-wheel': 'upright',
};

/** How this bicycle is sat on, by what it is ridden as. */
export const sittingOn = ({ size }: Pick<Bicycle, 'size'>): Sitting => SITTING_OF[size.use];

/**
 * The question for `rebuild.position`; null while the inside leg is not known. The post is asked about where its depth was
 * measured and the saddle's height with it.
 */
export function positionInput(
  bicycle: Pick<Bicycle, 'rider' | 'fit' | 'insertions' | 'size' | 'kind'>,
): QuestionOf<'rebuild.position'> | null {
  const { height, 'inside-leg': insideLegMm, forearm, crank } = bicycle.rider;
  if (insideLegMm === undefined) return null;
  const saddle = bicycle.fit['saddle-height'];
  const saddleMm = saddle?.givenMm ?? saddle?.beforeMm ?? null;
  const post = bicycle.insertions['seat-post'];
  return {
    insideLegMm,
    ...(height !== undefined && { heightMm: height }),
    ...(forearm !== undefined && { forearmMm: forearm }),
    ...(crank !== undefined && { crankMm: crank }),
    sitting: sittingOn(bicycle),
    bracketHeightMm: skeletonOf(bicycle.kind).bb.y,
    ...(saddleMm !== null &&
      post?.insertedMm != null && {
        post: { saddleMm, insertedMm: post.insertedMm, minimumMm: post.minimumMm },
      }),
  };
}
