import type { StockItem } from '../stock/item';
import type { Ago } from './ago';

/** What lies in the drawer of the ticket hall. */
export function drawer(ago: Ago): StockItem[] {
  const item = (id: string, changes: Partial<StockItem>): StockItem => ({
    id,
    label: '',
    place: 'frame',
    size: '',
    state: 'good',
    from: 'the drawer under the ticket window',
    bicycle: null,
    quantity: 1,
    worth: 0,
    cost: null,
    at: ago(24 * 60),
    goneAt: null,
    ...changes,
  });
  return [
    item('s1', {
      label: 'Brake pads, pair',
      place: 'pads.front',
      size: '55 mm',
      state: 'new',
      quantity: 3,
      worth: 1200,
      cost: 1050,
    }),
    item('s2', {
      label: 'Balls 1/4 in',
      place: 'hub.rear',
      size: '6.35 mm',
      state: 'new',
      quantity: 62,
      worth: 300,
      cost: 280,
    }),
    item('s3', {
      label: 'Left crank arm',
      place: 'crank.left',
      size: '170 mm, square taper',
      worth: 900,
      cost: 0,
      from: 'a wreck from the quay',
    }),
    item('s4', {
      label: 'Chain, 6 to 8 speed',
      place: 'chain',
      size: '116 links',
      state: 'new',
      worth: 1400,
      cost: 1290,
    }),
    item('s5', {
      label: 'Quill stem',
      place: 'stem',
      size: '22.2 mm, 80 mm',
      worth: 1500,
      cost: 400,
      from: 'a wreck from the quay',
    }),
  ];
}
