import type { ContactPoint } from '../bearings/contact';
import type { Feel } from '../bearings/coneBelief';
import { uniformStream } from '../money/streams';

/** What a level of the practice room is made of; angles in degrees of cone. */
export interface PracticeLevel {
  id: string;
  title: string;
  words: string;
  what: 'hub' | 'headset';
  pitchMm: number;
  tickDeg: number;
  smoothDeg: number;
  dragMeanDeg: number;
  dragSdDeg: number;
  squeezeDeg: number;
  /** How much the tightness changes round the turn by pits, and by a track or axle that is not quite true. */
  pitDeg: number;
  wobbleDeg: number;
  rimRadiusMm: number;
  rowsApartMm: number;
  parTrials: number;
  /** Pressure against what marks, and friction, by degrees of cone, from the contact model. */
  curve: ContactPoint[];
}

/** One hidden bearing: a level with a start, and where round the turn it is tight. */
export interface HiddenHub {
  level: PracticeLevel;
  seed: number;
  startDeg: number;
  pits: { timesATurn: number; deg: number; phaseDeg: number }[];
}

/** How it stands: what the hand has done to it so far. */
export interface HubState {
  /** Degrees tighter than where play ends at the mean of the turn, skewer open. */
  coneDeg: number;
  locked: boolean;
  clamped: boolean;
  wheelDeg: number;
  /** Degrees a second. */
  speed: number;
  /** Times the locknut was locked. */
  trials: number;
  /** 0 for unharmed tracks. */
  harm: number;
}

const START_DEG = 60;
const INERTIA_KG_M2 = 0.1;
/** Drag of the grease and of the air, N·m and N·m per (rad/s)². */
const GREASE_NM = 0.012;
const AIR = 0.00003;
const RAD = Math.PI / 180;
const CONTACT_DEG = 45;
const ROUND = 72;
const MISREAD = 0.05;

function normal(next: () => number): number {
  return Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());
}

/** A hidden bearing of a level; the same seed hides the same one. */
export function hiddenHub(level: PracticeLevel, seed: number): HiddenHub {
  const next = uniformStream(seed, `practice ${level.id}`);
  return {
    level,
    seed,
    startDeg: -START_DEG + 2 * START_DEG * next(),
    pits: [
      { timesATurn: 1, deg: level.wobbleDeg * (0.7 + 0.3 * next()), phaseDeg: 360 * next() },
      { timesATurn: 3, deg: level.pitDeg * 0.7, phaseDeg: 360 * next() },
      { timesATurn: 7, deg: level.pitDeg * 0.3, phaseDeg: 360 * next() },
    ],
  };
}

/** The bearing as it is handed over: unlocked, skewer open, still. */
export function freshState(hub: HiddenHub): HubState {
  return { coneDeg: hub.startDeg, locked: false, clamped: false, wheelDeg: 0, speed: 0, trials: 0, harm: 0 };
}

/** How much tighter than its mean the turn is at one place of it. */
function unevenness(hub: HiddenHub, wheelDeg: number): number {
  return hub.pits.reduce(
    (sum, { timesATurn, deg, phaseDeg }) => sum + deg * Math.sin((timesATurn * wheelDeg + phaseDeg) * RAD),
    0,
  );
}

/** Degrees tighter than where play ends, as it stands now, at one place of the turn. */
export function standingAt(hub: HiddenHub, state: HubState, wheelDeg: number): number {
  return state.coneDeg + (state.clamped ? hub.level.squeezeDeg : 0) + unevenness(hub, wheelDeg);
}

/** The tightest and the loosest of the turn. */
export function extremes(hub: HiddenHub, state: HubState): { tightest: number; loosest: number } {
  const all = Array.from({ length: ROUND }, (_, i) => standingAt(hub, state, (360 / ROUND) * i));
  return { tightest: Math.max(...all), loosest: Math.min(...all) };
}

/** Pressure against what marks, or friction, where it stands, between the points of the contact model and straight on beyond them. */
function inside(hub: HiddenHub, deg: number, what: 'markShare' | 'frictionNmm'): number {
  const { curve } = hub.level;
  const at = Math.min(curve.length - 2, Math.max(0, curve.findIndex((point) => point.turnDeg > deg) - 1));
  const i = deg >= curve.at(-1)!.turnDeg ? curve.length - 2 : at;
  const [a, b] = [curve[i]!, curve[i + 1]!];
  return a[what] + ((b[what] - a[what]) * (deg - a.turnDeg)) / (b.turnDeg - a.turnDeg);
}

/** Harm of standing or being turned so tight: nothing up to the pressure at which a track keeps a mark. */
function harmAt(hub: HiddenHub, deg: number): number {
  return Math.max(0, inside(hub, deg, 'markShare') - 1);
}

/** The cone turned; a locked one does not move. Tightening into the tracks marks them. */
export function turnCone(hub: HiddenHub, state: HubState, deg: number): HubState {
  if (state.locked) return state;
  const moved = { ...state, coneDeg: Math.max(-180, Math.min(120, state.coneDeg + deg)) };
  return deg > 0 ? { ...moved, harm: moved.harm + 20 * harmAt(hub, extremes(hub, moved).tightest) } : moved;
}

/** The locknut locked against the cone, which it drags along: every time a little differently. */
export function lockCone(hub: HiddenHub, state: HubState): HubState {
  if (state.locked) return state;
  const next = uniformStream(hub.seed, `lock ${hub.level.id} ${state.trials}`);
  const drag = hub.level.dragMeanDeg + hub.level.dragSdDeg * normal(next);
  const done = { ...state, coneDeg: state.coneDeg + drag, locked: true, trials: state.trials + 1 };
  return { ...done, harm: done.harm + 20 * harmAt(hub, extremes(hub, done).tightest) };
}

export function unlockCone(state: HubState): HubState {
  return { ...state, locked: false, speed: 0 };
}

/** The skewer closed or opened; only where there is one. */
export function clampAxle(hub: HiddenHub, state: HubState, clamped: boolean): HubState {
  return hub.level.squeezeDeg === 0 ? state : { ...state, clamped };
}

/** How far the rim moves from stop to stop when it is rocked where the wheel stands, mm. */
export function rockMm(hub: HiddenHub, state: HubState): number {
  const playDeg = Math.max(0, -standingAt(hub, state, state.wheelDeg));
  const axialMm = (playDeg / 360) * hub.level.pitchMm;
  const radialMm = axialMm * Math.tan(CONTACT_DEG * RAD);
  return (hub.level.rimRadiusMm * 2 * radialMm) / hub.level.rowsApartMm;
}

/** A push that sets the wheel going. */
export function spin(state: HubState, degPerS = 540): HubState {
  return { ...state, speed: degPerS };
}

/** The wheel some time later: it runs down by the drag of its bearing, its grease and the air; too tight, it marks itself. */
export function later(hub: HiddenHub, state: HubState, seconds: number): HubState {
  if (state.speed <= 0) return state;
  const standing = standingAt(hub, state, state.wheelDeg);
  const omega = state.speed * RAD;
  const torqueNm = (2 * inside(hub, standing, 'frictionNmm')) / 1000 + GREASE_NM + AIR * omega * omega;
  const slower = Math.max(0, omega - (torqueNm / INERTIA_KG_M2) * seconds);
  return {
    ...state,
    speed: slower / RAD,
    wheelDeg: (state.wheelDeg + state.speed * seconds) % 360,
    harm: state.harm + harmAt(hub, standing) * seconds,
  };
}

/** How long a push runs, seconds; stepped at a fiftieth of a second. */
export function runDownS(hub: HiddenHub, state: HubState): number {
  let now = spin(state);
  let seconds = 0;
  while (now.speed > 0 && seconds < 300) {
    now = later(hub, now, 0.05);
    seconds += 0.05;
  }
  return seconds;
}

/** What a hand feels, as it stands, at the tightest spot of the turn: what is told apart and what may be misread. */
export function handFeel(hub: HiddenHub, state: HubState, misreads = true): Feel {
  const { tightest } = extremes(hub, state);
  const order: Feel[] = ['loose', 'tick', 'smooth', 'tight'];
  const band = tightest < -hub.level.tickDeg ? 0 : tightest < 0 ? 1 : tightest <= hub.level.smoothDeg ? 2 : 3;
  const next = uniformStream(hub.seed, `feel ${hub.level.id} ${state.trials} ${state.clamped}`);
  if (!misreads || next() >= MISREAD) return order[band]!;
  return order[band === 0 ? 1 : band === 3 ? 2 : band + (next() < 0.5 ? -1 : 1)]!;
}

export interface HubSound {
  /** Each from 0 to 1: the smooth run, the rumble of pits, the grind of too tight. */
  run: number;
  rumble: number;
  grind: number;
}

/** What it sounds like where the wheel is now. */
export function soundOf(hub: HiddenHub, state: HubState): HubSound {
  const speed = Math.min(1, state.speed / 540);
  const standing = standingAt(hub, state, state.wheelDeg);
  const rough = Math.abs(unevenness(hub, state.wheelDeg) - unevenness(hub, state.wheelDeg + 4));
  return {
    run: 0.35 * speed,
    rumble: Math.min(1, speed * (rough / 2 + (hub.level.pitDeg > 0 ? 0.12 * hub.level.pitDeg : 0))),
    grind: Math.min(1, Math.max(0, (standing - hub.level.smoothDeg) / 40) * (state.speed > 0 ? 1 : 0)),
  };
}

/** What the hand, the eye and the ear tell, in words, for those who see or hear no animation. */
export function toldInWords(hub: HiddenHub, state: HubState): string {
  if (!state.locked) return 'Unlocked: lock it before it is felt.';
  const rock = rockMm(hub, state);
  const { tightest, loosest } = extremes(hub, state);
  const seconds = Math.round(runDownS(hub, { ...state, speed: 0 }));
  const [part, runs] = hub.level.what === 'hub' ? ['rim', 'A push runs'] : ['fork', 'The bars swing on for'];
  const rim = rock < 0.05 ? `The ${part} does not rock here.` : `The ${part} rocks ${rock.toFixed(1)} mm here.`;
  const run = `${runs} ${seconds} s.`;
  const round =
    tightest > hub.level.smoothDeg
      ? loosest < 0
        ? ' It drags at one place of the turn and is loose at another.'
        : ' It drags.'
      : hub.level.pitDeg > 0
        ? ' It rumbles.'
        : '';
  return `${rim} ${run}${round}`;
}

export interface RoundScore {
  total: number;
  result: number;
  trials: number;
  unharmed: number;
  /** Degrees that the tightest spot stands off the smooth band, as ridden: under 0 loose, over 0 tight. */
  offDeg: number;
  words: string;
}

/**
 * The score of a round, of 100: sixty for where it stands as it is ridden (the tightest spot of the turn between where play
 * ends and where it begins to drag; three and a half points lost for each degree off), twenty for few trials, twenty for
 * tracks without marks, none where it marks them as it is ridden. Example: in the band, at par, unharmed → 100.
 */
export function scoreRound(hub: HiddenHub, state: HubState): RoundScore {
  const ridden = { ...state, clamped: hub.level.squeezeDeg > 0 };
  const { tightest } = extremes(hub, ridden);
  const offDeg = tightest < 0 ? tightest : Math.max(0, tightest - hub.level.smoothDeg);
  const result = state.locked ? Math.max(0, 60 - 3.5 * Math.abs(offDeg)) : 0;
  const trials = Math.max(0, 20 - 4 * Math.max(0, state.trials - hub.level.parTrials));
  // As it is ridden it marks them from now on, whatever it did on the way.
  const marks = offDeg > 0 && harmAt(hub, tightest) > 0;
  const unharmed = marks ? 0 : Math.max(0, 20 - state.harm);
  const where = !state.locked
    ? 'It is not locked: the first kilometre undoes it.'
    : offDeg === 0
      ? 'Smooth as it is ridden, without play.'
      : offDeg < 0
        ? `${Math.round(-offDeg)}° too loose as it is ridden: it hammers.`
        : `${Math.round(offDeg)}° too tight as it is ridden: it ${marks ? 'marks the tracks' : 'drags, and does not mark yet'}.`;
  const harmed = !marks && state.harm >= 1 ? ' On the way the tracks were marked.' : '';
  return {
    total: Math.round(result + (state.locked ? trials + unharmed : 0)),
    result: Math.round(result),
    trials: Math.round(trials),
    unharmed: Math.round(unharmed),
    offDeg,
    words: where + harmed,
  };
}
