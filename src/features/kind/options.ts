import type { BicycleKind } from '@/core/bicycle';

/** A field of what a bicycle is that is chosen from words; an empty word leaves it unsaid. */
export interface KindOption {
  key: {
    [Key in keyof BicycleKind]: BicycleKind[Key] extends string | number | null ? Key : never;
  }[keyof BicycleKind];
  label: string;
  values: [string, string][];
}

export const MAIN_OPTIONS: KindOption[] = [
  {
    key: 'frame',
    label: 'Frame',
    values: [
      ['diamond', 'Diamond'],
      ['mixte', 'Mixte'],
      ['step-through', 'Step-through'],
      ['small-wheel', 'Small wheels'],
      ['long-tail', 'Long tail'],
      ['full-suspension', 'Full suspension'],
    ],
  },
  {
    key: 'frameMaterial',
    label: 'Frame of',
    values: [
      ['steel', 'Steel'],
      ['aluminium', 'Aluminium'],
      ['carbon', 'Carbon'],
      ['titanium', 'Titanium'],
    ],
  },
  {
    key: 'fork',
    label: 'Fork',
    values: [
      ['rigid', 'Rigid'],
      ['suspension', 'Suspension'],
    ],
  },
  {
    key: 'bars',
    label: 'Bars',
    values: [
      ['drop', 'Drop'],
      ['flat', 'Flat'],
      ['swept', 'Swept back'],
    ],
  },
  {
    key: 'stem',
    label: 'Stem',
    values: [
      ['quill', 'Quill'],
      ['threadless', 'Threadless'],
    ],
  },
  {
    key: 'brakes',
    label: 'Brakes',
    values: [
      ['caliper', 'Caliper'],
      ['cantilever', 'Cantilever'],
      ['direct-pull', 'Direct pull'],
      ['disc', 'Disc'],
      ['drum', 'Drum'],
      ['back-pedal', 'Back-pedal, caliper in front'],
    ],
  },
  {
    key: 'gears',
    label: 'Gears',
    values: [
      ['derailleur', 'Derailleur'],
      ['hub', 'Hub gear'],
      ['single', 'Single speed'],
      ['coaster', 'Single, back-pedal'],
    ],
  },
  {
    key: 'chain',
    label: 'Chain',
    values: [
      ['single-or-hub-gear', 'Single or hub gear'],
      ['5-8-speed', '5 to 8 at the back'],
      ['9-10-speed', '9 or 10 at the back'],
      ['11-speed', '11 at the back'],
      ['12-speed', '12 at the back'],
    ],
  },
  {
    key: 'cranks',
    label: 'Cranks',
    values: [
      ['square-taper', 'Square taper'],
      ['cottered', 'Cottered'],
      ['pinch-bolt', 'Pinch bolts'],
      ['one-piece', 'One piece'],
      ['other', 'Another kind'],
    ],
  },
  {
    key: 'bottomBracket',
    label: 'Bottom bracket thread',
    values: [
      ['', 'Not identified yet'],
      ['english', 'English'],
      ['italian', 'Italian'],
      ['french', 'French'],
      ['swiss', 'Swiss'],
      ['british-26', 'British 26 tpi'],
    ],
  },
  {
    key: 'wheels',
    label: 'Wheels held by',
    values: [
      ['quick-release', 'Quick release'],
      ['nutted', 'Nuts'],
      ['thru-axle', 'Thru axle'],
    ],
  },
];

const METALS: [string, string][] = [
  ['', 'As the frame'],
  ['steel', 'Steel'],
  ['aluminium', 'Aluminium'],
  ['carbon', 'Carbon'],
  ['titanium', 'Titanium'],
];
const METAL_OR_CARBON: [string, string][] = [
  ['', 'Not said'],
  ['metal', 'Metal'],
  ['carbon', 'Carbon'],
];
const BRAKES: [string, string][] = [
  ['', 'As said above'],
  ['caliper', 'Caliper'],
  ['cantilever', 'Cantilever'],
  ['direct-pull', 'Direct pull'],
  ['disc', 'Disc'],
  ['drum', 'Drum'],
  ['back-pedal', 'Back-pedal'],
];
const WORKED_BY: [string, string][] = [
  ['', 'Not said'],
  ['mechanical', 'Cable'],
  ['hydraulic', 'Hose'],
];
const AXLES: [string, string][] = [
  ['', 'As said above'],
  ['quick-release', 'Quick release'],
  ['nutted', 'Nuts'],
  ['thru-axle', 'Thru axle'],
];
const counts = (most: number): [string, string][] => [
  ['', 'Not said'],
  ...Array.from({ length: most }, (_, i): [string, string] => [String(i + 1), String(i + 1)]),
];

/** What differs more seldom, by what it is about; what is empty is as the rest of the bicycle makes it. */
export const FINER_OPTIONS: { title: string; options: KindOption[] }[] = [
  {
    title: 'Brakes, where front and rear differ',
    options: [
      { key: 'frontBrake', label: 'Front brake', values: BRAKES.filter(([id]) => id !== 'back-pedal') },
      { key: 'rearBrake', label: 'Rear brake', values: BRAKES },
      { key: 'frontActuation', label: 'Front worked by', values: WORKED_BY },
      { key: 'rearActuation', label: 'Rear worked by', values: WORKED_BY },
      {
        key: 'caliperMount',
        label: 'Disc calipers on',
        values: [
          ['', 'Not said'],
          ['post', 'Posts'],
          ['flat', 'A flat face'],
        ],
      },
      {
        key: 'rotorMount',
        label: 'Discs held by',
        values: [
          ['', 'Not said'],
          ['six-bolt', 'Six bolts'],
          ['splined', 'A lockring'],
        ],
      },
    ],
  },
  {
    title: 'Wheels',
    options: [
      { key: 'frontAxle', label: 'Front wheel held by', values: AXLES },
      { key: 'rearAxle', label: 'Rear wheel held by', values: AXLES },
    ],
  },
  {
    title: 'Of what it is',
    options: [
      { key: 'forkMaterial', label: 'Fork of', values: METALS },
      { key: 'steererMaterial', label: 'Steerer of', values: METALS },
      { key: 'barMaterial', label: 'Bar of', values: METAL_OR_CARBON },
      { key: 'postMaterial', label: 'Seat post of', values: METAL_OR_CARBON },
    ],
  },
  {
    title: 'What is sprung',
    options: [
      {
        key: 'forkSpring',
        label: 'Fork sprung by',
        values: [
          ['', 'Not said'],
          ['air', 'Air'],
          ['coil', 'A coil'],
          ['elastomer', 'Elastomer'],
        ],
      },
      {
        key: 'rearShock',
        label: 'Rear shock',
        values: [
          ['', 'None, or not said'],
          ['air', 'Air'],
          ['coil', 'A coil'],
        ],
      },
      {
        key: 'post',
        label: 'Seat post',
        values: [
          ['rigid', 'Rigid'],
          ['dropper', 'Goes up and down'],
          ['suspension', 'Sprung'],
        ],
      },
    ],
  },
  {
    title: 'Gears',
    options: [
      { key: 'rings', label: 'Chainrings', values: counts(4) },
      { key: 'cogs', label: 'Cogs', values: counts(14) },
      {
        key: 'cogsOn',
        label: 'Cogs sit on',
        values: [
          ['', 'Not said'],
          ['freewheel', 'A freewheel'],
          ['cassette', 'A cassette body'],
          ['fixed', 'A fixed thread'],
          ['sprocket', 'A driver'],
        ],
      },
      {
        key: 'shifters',
        label: 'Shifters',
        values: [
          ['', 'Not said'],
          ['clamp', 'On the bar'],
          ['bar-end', 'At the bar ends'],
          ['down-tube', 'On the down tube'],
          ['integrated', 'In the brake levers'],
        ],
      },
      {
        key: 'driveSide',
        label: 'Chain on the',
        values: [
          ['right', 'Right'],
          ['left', 'Left'],
        ],
      },
    ],
  },
];

/** A choice as the record keeps it: a number where the field is one, nothing where the word is empty. */
export function chosen({ key }: KindOption, word: string): Partial<BicycleKind> {
  const value = word === '' ? null : key === 'rings' || key === 'cogs' ? Number(word) : word;
  return { [key]: value };
}

export const BEAD_SEATS = [
  [622, '622 mm (28 in, 700C)'],
  [630, '630 mm (27 in)'],
  [590, '590 mm (26 × 1 3/8)'],
  [584, '584 mm (650B)'],
  [559, '559 mm (26 in)'],
  [507, '507 mm (24 in)'],
  [451, '451 mm (20 in, high)'],
  [406, '406 mm (20 in)'],
  [349, '349 mm (16 in)'],
] as const;

export function seatWords(size: number): string {
  return BEAD_SEATS.find(([seat]) => seat === size)?.[1] ?? `${size} mm`;
}
