import { money } from '@/ui/format';
import { later, type Declared } from '../workshop/declared';
import { partFrom, sellerStandsBy } from './parts';

export const buy: Declared = {
  stage: {
    id: 'buy',
    label: 'Buy',
    atStand: false,
    view: later(() => import('./Buy').then(({ Buy }) => Buy)),
    bench: { task: 'look-over', offered: 'by the stage' },
    hushed: (bicycle, address, isPhone) => sellerStandsBy(bicycle, partFrom(address, isPhone)),
  },
  notes: {
    buy: ({ purchase, appraisal }, { settings: { currency } }) => {
      if (purchase) return `paid ${money(purchase.paid, currency)}`;
      return appraisal.asking === null ? '' : `asked ${money(appraisal.asking, currency)}`;
    },
  },
};
