import type { Bolt } from '@/core/rebuild/bolts';
import type { LookOver } from '@/core/inspect/lookOver';
import { own } from '@/core/own';
import type { QuestionOf } from '@/core/questions';
import { buildFactsOf } from '../rebuild/building';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';

/** What is reckoned of a bicycle that its setting-up waits for; null where it is not there yet, and then nothing waits. */
export interface SetupKnown {
  bolts: readonly Bolt[] | null;
  lookOver: LookOver | null;
}

/** The question for `setup.steps`: what it is, how the house does it, what is done and what has to be true. */
export function setupInput(
  bicycle: Bicycle,
  settings: WorkshopSettings,
  known: SetupKnown | null = null,
): QuestionOf<'setup.steps'> {
  const { kind, brakeFluids, setSteps } = bicycle;
  return {
    kind,
    rules: settings.rules,
    fluids: { front: own(brakeFluids, 'brake.front') ?? null, rear: own(brakeFluids, 'brake.rear') ?? null },
    done: Object.keys(setSteps),
    touched: [...touchedPlaces(bicycle)],
    facts: known?.bolts ? buildFactsOf(bicycle, known.bolts, known.lookOver, settings) : {},
  };
}

/** Places that were worked at since the bicycle came: what is set up there is asked for again. */
export const touchedPlaces = ({ worked, trays }: Pick<Bicycle, 'worked' | 'trays'>): ReadonlySet<string> =>
  new Set([...worked.map(({ place }) => place), ...trays.map(({ place }) => place)]);
