import { parseISO } from 'date-fns';
import { newBicycle } from '../fresh';
import { localDay } from '../localDay';
import type { Bicycle } from '../record';
import { newTray } from '../strip/fresh';
import type { Ago } from './ago';

const MECHANIC = 'The mechanic';

/** What was kept: the chain that is on its way. */
const KEPT: Bicycle['jobs'] = [
  {
    id: 'chain-new',
    rule: null,
    title: 'Put the new chain on',
    place: 'chain',
    minutes: { low: 10, likely: 15, high: 25 },
    parts: { low: 1400, likely: 1900, high: 2600 },
    decision: 'keep',
    reason: '',
    done: false,
    approval: null,
    declined: null,
  },
];

/** A tourer in the middle of its rebuild: the stem came, the bars are in for now so that it can be wheeled. */
export function slipway(ago: Ago): Bicycle {
  const bicycle = newBicycle('slipway-tourer', ago(24 * 12), 'Slipway tourer', {
    beadSeatMm: 622,
    tyreWidthMm: 32,
    bars: 'drop',
    stem: 'threadless',
    brakes: 'cantilever',
    frameMaterial: 'aluminium',
    postMaterial: 'carbon',
    gears: 'derailleur',
    chain: '9-10-speed',
    cranks: 'square-taper',
    wheels: 'quick-release',
    cogsOn: 'cassette',
    shifters: 'bar-end',
    rings: 3,
    cogs: 9,
  });
  bicycle.teeth = { rings: [26, 36, 48], cogs: [11, 12, 14, 16, 18, 21, 24, 28, 32] };
  bicycle.driveFamilies = { shifter: 'ratio 1.7', derailleur: 'ratio 1.7' };
  bicycle.driveFigures = { 'max-cog': 34, capacity: 43, stay: 445 };
  bicycle.note = 'Taken apart for the salt; the carbon post is the rider’s own.';
  bicycle.purchase = { paid: 9000, at: ago(24 * 12) };
  bicycle.appraisal = {
    ...bicycle.appraisal,
    asking: 11000,
    resale: { low: 30000, likely: 36000, high: 42000 },
  };
  bicycle.trays = [
    {
      ...newTray('brake.front'),
      doneSteps: ['photo', 'cable', 'pads', 'left'],
      off: { anchor: 1, inner: 2, straddle: 3, 'pads.left': 4, 'bolt.left': 5, 'arm.left': 6, 'spring.left': 7 },
      cleaned: ['anchor', 'straddle', 'pads.left', 'bolt.left', 'arm.left', 'spring.left'],
    },
    {
      ...newTray('chain'),
      doneSteps: ['before', 'off'],
      off: { link: 1, chain: 2 },
      cleaned: ['link'],
    },
  ];
  bicycle.jobs = KEPT;
  bicycle.deliveries = [
    { id: 'd1', label: 'Rear tyre 32-622', dueOn: localDay(parseISO(ago(-48))), arrivedAt: null, place: 'tyre.rear' },
  ];
  bicycle.tookOff = { cables: true, 'tape-or-grips': true };
  bicycle.looseEnds = [{ id: 'loose1', place: 'bars', label: 'Handlebar', at: ago(5), closedAt: null }];
  bicycle.jointFills = { 'bar-clamp': { used: 'grease', at: ago(5), by: MECHANIC } };
  bicycle.fit = {
    'saddle-height': { beforeMm: 742, givenMm: 742 },
    'bar-height': { beforeMm: 985, givenMm: null },
  };
  bicycle.barSettled = false;
  bicycle.signatures = [
    {
      id: 'sig1',
      bolt: 'crank-left-taper',
      how: 'wrench',
      valueNm: 38,
      at: ago(26),
      by: MECHANIC,
      holdTest: false,
      what: 'done',
      foundLoose: false,
    },
    {
      id: 'sig2',
      bolt: 'crank-right-taper',
      how: 'wrench',
      valueNm: 38,
      at: ago(26),
      by: MECHANIC,
      holdTest: false,
      what: 'done',
      foundLoose: false,
    },
  ];
  return bicycle;
}
