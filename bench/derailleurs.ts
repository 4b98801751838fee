import { answer } from '@/core/calculator';
import { driveIndex, type IndexCause, type IndexQuestion } from '@/core/drive/indexing';
import { feltAs, hiddenDerailleur, isCrisp, type HiddenDerailleur } from '@/core/practice/derailleur';
import { line } from './line';

type Trial = IndexQuestion['trials'][number];

/** Every gear tried both ways. */
function tryAll(hidden: HiddenDerailleur, turns: number, round: number, made: number): Trial {
  return {
    turns: made,
    gears: Array.from({ length: hidden.cogs }, (_, i) => ({
      gear: i + 1,
      toLarger: i === 0 ? null : feltAs(hidden, turns, round, i + 1, true),
      toSmaller: i === hidden.cogs - 1 ? null : feltAs(hidden, turns, round, i + 1, false),
    })),
  };
}

export interface SetRun {
  hidden: HiddenDerailleur;
  cause: IndexCause;
  settings: number;
  rounds: number;
  crisp: boolean;
}

const MOST_ROUNDS = 8;
const PITCH: Record<number, number> = { 7: 5, 8: 4.8, 9: 4.35, 10: 3.95, 11: 3.74 };

/** A derailleur set by the adviser until it says that it is done, or names another cause. */
export function setByAdviser(hidden: HiddenDerailleur): SetRun {
  const trials: Trial[] = [];
  let turns = 0;
  let made = 0;
  let settings = 0;
  let cause: IndexCause = 'unclear';
  while (trials.length < MOST_ROUNDS) {
    trials.push(tryAll(hidden, turns, trials.length, made));
    const said = answer(driveIndex, { cogs: hidden.cogs, cogPitchMm: PITCH[hidden.cogs] ?? 4, trials });
    if (!said.ok) throw new Error(JSON.stringify(said));
    cause = said.output.cause;
    if (said.output.next === null) break;
    made = said.output.next.turns;
    turns += made;
    if (made !== 0) settings++;
  }
  return { hidden, cause, settings, rounds: trials.length, crisp: isCrisp(hidden, turns) };
}

/** The barrel turned by rule of thumb: half a turn against whatever most shifts are, a quarter once most are crisp, until all seem crisp. */
export function setByThumb(hidden: HiddenDerailleur): SetRun {
  let turns = 0;
  let settings = 0;
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const { gears } = tryAll(hidden, turns, round, 0);
    const short = gears.filter(({ toLarger }) => toLarger === 'slow' || toLarger === 'fails').length;
    const past = gears.filter(({ toLarger, toSmaller }) =>
      [toLarger === 'noisy' || toLarger === 'skips', toSmaller === 'slow' || toSmaller === 'fails'].some(Boolean),
    ).length;
    if (short === 0 && past === 0) break;
    const by = Math.max(short, past) > hidden.cogs / 2 ? 0.5 : 0.25;
    turns += short >= past ? by : -by;
    settings++;
  }
  return { hidden, cause: 'set', settings, rounds: settings + 1, crisp: isCrisp(hidden, turns) };
}

const TOLD: Record<HiddenDerailleur['trouble'], readonly IndexCause[]> = {
  tension: ['set', 'cable-tension'],
  friction: ['friction'],
  hanger: ['hanger-or-mismatch'],
};

export interface Setting {
  right: number;
  crisp: number;
  settings: number;
}

/** Shares over many hidden derailleurs: the right cause; of those only out of tension how many are crisp, after how many settings. */
export function setDerailleurs(count: number, rough: boolean, way: (hidden: HiddenDerailleur) => SetRun): Setting {
  const runs = Array.from({ length: count }, (_, i) => way(hiddenDerailleur(i + 1, { rough })));
  const tension = runs.filter(({ hidden }) => hidden.trouble === 'tension');
  const share = (of: readonly SetRun[], holds: (run: SetRun) => boolean) => of.filter(holds).length / of.length;
  return {
    right: share(runs, ({ hidden, cause }) => TOLD[hidden.trouble].includes(cause)),
    crisp: share(tension, ({ crisp }) => crisp),
    settings: tension.reduce((sum, run) => sum + run.settings, 0) / tension.length,
  };
}

/** The adviser beside turning the barrel by rule of thumb, on hidden derailleurs of the book and on ones that are not. */
export function measureDerailleurs(): void {
  const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
  for (const rough of [false, true]) {
    const [adviser, thumb] = [setByAdviser, setByThumb].map((way) => setDerailleurs(400, rough, way));
    const of = rough ? ', off its model' : '';
    line(
      `indexing, right cause${of}`,
      percent(adviser!.right),
      `aim ${rough ? 85 : 90} %; by thumb ${percent(thumb!.right)}`,
    );
    line(
      `indexing, crisp throughout of those out of tension${of}`,
      percent(adviser!.crisp),
      `aim ${rough ? 85 : 90} %; by thumb ${percent(thumb!.crisp)}`,
    );
    line(
      `indexing, settings of the barrel${of}`,
      adviser!.settings.toFixed(2),
      `aim 2; by thumb ${thumb!.settings.toFixed(2)}`,
    );
  }
}
