/** The schools of the trade as house rules, in plain words: what is asked, and what each answer means at the bench. */

export interface RuleOption {
  value: string;
  label: string;
  words: string;
}

export interface HouseRule {
  key:
    | 'openSound'
    | 'reuseBalls'
    | 'cartridges'
    | 'pittedCup'
    | 'school'
    | 'frontBrakeHand'
    | 'wrenchEverywhere'
    | 'secondEyes'
    | 'taper'
    | 'chainRenewal'
    | 'tyreGap'
    | 'tyreAge'
    | 'padToe'
    | 'leverGrip'
    | 'masterCylinder'
    | 'chainLube'
    | 'spoiltNipple'
    | 'spokesPull';
  title: string;
  options: RuleOption[];
}

/** Every house rule. `openSound` is told by "yes" and "no". */
export const HOUSE_RULES: HouseRule[] = [
  {
    key: 'openSound',
    title: 'A bearing that feels sound',
    options: [
      { value: 'no', label: 'Is left alone', words: 'Leave well alone: what runs as it should is not opened.' },
      { value: 'yes', label: 'Is opened all the same', words: 'Old grease is old: open it, look, and repack.' },
    ],
  },
  {
    key: 'reuseBalls',
    title: 'Balls that came out',
    options: [
      { value: 'if-bright', label: 'Go back if bright', words: 'Bright, in size and alike: they are used again.' },
      { value: 'never', label: 'Are always renewed', words: 'Balls are cheap: an opened bearing gets new ones.' },
    ],
  },
  {
    key: 'cartridges',
    title: 'A rough cartridge',
    options: [
      { value: 'replace-when-rough', label: 'Is renewed', words: 'A cartridge that is rough is pressed out.' },
      {
        value: 'repack-if-balls-bright',
        label: 'Is repacked if its balls are bright',
        words: 'Seal lifted, washed, greased: it runs on where the balls are bright.',
      },
    ],
  },
  {
    key: 'pittedCup',
    title: 'A pitted cup with no spare',
    options: [
      {
        value: 'renew-unit',
        label: 'Condemns the unit',
        words: 'A pitted track eats cones and balls: renew the unit.',
      },
      {
        value: 'run-on',
        label: 'Runs on',
        words: 'New balls, set at the tightest spot, said on the sheet, looked at sooner.',
      },
    ],
  },
  {
    key: 'school',
    title: 'A cone is set',
    options: [
      { value: 'from-tight', label: 'From tight', words: 'Tight first, then opened until it is free.' },
      { value: 'from-loose', label: 'From loose', words: 'Loose first, then closed until the play is gone.' },
    ],
  },
  {
    key: 'frontBrakeHand',
    title: 'The front brake is worked by',
    options: [
      { value: 'either', label: 'Either hand', words: 'No country is set: both are let pass.' },
      { value: 'left', label: 'The left hand', words: 'As riders in much of the world expect it.' },
      { value: 'right', label: 'The right hand', words: 'As riders in some countries expect it.' },
    ],
  },
  {
    key: 'wrenchEverywhere',
    title: 'The torque wrench is asked for',
    options: [
      {
        value: 'customers',
        label: 'On customers’ work',
        words: 'Elsewhere a feel counts with its hold test, but for carbon, steerer clamps and faceplates.',
      },
      { value: 'always', label: 'On every bolt with a figure', words: 'What has a figure is shown by the wrench.' },
      {
        value: 'never',
        label: 'Where paper asks it',
        words: 'Carbon, steerer clamps, faceplates; a feel counts with its hold test elsewhere.',
      },
    ],
  },
  {
    key: 'secondEyes',
    title: 'Brakes and steering are signed by',
    options: [
      { value: 'no', label: 'Whoever did them', words: 'A workshop of one has no other eyes.' },
      {
        value: 'yes',
        label: 'A second person too',
        words: 'Nobody sees their own slip: another person signs as well.',
      },
    ],
  },
  {
    key: 'taper',
    title: 'A square taper goes together',
    options: [
      { value: 'greased', label: 'With a film of grease', words: 'It seats at its torque and comes off again.' },
      { value: 'dry', label: 'Dry', words: 'Clean and dry, so that nothing lets it creep further up.' },
    ],
  },
  {
    key: 'chainRenewal',
    title: 'A worn chain is renewed',
    options: [
      {
        value: 'at-limit',
        label: 'At its limit',
        words: 'The table’s limit of its class: the most of the chain is used.',
      },
      {
        value: 'early',
        label: 'Early, when it is near',
        words: 'From where it is near its limit: the cogs are saved and take two or three chains.',
      },
    ],
  },
  {
    key: 'tyreGap',
    title: 'Room beside a tyre',
    options: [
      { value: 'usual', label: 'Three millimetres', words: 'Enough for a dry road and a wheel that is true.' },
      { value: 'wide', label: 'Six millimetres', words: 'Mud, grit and a spoke that breaks far from home.' },
    ],
  },
  {
    key: 'tyreAge',
    title: 'An old tyre',
    options: [
      {
        value: 'condition',
        label: 'Is judged by what it shows',
        words: 'Age alone condemns nothing: cracks, hard rubber and beads do.',
      },
      {
        value: 'age',
        label: 'Is renewed at its age',
        words: 'From the age in the table it is renewed, whatever it shows.',
      },
    ],
  },
  {
    key: 'padToe',
    title: 'Pads of a rim brake',
    options: [
      {
        value: 'toed',
        label: 'Are toed in',
        words: 'The front end meets the rim first: quieter, and they wear square.',
      },
      { value: 'square', label: 'Stand square', words: 'Flat from the first: the whole pad brakes at once.' },
    ],
  },
  {
    key: 'leverGrip',
    title: 'Levers on a flat bar',
    options: [
      {
        value: 'turn',
        label: 'May turn in a crash',
        words: 'Just tight enough for a hard pull: they turn, and do not snap.',
      },
      {
        value: 'hold',
        label: 'Hold',
        words: 'A lever that is shoved hard stays where it is. Drop levers always hold.',
      },
    ],
  },
  {
    key: 'masterCylinder',
    title: 'A master cylinder that leaks',
    options: [
      {
        value: 'renew',
        label: 'Is renewed with its lever',
        words: 'A new lever: nobody hangs on a seal that was fitted once.',
      },
      {
        value: 'rebuild',
        label: 'Is taken apart',
        words: 'A new piston set where the bore is whole; a scratched bore is finished.',
      },
    ],
  },
  {
    key: 'chainLube',
    title: 'A chain is lubricated',
    options: [
      { value: 'drop', label: 'By the drop', words: 'A drop on every roller, the outside wiped dry.' },
      {
        value: 'wax',
        label: 'With wax',
        words: 'Clean to bare metal and waxed: nothing oily on cogs, rings and pulleys after that.',
      },
    ],
  },
  {
    key: 'spoiltNipple',
    title: 'A nipple that rounds off',
    options: [
      {
        value: 'one',
        label: 'Is renewed by itself',
        words: 'One at a time with the tyre off; after the third all of them are counted up.',
      },
      {
        value: 'all',
        label: 'Means all of them new',
        words: 'When one goes, the next go too: the wheel gets new nipples at the first.',
      },
    ],
  },
  {
    key: 'spokesPull',
    title: 'Spokes that pull',
    options: [
      {
        value: 'outside',
        label: 'Lie outside the flange',
        words: 'Elbow inside, the spoke outside: a wider base, and a chain that comes off jams under it.',
      },
      {
        value: 'inside',
        label: 'Lie inside the flange',
        words: 'Elbow outside, the spoke inside: under load it draws away from the derailleur.',
      },
    ],
  },
];

/** A rule and its answer as one sentence. Example: `ruleWords('pittedCup', 'run-on')` begins "A pitted cup with no spare runs on". */
export function ruleWords(key: HouseRule['key'], value: string): string {
  const rule = HOUSE_RULES.find((each) => each.key === key);
  const option = rule?.options.find((each) => each.value === value);
  return rule && option ? `${rule.title} ${option.label.toLowerCase()}` : '';
}
