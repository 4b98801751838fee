import { neededFor, type StripOrder } from './order';
import type { Trays } from './trays';

/** One tray on the board. */
export interface OnBoard {
  place: string;
  /** It was begun. */
  begun: boolean;
  /** What has to be done first, by place, each with its reason; empty where hands can begin. */
  waits: { place: string; why: string }[];
  /** It is in the way of a tray that a job leads to. */
  inTheWay: boolean;
}

export interface Board {
  /** Whether jobs lead; where none does, every tray stands in `lead`. */
  led: boolean;
  lead: OnBoard[];
  /** Left alone on purpose, with the reason. */
  alone: { place: string; why: string }[];
  rest: OnBoard[];
  apart: string[];
}

/**
 * The trays as they are worked: those that kept jobs lead to and what stands in their way, then what is left alone on purpose,
 * then the rest. What was begun stays in sight. Example: a job at the rear hub alone → the rear wheel out, then the hub.
 */
export function stripBoard(
  trays: Pick<Trays, 'trays' | 'constraints' | 'trayOf'>,
  order: StripOrder,
  {
    wanted,
    alone,
    begun,
    opened = new Set(),
  }: {
    wanted: readonly string[];
    alone: ReadonlyMap<string, string>;
    begun: ReadonlySet<string>;
    /** Trays that something lies in: whatever was in their way is out of it, told or not. */
    opened?: ReadonlySet<string>;
  },
): Board {
  const has = new Set(trays.trays.map(({ place }) => place));
  const trayAt = (place: string) => (has.has(place) ? place : trays.trayOf[place]);
  const led = new Set(wanted.flatMap((place) => trayAt(place) ?? []));
  const shut = new Set([...led].filter((place) => !opened.has(place)));
  const needed = new Set([...led, ...neededFor(shut, trays.constraints)]);
  const blocked = new Map(order.blocked.map((each) => [each.place, each.by]));
  const open = new Set(order.open.map(({ place }) => place));
  const left = [...alone].flatMap(([place, why]) => {
    const tray = trayAt(place);
    return tray && !needed.has(tray) && !begun.has(tray) ? [{ place: tray, why }] : [];
  });
  const isLeft = new Set(left.map(({ place }) => place));
  const rows = trays.trays
    .filter(({ place }) => (open.has(place) || blocked.has(place)) && !isLeft.has(place))
    .map(({ place }): OnBoard => {
      const waits = new Map((blocked.get(place) ?? []).map((by) => [by.place, by.why]));
      return {
        place,
        begun: begun.has(place),
        waits: [...waits].map(([at, why]) => ({ place: at, why })),
        inTheWay: needed.has(place) && !led.has(place),
      };
    });
  // What lies open comes first, then what can be begun: it is what the hands are at.
  const sorted = rows.toSorted(
    (a, b) => Number(b.begun) - Number(a.begun) || Number(a.waits.length > 0) - Number(b.waits.length > 0),
  );
  const isLead = ({ place, begun: is }: OnBoard) => led.size === 0 || needed.has(place) || is;
  return {
    led: led.size > 0,
    lead: sorted.filter(isLead),
    alone: left.filter(({ place }, i) => left.findIndex((each) => each.place === place) === i),
    rest: sorted.filter((row) => !isLead(row)),
    apart: trays.trays.map(({ place }) => place).filter((place) => !open.has(place) && !blocked.has(place)),
  };
}
