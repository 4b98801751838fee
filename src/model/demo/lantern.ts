import { shiftsOf } from '@/core/prove/shifting';
import type { BicycleKind } from '@/core/bicycle';
import type { Evidence } from '@/core/inspect/evidence';
import { newBearing } from '../bearings/fresh';
import { newBicycle } from '../fresh';
import { localDay } from '../localDay';
import type { SignedProof } from '../prove/part';
import { bearingLeaf } from '../leafKey';
import { sumOf } from '../prove/sum';
import type { Bicycle } from '../record';
import { stampOf } from '../stamps';
import { newTray } from '../strip/fresh';
import type { Ago } from './ago';
import { parseISO } from 'date-fns';

const MECHANIC = 'The mechanic';

export const LANTERN_KIND: Partial<BicycleKind> = {
  frame: 'diamond',
  beadSeatMm: 622,
  tyreWidthMm: 35,
  bars: 'swept',
  stem: 'quill',
  gears: 'derailleur',
  brakes: 'direct-pull',
  chain: '5-8-speed',
  cranks: 'square-taper',
  wheels: 'quick-release',
  rings: 2,
  cogs: 8,
  cogsOn: 'cassette',
};

/** What was looked at, tightened and proved, and the lines of the proof. */
export interface LanternTold {
  observations: { check: string; evidence: Evidence }[];
  signatures: { bolt: string; valueNm: number | null }[];
  proofs: string[];
  lines: SignedProof['lines'];
}

/** What was read before beside what was read after. */
const READ: [reading: string, when: 'before' | 'after', value: number][] = [
  ['mark-least-front', 'after', 3],
  ['mark-most-front', 'after', 6],
  ['pressure-front', 'after', 4],
  ['mark-least-rear', 'after', 3],
  ['mark-most-rear', 'after', 6],
  ['pressure-rear', 'after', 4.5],
  ['rim-play-front', 'before', 1.6],
  ['rim-play-front', 'after', 0.1],
  ['rim-play-rear', 'after', 0.2],
  ['runout-front', 'after', 0.5],
  ['runout-rear', 'after', 0.6],
];

/** Squeezed hard, each lever before its cable was renewed, and after. */
const LEVERS: [check: string, beforeMm: number, afterMm: number][] = [
  ['lever-gap-left', 26, 41],
  ['lever-gap-right', 28, 44],
];

/** A commuter that was proved and signed this morning: what stands when all of it is done. */
export function lantern(ago: Ago, told: LanternTold): Bicycle {
  const bicycle = newBicycle('lantern-commuter', ago(24 * 16), 'Lantern commuter', LANTERN_KIND);
  bicycle.note = 'Two rings, eight cogs. Front hub opened, brake cables renewed.';
  bicycle.purchase = { paid: 7000, at: ago(24 * 16) };
  bicycle.appraisal = { ...bicycle.appraisal, asking: 8000, resale: { low: 21000, likely: 25000, high: 29000 } };
  bicycle.seenAs = 'serviced';
  bicycle.size = { ...bicycle.size, sizeMm: 540, use: 'city' };
  bicycle.features = { 'cassette-freehub': true, 'rear-cogs-8': true };
  bicycle.listing = {
    ...bicycle.listing,
    forWhom: 'Good for somebody who rides to work by the harbour, every day and in rain.',
  };
  bicycle.notOriginal = [{ id: 'saddle', label: 'The saddle' }];
  const before = ago(24 * 15);
  const after = ago(26);
  const hand = { note: '', withdrawn: false, by: MECHANIC } as const;
  bicycle.observations = [
    ...LEVERS.map(([check, beforeMm]) => ({
      ...hand,
      id: `was-${check}`,
      check,
      at: before,
      evidence: { readingsMm: [beforeMm] },
      seenAs: 'bought' as const,
    })),
    ...told.observations.map(({ check, evidence }) => {
      const lever = LEVERS.find(([id]) => id === check);
      return {
        ...hand,
        id: `is-${check}`,
        check,
        at: after,
        evidence: lever ? { readingsMm: [lever[2]] } : evidence,
        seenAs: 'serviced' as const,
      };
    }),
  ];
  bicycle.trays = [{ ...newTray('hub.front'), doneSteps: ['photo', 'before'] }];
  bicycle.bearings = [
    {
      ...newBearing('hub.front'),
      before: { feel: 'gritty', play: 'slight', spinS: 11, by: MECHANIC },
      after: { feel: 'smooth', play: 'none', spinS: 52, by: MECHANIC },
      doneSteps: ['clean', 'grease', 'balls'],
    },
  ];
  bicycle.worked = [
    { id: 'w1', place: 'cables.brake', bolt: null, job: null, kind: 'renewed', at: ago(30) },
    { id: 'w2', place: 'hub.front', bolt: null, job: null, kind: 'off', at: ago(32) },
  ];
  bicycle.stamps = { [bearingLeaf('hub.front', 'after')]: stampOf(after, 'felt') };
  bicycle.signatures = told.signatures.map(({ bolt, valueNm }) => ({
    id: `sign-${bolt}`,
    bolt,
    how: valueNm === null ? ('feel' as const) : ('wrench' as const),
    valueNm,
    at: ago(25),
    by: MECHANIC,
    holdTest: valueNm === null,
    what: 'done' as const,
    foundLoose: bolt === 'saddle-clamp',
  }));
  bicycle.proofs = told.proofs.map((proof) => ({
    id: `proof-${proof}`,
    proof,
    passed: true,
    how: 'by hand',
    at: ago(3),
    by: MECHANIC,
    accepted: null,
    note: proof === 'brakes-walk' ? 'Front first, on the quay, dry.' : '',
  }));
  bicycle.proofReadings = READ.map(([reading, when, value], i) => ({
    id: `read-${i}`,
    reading,
    when,
    value,
    at: when === 'before' ? before : ago(3.2),
    by: MECHANIC,
  }));
  bicycle.stops = [
    {
      id: 'stop1',
      speedKmh: 22,
      distanceM: 4.1,
      brakes: 'both',
      surface: 'dry',
      at: ago(3.1),
      by: MECHANIC,
    },
  ];
  bicycle.shifts = Object.fromEntries(
    shiftsOf({ rings: 2, cogs: 8 }).map((shift) => [
      shift,
      { said: shift === '2.6.larger' ? ('slow' as const) : ('crisp' as const), at: ago(3.1), by: MECHANIC },
    ]),
  );
  bicycle.secondLooks = [
    {
      id: 'look1',
      of: 'ten-minutes',
      dueOn: localDay(parseISO(ago(3))),
      doneAt: ago(2.7),
      by: MECHANIC,
      words: '',
      at: ago(3),
    },
    {
      id: 'look2',
      of: 'fifty-km',
      dueOn: localDay(parseISO(ago(-24 * 7))),
      doneAt: null,
      by: MECHANIC,
      words: 'Spokes, cables, headset, cranks, brakes: two minutes each.',
      at: ago(2.7),
    },
  ];
  const signed: Omit<SignedProof, 'sum'> = {
    id: 'signed1',
    at: ago(2.5),
    by: MECHANIC,
    way: 'ready',
    left: 'The lacquer is worn at the top tube, and stays.',
    accepted: null,
    qualified: '',
    lines: told.lines,
  };
  bicycle.signed = [{ ...signed, sum: sumOf(signed) }];
  return bicycle;
}
