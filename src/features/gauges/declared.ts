import { later, type Declared } from '../workshop/declared';

export const gauges: Declared = {
  place: later(() => import('./IdentifiedHere').then(({ IdentifiedHere }) => IdentifiedHere)),
};
