import { subMinutes } from 'date-fns';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
import { USUAL_SETTINGS } from '../settings/usual';
import type { StockItem } from '../stock/item';
import type { Ago } from './ago';
import { drawer } from './drawer';
import { lantern, type LanternTold } from './lantern';
import told from './lantern.json';
import { racer } from './racer';
import { slipway } from './slipway';
import { staff } from './staff';
import { tourer } from './tourer';
import { visitor } from './visitor';
import { year } from './year';

/** A made-up two-person workshop in a disused ferry ticket hall, dated back from `now`. */
export function demoWorkshop(now: Date): { bicycles: Bicycle[]; settings: WorkshopSettings; stock: StockItem[] } {
  const ago: Ago = (hours) => subMinutes(now, hours * 60).toISOString();
  return {
    bicycles: [
      tourer(ago),
      staff(ago),
      racer(ago),
      visitor(ago),
      slipway(ago),
      lantern(ago, told as LanternTold),
      ...year(ago),
    ],
    settings: {
      ...USUAL_SETTINGS,
      name: 'Ticket hall workshop',
      customerPerHour: 3600,
      week: [
        { id: 'monday', day: 1, from: '18:30', to: '19:30', who: '' },
        { id: 'tuesday', day: 2, from: '18:30', to: '20:00', who: '' },
        { id: 'wednesday', day: 3, from: '18:30', to: '20:00', who: '' },
        { id: 'thursday', day: 4, from: '18:00', to: '20:00', who: '' },
        { id: 'friday', day: 5, from: '17:00', to: '18:00', who: '' },
        { id: 'saturday', day: 6, from: '09:00', to: '13:00', who: '' },
        { id: 'sunday', day: 7, from: '16:00', to: '17:30', who: '' },
      ],
    },
    stock: drawer(ago),
  };
}
