import type { Bearing } from './part';

type TrackPart = 'cup' | 'cone';
const WORSE = ['unknown', 'bright', 'dull', 'pitted'] as const;

/** What was seen of a bearing's cups or cones: the worst of its rows, and of what was said of all of them at once. */
export function worstTrack(bearing: Bearing, part: TrackPart): (typeof WORSE)[number] {
  const rows = Object.entries(bearing.tracks).flatMap(([id, state]) => (id.endsWith(`.${part}`) ? [state] : []));
  return [bearing.seen[part], ...rows].reduce((worst, state) =>
    WORSE.indexOf(state) > WORSE.indexOf(worst) ? state : worst,
  );
}
