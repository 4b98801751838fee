import { endOf } from '@/core/bicycle';
import { later, type Declared } from '../workshop/declared';

export const wheels: Declared = {
  drawings: [
    {
      at: ['rebuild', 'prove'],
      of: (place, { wheelBuilds }) => /^(rim|spokes)\./.test(place) && wheelBuilds[endOf(place)!] !== undefined,
      view: later(() => import('./WheelSheet').then(({ WheelSheet }) => WheelSheet)),
    },
  ],
};
