import { appliesTo, brakeOf, kindAt, type BicycleKind } from '../bicycle';
import { holds } from '../conditions';
import { balls } from '../balls/data/balls';
import { ballSets } from '../balls/data/ballSets';
import { assemblyRows, assemblySays, partKinds, partRows, stepRows, type PartShape } from './data/templates';
import type { TurnInput } from './turn';

export type Soil = 'oil' | 'old-grease' | 'mud' | 'rust';

export interface AssemblyPart {
  id: string;
  label: string;
  side: string | null;
  materials: string[];
  facing: string;
  kind: string;
  /** Usual soil and volume of its kind; nobody types them. */
  soil: Soil;
  volumeMl: number;
  shape: PartShape;
  lengthMm: number;
  diameterMm: number;
  boreMm: number;
}

export interface AssemblyStep {
  id: string;
  title: string;
  tool: string;
  turn: { fastener: TurnInput['fastener']; side: 'left' | 'right' | null; nuttedOnly: boolean } | null;
  takes: string[];
  photo: boolean;
  /** The row of balls that is counted at this step. */
  count: string | null;
  forget: string;
  /** The kind of part that the gauge drawer has to tell before it is done. */
  reads: string | null;
}

export interface BallRow {
  id: string;
  fractionIn: string;
  diameterMm: number;
  usual: number | null;
  /** Circle through the middles of the balls, back-computed from the usual count: for the drawing, never an objection. */
  circleMm: number | null;
  /** Held in a retainer. */
  caged: boolean;
  /** Balls of this size in a bag, as they are usually sold. */
  usualPack: number;
}

/** One assembly at one place of a bicycle: parts along its axis, steps in the order of the work. */
export interface Assembly {
  id: string;
  place: string;
  title: string;
  /** Which way its line is read. */
  axis: string;
  parts: AssemblyPart[];
  steps: AssemblyStep[];
  balls: BallRow[];
  stuck: string;
}

const sideOf = (place: string): 'left' | 'right' | null =>
  place.endsWith('.left') ? 'left' : place.endsWith('.right') ? 'right' : null;

const END_WORDS: Record<string, string> = { left: 'left', right: 'right', front: 'front', rear: 'rear' };

/** "Caliper brake" at two places wants its end said. */
function titleAt(title: string, place: string, several: boolean): string {
  const end = END_WORDS[place.split('.')[1] ?? ''];
  return several && end ? `${title}, ${end}` : title;
}

function ballRow(entry: string): BallRow {
  const [id, source] = entry.split('=') as [string, string];
  const [place, side, upper, lower, arrangement] = source.split('/') as [string, string, string, string, string?];
  const fractionIn = `${upper}/${lower}`;
  const row = ballSets.find(
    (each) =>
      each.place === place &&
      each.side === side &&
      each.ballFractionIn === fractionIn &&
      (arrangement === undefined || each.arrangement === arrangement),
  );
  if (!row) throw new Error(`no ball set for ${entry}`);
  return {
    id,
    fractionIn,
    diameterMm: row.ballDiameterMm,
    usual: row.countUsual,
    circleMm: row.pitchDiameterMm,
    caged: row.arrangement === 'caged',
    usualPack: balls.find((ball) => ball.fractionIn === fractionIn)!.usualPack,
  };
}

function partOf(row: (typeof partRows)[number], place: string): AssemblyPart {
  const kind = partKinds.get(row.kind);
  if (!kind) throw new Error(`no kind of part called ${row.kind}`);
  const { materials, soil, volumeMl, shape, lengthMm, diameterMm, boreMm } = kind;
  return {
    id: row.id,
    label: row.label ?? kind.label,
    side: row.side ?? sideOf(place),
    materials,
    facing: row.facing ?? '',
    kind: kind.id,
    soil,
    volumeMl,
    shape,
    lengthMm,
    diameterMm,
    boreMm,
  };
}

function stepOf(row: (typeof stepRows)[number], place: string): AssemblyStep {
  const side = row.side === '@' ? sideOf(place) : (row.side as 'left' | 'right' | null);
  return {
    id: row.id,
    title: row.title,
    tool: row.tool,
    turn: row.fastener ? { fastener: row.fastener, side, nuttedOnly: row.nuttedOnly === 'yes' } : null,
    takes: row.takes,
    photo: row.photo === 'yes',
    count: row.count,
    forget: row.forget ?? '',
    reads: row.reads,
  };
}

/** The assembly of this name at a place. Errors: a name that no table has. Example: `assemblyAt('hub-front', 'hub.front')`. */
export function assemblyAt(id: string, place: string): Assembly {
  const row = assemblyRows.find((each) => each.id === id);
  if (!row) throw new Error(`no assembly called ${id}`);
  return {
    id,
    place,
    title: titleAt(row.title, place, row.places.length > 1),
    axis: row.axis,
    parts: partRows.filter((part) => part.assembly === id).map((part) => partOf(part, place)),
    steps: stepRows.filter((step) => step.assembly === id).map((step) => stepOf(step, place)),
    balls: row.balls.map(ballRow),
    stuck: row.stuck ?? '',
  };
}

/** What may be found at each place: first what this kind of bicycle usually has there, then the rest. */
export function choicesFor(kind: BicycleKind): Map<string, { id: string; title: string; usual: boolean }[]> {
  const choices = new Map<string, { id: string; title: string; usual: boolean }[]>();
  const fits = (row: (typeof assemblyRows)[number], place: string) => appliesTo(kindAt(kind, place), row.applies);
  const usualFirst = [...assemblyRows].sort(
    (a, b) => Number(b.places.some((place) => fits(b, place))) - Number(a.places.some((place) => fits(a, place))),
  );
  for (const row of usualFirst)
    for (const place of row.places) {
      const usual = fits(row, place) && row.needs !== 'asked';
      choices.set(place, [...(choices.get(place) ?? []), { id: row.id, title: row.title, usual }]);
    }
  return choices;
}

/**
 * What an assembly that was found at a place says of the bicycle; nothing where it is known already, or where something
 * finer is. Example: a cottered crank in the tray of a square-taper bicycle → `{ cranks: 'cottered' }`.
 */
export function saysOf(id: string, place: string, kind: BicycleKind): Partial<BicycleKind> {
  const row = assemblySays.get(id);
  if (!row) return {};
  const end = place.split('.')[1] ?? '';
  const facts = { ...kind, frontBrake: brakeOf(kind, 'front'), rearBrake: brakeOf(kind, 'rear') };
  const says = row.says.replace('@', end);
  if (holds(says, facts) || (row.unless !== null && holds(row.unless.replace('@', end), facts))) return {};
  const [field, value] = says.split('=') as [string, string];
  return { [field]: value === 'true' ? true : value };
}

/** Which assembly is at each place: the one that was found there, else the one that is usual for the kind; in the order of a strip. */
export function assemblyIdsFor(kind: BicycleKind, chosen: Record<string, string> = {}): Map<string, string> {
  const choices = choicesFor(kind);
  return new Map(
    PLACE_ORDER.flatMap((place): [string, string][] => {
      const here = choices.get(place) ?? [];
      const id = here.find((each) => each.id === chosen[place])?.id ?? here.find((each) => each.usual)?.id;
      return id ? [[place, id]] : [];
    }),
  );
}

/**
 * The trays of a bicycle: at each place the assembly that was chosen, else the one that is usual for its kind. Places
 * stand in the order in which a bicycle is usually taken apart.
 */
export function assembliesFor(kind: BicycleKind, chosen: Record<string, string> = {}): Assembly[] {
  return [...assemblyIdsFor(kind, chosen)].map(([place, id]) => assemblyAt(id, place));
}

/** Places in the order in which a bicycle is usually taken apart; the hard constraints are a table of their own. */
const PLACE_ORDER = [
  'pedal.left',
  'pedal.right',
  'seat-post',
  'chain',
  'axle.front',
  'axle.rear',
  'grip.left',
  'grip.right',
  'brake.front',
  'brake.rear',
  'derailleur.rear',
  'pulleys',
  'derailleur.front',
  'shifter.left',
  'shifter.right',
  'crank.right',
  'bottom-bracket',
  'stem',
  'fork',
  'headset',
  'hub.front',
  'hub.rear',
  'cogs',
  'freehub',
  'linkage',
  'frame',
];
