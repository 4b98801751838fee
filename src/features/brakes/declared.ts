import type { Declared } from '../workshop/declared';

export const brakes: Declared = {
  thread: () => import('./thread').then(({ setupThread }) => setupThread),
};
