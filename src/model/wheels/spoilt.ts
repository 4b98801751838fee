import type { ProposedJob } from '@/core/decide/jobs';
import type { QuestionOf } from '@/core/questions';
import type { Spoilt } from '@/core/wheels/spoilt';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
import type { WheelEnd } from './part';
import { buildOf, marked } from './questions';

type Known = Pick<Bicycle, 'wheelBuilds' | 'wheelRounds' | 'nipples'>;

/** The question for `wheels.spoilt`: nipples that rounded off among those that a key was put on; null until the wheel is described. */
export function spoiltInput(
  bicycle: Known,
  end: WheelEnd,
  { rules }: Pick<WorkshopSettings, 'rules'>,
): QuestionOf<'wheels.spoilt'> | null {
  const spokes = buildOf(bicycle, end)?.spokes;
  if (!spokes) return null;
  const spoilt = marked(bicycle, end, spokes, 'rounded', 'renewed');
  const tried = new Set([...spoilt, ...marked(bicycle, end, spokes, 'stuck')]);
  for (const round of bicycle.wheelRounds)
    if (round.end === end) for (const { spoke, made } of round.turns) if (made && spoke < spokes) tried.add(spoke);
  return { spokes, spoilt: spoilt.length, tried: tried.size, spoiltNipple: rules.spoiltNipple };
}

/** The ways on as jobs of which one is kept. */
export function spoiltJobs({ ways, reasons }: Spoilt, end: WheelEnd): (ProposedJob & { works: number })[] {
  return ways.map(({ id, title, why, minutes, parts, works }) => ({
    rule: `nipples-${end}-${id}`,
    title: `${title}, ${end}`,
    place: `spokes.${end}`,
    check: `nipples-${end}`,
    why,
    because: reasons[0]!,
    also: [],
    aka: [],
    need: 'needed',
    minutes,
    parts,
    alternatives: `nipples-${end}`,
    reactions: [],
    works,
  }));
}
