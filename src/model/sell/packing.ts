import type { Bicycle } from '../record';

/** How a bicycle is packed, and what whoever receives it puts together again. */
export const PACKING = [
  {
    id: 'pedals',
    label: 'Pedals off, in a bag',
    how: 'The left one comes off clockwise.',
    receiver: 'threads greased, right one clockwise, left one the other way, tight by the long end of a spanner.',
  },
  {
    id: 'bars',
    label: 'Bars turned along the frame',
    how: 'Stem bolts loose, cables with slack, nothing kinked.',
    receiver: 'straight to the wheel, tight by the figure on the stem; wheel held between the knees, they do not turn.',
  },
  {
    id: 'wheel',
    label: 'Front wheel out, a spacer in the fork',
    how: 'And one between the pads of a disc brake: no lever is pulled.',
    receiver: 'seated, closed, and lifted: it does not drop.',
  },
  {
    id: 'post',
    label: 'Saddle and post marked and in',
    how: 'Tape at its height.',
    receiver: 'to the tape, past its mark, tight; it does not turn under weight.',
  },
  {
    id: 'padded',
    label: 'Frame and derailleur padded',
    how: 'The hanger outermost: foam over it, or the derailleur off.',
    receiver: null,
  },
  {
    id: 'sheet',
    label: 'The sheet, and what is put together, inside',
    how: 'Brakes first: squeezed hard on both sides before it is ridden.',
    receiver: 'both brakes hold it before anybody sits on it; if in doubt, a workshop.',
  },
] as const;

export const packingDone = ({ packing }: Pick<Bicycle, 'packing'>): number =>
  PACKING.filter(({ id }) => packing[id] === true).length;
