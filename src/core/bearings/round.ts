import type { StateId } from '../vocabulary/vocabulary';
import type { Feel } from './coneBelief';

/** Points of the turn at which a set bearing is felt again. */
export const ROUND_POINTS = ['12', '3', '6', '9'] as const;

type RoundPoint = (typeof ROUND_POINTS)[number];
const BY_BARS: Record<RoundPoint, string> = {
  '12': 'Bars straight ahead',
  '3': 'Bars a quarter to the right',
  '6': 'Bars as far as they go',
  '9': 'Bars a quarter to the left',
};
const BY_ARM: Record<RoundPoint, string> = {
  '12': 'Right arm up',
  '3': 'Right arm forwards',
  '6': 'Right arm down',
  '9': 'Right arm backwards',
};

/**
 * How a point of the turn is told apart at a bearing: a wheel has a valve, a headset bars, cranks an arm.
 * Example: `roundPointWords('hub.front', '3')` is "Valve at 3 o'clock".
 */
export function roundPointWords(place: string, point: RoundPoint): string {
  if (place === 'headset') return BY_BARS[point];
  if (place === 'bottom-bracket' || place.startsWith('crank')) return BY_ARM[point];
  return `${place.startsWith('hub') ? 'Valve' : 'Mark'} at ${point} o'clock`;
}

export interface RoundVerdict {
  verdict: 'unfelt' | 'even' | 'tight-spot' | 'dances' | 'tight' | 'loose' | 'slack-elsewhere';
  state: StateId;
  words: string;
}

/**
 * What the feel at several points of one turn says. The tightest spot decides: too tight marks the track there, while play
 * elsewhere is what a pitted race costs. Example: smooth, smooth, tight, smooth → set it by the tight spot.
 */
export function roundVerdict(felt: Partial<Record<string, Feel>>): RoundVerdict {
  const feels = ROUND_POINTS.flatMap((point) => felt[point] ?? []);
  const missing = ROUND_POINTS.length - feels.length;
  const tight = feels.filter((feel) => feel === 'tight').length;
  const slack = feels.filter((feel) => feel === 'loose' || feel === 'tick').length;
  if (tight > 0 && slack > 0)
    return {
      verdict: 'dances',
      state: 'watch',
      words:
        'It dances: tight here, loose there. A pitted track or a bent axle. Open it until the tightest spot runs smooth, accept the play elsewhere, and say so on the sheet.',
    };
  if (tight > 0 && tight < feels.length)
    return {
      verdict: 'tight-spot',
      state: 'service',
      words: 'A tight spot: open it until that spot runs smooth. The tightest decides.',
    };
  if (missing > 0)
    return {
      verdict: 'unfelt',
      state: 'not-looked-at',
      words: `Feel it at ${missing === ROUND_POINTS.length ? 'four points of the turn' : missing === 1 ? 'one more point' : `${missing} more points`}.`,
    };
  if (tight > 0) return { verdict: 'tight', state: 'service', words: 'Tight all round: open it.' };
  if (slack === feels.length) return { verdict: 'loose', state: 'service', words: 'Loose all round: close it.' };
  if (slack > 0)
    return {
      verdict: 'slack-elsewhere',
      state: 'watch',
      words:
        'Smooth at its tightest, a little play elsewhere: the track is worn there. It stays so; say so on the sheet.',
    };
  return { verdict: 'even', state: 'fine', words: 'Smooth all round.' };
}
