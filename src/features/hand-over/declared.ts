import { money } from '@/ui/format';
import { later, type Declared } from '../workshop/declared';

export const handOver: Declared = {
  stage: {
    id: 'hand-over',
    label: 'Hand over',
    atStand: false,
    view: later(() => import('./HandOver').then(({ HandOver }) => HandOver)),
    bench: { task: 'prove', offered: 'by the stage' },
    printsItself: true,
  },
  notes: {
    'hand-over': ({ sale }, { settings: { currency } }) =>
      sale.price === null ? '' : `sold ${money(sale.price, currency)}`,
  },
};
