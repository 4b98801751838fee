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
  /** What lies open: begun, or apart with parts still in its tray. It comes before all else, whatever leads. */
  underWay: OnBoard[];
  /** Whether jobs lead; where none does, every tray stands in `lead`. */
  led: boolean;
  lead: OnBoard[];
  /** Left alone on purpose, with the reason. */
  alone: { place: string; why: string }[];
  rest: OnBoard[];
  apart: string[];
}

/**
 * The trays as they are worked: what is under way, those that kept jobs lead to and what stands in their way, then what is left
 * alone on purpose, then the rest. Example: a job at the rear hub alone → the rear wheel out, then the hub.
 */
export function stripBoard(
  trays: Pick<Trays, 'trays' | 'constraints' | 'trayOf'>,
  order: StripOrder,
  {
    wanted,
    alone,
    begun,
    opened = new Set(),
    out = new Set(),
  }: {
    wanted: readonly string[];
    alone: ReadonlyMap<string, string>;
    begun: ReadonlySet<string>;
    /** Trays that something lies in: whatever was in their way is out of it, told or not. */
    opened?: ReadonlySet<string>;
    /** Trays with parts that are not back. */
    out?: ReadonlySet<string>;
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
  const sorted = rows.toSorted((a, b) => Number(a.waits.length > 0) - Number(b.waits.length > 0));
  const fresh = sorted.filter((row) => !row.begun);
  const isLead = ({ place }: OnBoard) => led.size === 0 || needed.has(place);
  const apart = trays.trays.map(({ place }) => place).filter((place) => !open.has(place) && !blocked.has(place));
  return {
    underWay: [
      ...sorted.filter((row) => row.begun),
      ...apart.filter((place) => out.has(place)).map((place) => ({ place, begun: true, waits: [], inTheWay: false })),
    ],
    led: led.size > 0,
    lead: fresh.filter(isLead),
    alone: left.filter(({ place }, i) => left.findIndex((each) => each.place === place) === i),
    rest: fresh.filter((row) => !isLead(row)),
    apart: apart.filter((place) => !out.has(place)),
  };
}
