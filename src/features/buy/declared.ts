import { money } from '@/ui/format';
import { defineOverlay, later, type Declared } from '../workshop/declared';
import { appraisalInput } from '@/model/buy/questions';
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
      if (purchase) return `paid ${money(purchase.paid, currency, true)}`;
      return appraisal.asking ? `asked ${money(appraisal.asking, currency, true)}` : '';
    },
  },
  overlays: [
    defineOverlay<'buy.appraise'>({
      at: ['buy'],
      asks: { id: 'buy.appraise', of: (bicycle, { settings, taught }) => appraisalInput(bicycle, settings, taught) },
      signs: (_bicycle, { answer }, laid) =>
        (answer?.door ?? [])
          .filter((line) => line.answer !== null && !laid.has(line.place))
          .map((line) => ({ place: line.place, sign: line.answer === 'bad' ? 'replace' : 'fine' })),
    }),
  ],
};
