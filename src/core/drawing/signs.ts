import { STATES, stateLabel, stateRank, type StateId } from '../vocabulary/vocabulary';

/** What a place may carry on the drawing besides the state it was found in. */
export const STAGE_SIGNS = [
  'off',
  'in-bath',
  'open',
  'bearing-done',
  'signed',
  'part-signed',
  'unsigned',
  'loose',
] as const;
export type StageSign = (typeof STAGE_SIGNS)[number];
export type SignId = StateId | StageSign;
export const SIGNS: readonly SignId[] = [...STATES, ...STAGE_SIGNS];

const STAGE_WORDS: Record<StageSign, string> = {
  off: 'Off, in its tray',
  'in-bath': 'In the bath',
  open: 'Open',
  'bearing-done': 'Bearing done',
  signed: 'Signed',
  'part-signed': 'Signed in part',
  unsigned: 'Not signed',
  loose: 'Loose for now',
};

/** The word of a sign. */
export function signLabel(id: SignId): string {
  return (STAGE_SIGNS as readonly string[]).includes(id) ? STAGE_WORDS[id as StageSign] : stateLabel(id as StateId);
}

/** Between "watch" and "service": work that is under way. */
const STAGE_RANKS: Record<StageSign, number> = {
  unsigned: 0.9,
  // It keeps the bicycle in as surely as what is unsafe.
  loose: 2.5,
  'part-signed': 0.8,
  // What is out says more than bolts that nobody can sign yet.
  off: 0.95,
  'in-bath': 0.75,
  open: 0.6,
  'bearing-done': 0.2,
  signed: 0.1,
};

/** Which of two signs is graver. What is unsafe, or is to be replaced, is graver than any work under way. */
export function signRank(id: SignId): number {
  return (STAGE_SIGNS as readonly string[]).includes(id)
    ? stateRank('watch') + STAGE_RANKS[id as StageSign]
    : stateRank(id as StateId);
}

/** Which colour of the palette a sign has; colour is never the only difference. */
export function signTone(id: SignId): StateId | 'ink' | 'accent' {
  switch (id) {
    case 'off':
    case 'open':
    case 'part-signed':
      return 'ink';
    case 'unsigned':
      return 'not-looked-at';
    case 'loose':
      return 'unsafe';
    case 'in-bath':
      return 'service';
    case 'bearing-done':
    case 'signed':
      return 'fine';
    default:
      return id;
  }
}

/** One shape of a sign inside a square of 24 units. */
export interface SignShape {
  d: string;
  fill: 'tone' | 'paper' | 'none';
  stroke: 'tone' | 'paper' | 'none';
  width: number;
  dash?: string;
}

const filled = (d: string): SignShape => ({ d, fill: 'tone', stroke: 'none', width: 0 });
const framed = (d: string, dash?: string): SignShape => ({ d, fill: 'paper', stroke: 'tone', width: 2.4, dash });
const ink = (d: string, width = 2.4): SignShape => ({ d, fill: 'none', stroke: 'tone', width });
const light = (d: string, width = 2.4): SignShape => ({ d, fill: 'none', stroke: 'paper', width });
const disc = (r: number) => `M${12 - r} 12a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;

/** The shapes of every sign; no two are alike without colour. */
export const SIGN_SHAPES: Record<SignId, SignShape[]> = {
  fine: [filled(disc(10)), light('M7.5 12.5l3 3 6-7')],
  watch: [framed('M12 3.2L21.5 20H2.5Z'), ink('M12 9.5v5'), ink('M12 17.4v.01', 2.8)],
  service: [framed('M3 3h18v18H3z'), filled('M3 12h18v9H3z')],
  replace: [filled('M12 1.8L22.2 12 12 22.2 1.8 12Z'), light('M8.6 8.6l6.8 6.8M15.4 8.6l-6.8 6.8')],
  unsafe: [filled('M7.8 1.8h8.4l6 6v8.4l-6 6H7.8l-6-6V7.8Z'), light('M6.5 12h11', 3.4)],
  'not-looked-at': [{ ...ink(disc(9.6)), dash: '3.6 3.9' }],
  // A shallow tray, a washer and a nut lying in it.
  off: [
    ink('M5.2 6.6a2.9 2.9 0 1 0 5.8 0a2.9 2.9 0 1 0-5.8 0', 2),
    filled('M13.4 4h5.4v6h-5.4z'),
    framed('M1.8 11h20.4l-2.9 8.6H4.7z'),
  ],
  'in-bath': [
    framed('M2.5 4.5v15h19v-15'),
    ink('M5 11c2.3-2.6 4.7 2.6 7 0s4.7 2.6 7 0M5 15.4c2.3-2.6 4.7 2.6 7 0s4.7 2.6 7 0', 2),
  ],
  open: [framed(disc(9.6)), filled('M12 2.4a9.6 9.6 0 0 1 0 19.2z')],
  'bearing-done': [filled(disc(10)), light(disc(5.2), 2.2), light('M12 12v.01', 3)],
  signed: [filled('M3 3h18v18H3z'), light('M7.2 12.4l3.2 3.2 6.4-7')],
  'part-signed': [framed('M3 3h18v18H3z'), ink('M7.2 12.4l3.2 3.2 6.4-7')],
  unsigned: [framed('M4.5 4.5h15v15h-15z', '3 3')],
  // A nut that has turned a little, with the way it went.
  loose: [framed('M12 6.5l4.8 2.8v5.4L12 17.5l-4.8-2.8V9.3z'), ink('M3.2 9.5A9.4 9.4 0 0 1 12 2.6M3 4.6v5.2h5', 2.2)],
};
