import { runningTimers } from '@/model/clean/timers';
import { later, type Declared } from '../workshop/declared';

export const clean: Declared = {
  stage: {
    id: 'clean',
    label: 'Clean',
    atStand: true,
    view: later(() => import('./Clean').then(({ Clean }) => Clean)),
    bench: { task: 'put-back', offered: 'by the sheet' },
  },
  notes: {
    clean: (bicycle) => {
      const running = runningTimers(bicycle).length;
      return running ? `${running} running` : '';
    },
  },
  overlays: [{ at: ['clean'], load: () => import('./overlay').then(({ bathSigns }) => bathSigns) }],
  benchFoot: later(() => import('./BenchTimers').then(({ BenchTimers }) => BenchTimers)),
  thread: () => import('./thread').then(({ washThread }) => washThread),
};
