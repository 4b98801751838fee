import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import bottomBracketsJson from './bottomBrackets.json';
import freewheelsJson from './freewheels.json';
import headsetsJson from './headsets.json';
import hubAxlesJson from './hubAxles.json';
import pedalsJson from './pedals.json';
import postsAndBarsJson from './postsAndBars.json';
import spokesJson from './spokes.json';
import wheelSizesJson from './wheelSizes.json';

const words = z.nullable(z.string());
const size = z.nullable(z.number());
/** Several sizes that one standard is met in, joined by an upright stroke. */
const sizes = z.nullable(z.string().check(z.regex(/^[\d.]+(\|[\d.]+)*$/)));
const hand = z.nullable(z.enum(['left', 'right', 'none']));
const thread = { pitchMm: size, tpi: size };

export const bottomBrackets = parseTable(
  z.strictObject({
    name: z.string(),
    kind: z.string(),
    boreOrMajorDiameterMm: z.number(),
    ...thread,
    minorDiameterHintMm: size,
    shellWidthsMm: sizes,
    usualSpindle: words,
    driveHand: hand,
    leftHand: hand,
    driveTool: words,
    leftTool: words,
    removalDrive: words,
    removalLeft: words,
    era: words,
    note: words,
    ...provenance,
  }),
  bottomBracketsJson,
);

export const headsets = parseTable(
  z.strictObject({
    name: z.string(),
    kind: z.string(),
    steererMm: z.number(),
    ...thread,
    headTubeMm: z.number(),
    cupPressMm: size,
    crownRaceSeatMm: size,
    crownRaceMm: size,
    quillMm: size,
    cartridgeAnglesDeg: words,
    cartridgeOdMm: words,
    note: words,
    ...provenance,
  }),
  headsetsJson,
);

export const hubAxles = parseTable(
  z.strictObject({
    name: z.string(),
    place: z.string(),
    axle: z.string(),
    diameterMm: z.number(),
    ...thread,
    overLocknutMm: sizes,
    coneSpannerMm: words,
    locknutSpannerMm: words,
    axleNutSpannerMm: words,
    note: words,
    eraFrom: size,
    eraTo: size,
    ...provenance,
  }),
  hubAxlesJson,
);

export const freewheels = parseTable(
  z.strictObject({
    name: z.string(),
    what: z.enum(['freewheel', 'fixed-cog', 'lockring']),
    place: z.string(),
    diameterMm: z.number(),
    ...thread,
    hand: z.enum(['left', 'right']),
    torqueMinNm: size,
    torqueMaxNm: size,
    removal: z.string(),
    note: words,
    ...provenance,
  }),
  freewheelsJson,
);

export const pedals = parseTable(
  z.strictObject({
    name: z.string(),
    place: z.string(),
    diameterMm: z.number(),
    ...thread,
    rightHand: z.enum(['left', 'right']),
    leftHand: z.enum(['left', 'right']),
    torqueMinNm: size,
    torqueMaxNm: size,
    removalRight: z.string(),
    removalLeft: z.string(),
    note: words,
    ...provenance,
  }),
  pedalsJson,
);

export const postsAndBars = parseTable(
  z.strictObject({
    name: z.string(),
    kind: z.enum(['seat-post', 'stem', 'handlebar']),
    at: z.nullable(z.enum(['clamp', 'grip'])),
    diameterMm: z.number(),
    nominalIn: words,
    howCommon: z.string(),
    usualOn: words,
    matesWith: words,
    caution: words,
    ...provenance,
  }),
  postsAndBarsJson,
);

export const wheelSizes = parseTable(
  z.strictObject({
    name: z.string(),
    beadSeatMm: z.number(),
    tyreMinMm: size,
    tyreMaxMm: size,
    use: words,
    eraFrom: size,
    eraTo: size,
    caution: words,
    ...provenance,
  }),
  wheelSizesJson,
);

export const spokes = parseTable(
  z.strictObject({
    name: z.string(),
    shape: z.string(),
    endMm: z.number(),
    middleMm: z.number(),
    threadMajorMm: size,
    threadTpi: size,
    nippleMm: size,
    nippleAltMm: size,
    mass290MmG: size,
    stiffness290NPerMm: size,
    stretchMmPer1000N: size,
    note: words,
    ...provenance,
  }),
  spokesJson,
);
