import { USUAL_PITCH_MM } from '@/core/drive/pitch';
import { setBrakeOf } from '@/core/setup/kinds';
import type { QuestionOf } from '@/core/questions';
import type { Bicycle } from '../record';
import type { ShiftRound } from './part';

type Known = Pick<Bicycle, 'kind' | 'teeth' | 'driveFigures' | 'driveFamilies'>;

/** A turn of the rear wheel on the road: its tyre's outside, which is bead seat and twice the tyre's height. */
export function rollMm({ kind }: Pick<Bicycle, 'kind'>): number {
  const seat = kind.rearBeadSeatMm ?? kind.beadSeatMm;
  const tyre = kind.rearTyreWidthMm ?? kind.tyreWidthMm;
  return Math.PI * (seat + 2 * tyre);
}

/** Teeth of rings or cogs; null until they are counted. */
export const teethOf = ({ teeth }: Pick<Bicycle, 'teeth'>, of: 'rings' | 'cogs'): number[] | null => teeth[of] ?? null;

/** How many cogs: as they were counted, else as was said. */
export const cogCount = ({ teeth, kind }: Pick<Bicycle, 'teeth' | 'kind'>): number | null =>
  teeth.cogs?.length ?? kind.cogs;

/** The question for `drive.gears`; null until rings and cogs are counted. `other` asks what is gained by other teeth. */
export function gearsInput(
  bicycle: Known,
  hubRatios: readonly number[] | null,
  other: Partial<Record<'rings' | 'cogs', number[]>> = {},
): QuestionOf<'drive.gears'> | null {
  const rings = other.rings ?? teethOf(bicycle, 'rings');
  const cogs = other.cogs ?? teethOf(bicycle, 'cogs');
  if (!rings || !cogs) return null;
  const { power, load } = bicycle.driveFigures;
  return {
    rings: rings.slice(0, 4),
    cogs,
    ...(hubRatios && { hubRatios: [...hubRatios] }),
    wheelMm: rollMm(bicycle),
    ...(power !== undefined && { powerW: power }),
    ...(load !== undefined && { massKg: load }),
  };
}

/** The question for `drive.chainLength`; null until stay, rings and cogs are known. */
export function chainLengthInput(bicycle: Known): QuestionOf<'drive.chainLength'> | null {
  const { stay, slot } = bicycle.driveFigures;
  const [rings, cogs] = [teethOf(bicycle, 'rings'), teethOf(bicycle, 'cogs')];
  if (stay === undefined || !rings || !cogs) return null;
  return {
    stayMm: stay,
    largestRing: Math.max(...rings),
    largestCog: Math.max(...cogs),
    kind: bicycle.kind.gears === 'derailleur' ? 'derailleur' : 'single',
    slotMm: slot ?? 0,
  };
}

/** The question for `drive.match`; null until families, rings and cogs are known. */
export function matchInput(bicycle: Known): QuestionOf<'drive.match'> | null {
  const { shifter, derailleur } = bicycle.driveFamilies;
  const figures = bicycle.driveFigures;
  const [rings, cogs] = [teethOf(bicycle, 'rings'), teethOf(bicycle, 'cogs')];
  if (!shifter || !derailleur || !rings || !cogs) return null;
  return {
    shifter: { family: shifter, cogs: figures['shifter-cogs'] ?? cogs.length },
    rearDerailleur: {
      family: derailleur,
      ...(figures['max-cog'] !== undefined && { maxCog: figures['max-cog'] }),
      ...(figures.capacity !== undefined && { capacityTeeth: figures.capacity }),
    },
    cassette: {
      cogs: cogs.length,
      largest: Math.max(...cogs),
      smallest: Math.min(...cogs),
      ...(figures.pitch !== undefined && { pitchMm: figures.pitch }),
    },
    rings: rings.slice(0, 4),
  };
}

/** The question for `drive.fits`; null until it is known how many cogs there are. */
export function fitsInput(bicycle: Known): QuestionOf<'drive.fits'> | null {
  const cogs = cogCount(bicycle);
  if (cogs === null) return null;
  const { chain, body, lever } = bicycle.driveFamilies;
  const figures = bicycle.driveFigures;
  const counted = teethOf(bicycle, 'cogs');
  return {
    cogs,
    ...(counted && { smallestCog: Math.min(...counted) }),
    ...(chain && { chain }),
    ...(body && { body }),
    isSteel: bicycle.kind.frameMaterial === 'steel',
    ...(figures['frame-spacing'] !== undefined && { frameMm: figures['frame-spacing'] }),
    ...(figures['hub-spacing'] !== undefined && { hubMm: figures['hub-spacing'] }),
    ...(figures['ring-line'] !== undefined && { ringLineMm: figures['ring-line'] }),
    ...(figures['cog-line'] !== undefined && { cogLineMm: figures['cog-line'] }),
    ...((lever === 'short' || lever === 'long') && { lever }),
    brake: setBrakeOf(bicycle.kind, 'front'),
  };
}

/** The question for `drive.index`; null until it is known how many cogs there are and something was felt. */
export function indexInput(
  bicycle: Known & Pick<Bicycle, 'shiftRounds'>,
  pitchMm: number | null,
): QuestionOf<'drive.index'> | null {
  const cogs = cogCount(bicycle);
  const rounds = bicycle.shiftRounds.slice(-12);
  if (cogs === null || cogs < 2 || rounds.length === 0) return null;
  return {
    cogs,
    cogPitchMm: bicycle.driveFigures.pitch ?? pitchMm ?? USUAL_PITCH_MM[cogs] ?? 4,
    spring: bicycle.driveFamilies.spring === 'reversed' ? 'reversed' : 'normal',
    trials: rounds.map(({ turns, gears }, i) => ({
      turns: i === 0 ? 0 : turns,
      gears: gears.filter(({ gear }) => gear <= cogs),
    })),
  };
}

/** The question for `drive.wearCost`; null until its five figures are there. */
export function wearCostInput({ driveFigures: of }: Known): QuestionOf<'drive.wearCost'> | null {
  const [chain, cogs, chainKm, chainsPerCogs, togetherKm] = [
    of['chain-price'],
    of['cogs-price'],
    of['chain-km'],
    of['chains-per-cogs'],
    of['together-km'],
  ];
  if (!chain || cogs === undefined || !chainKm || !chainsPerCogs || !togetherKm) return null;
  return { chain, cogs, chainKm, chainsPerCogs: Math.round(chainsPerCogs), togetherKm };
}

/** A round with one more shift felt, or one taken back. */
export function felt(
  round: ShiftRound,
  gear: number,
  way: 'toLarger' | 'toSmaller',
  feel: ShiftRound['gears'][number]['toLarger'],
): ShiftRound {
  const was = round.gears.find((each) => each.gear === gear) ?? { gear, toLarger: null, toSmaller: null };
  const others = round.gears.filter((each) => each.gear !== gear);
  return { ...round, gears: [...others, { ...was, [way]: feel }].toSorted((a, b) => a.gear - b.gear) };
}
