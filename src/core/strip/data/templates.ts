import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import { FASTENERS } from './threadHands';
import assembliesJson from './assemblies.json';
import partKindsJson from './partKinds.json';
import partsJson from './assemblyParts.json';
import saysJson from './assemblySays.json';
import stepsJson from './assemblySteps.json';
import orderJson from './stripOrder.json';
import trayOfJson from './trayOfPlace.json';

export const SHAPES = [
  'hex',
  'bolt',
  'spring',
  'disc',
  'tube',
  'cone',
  'cap',
  'balls',
  'cage',
  'axle',
  'hub',
  'cogs',
  'ring',
  'arm',
  'clip',
  'cup',
  'fork',
  'cartridge',
  'stem',
  'quill',
  'wedge',
  'crank',
  'pedal',
  'cable',
  'pad',
  'block',
] as const;
export type PartShape = (typeof SHAPES)[number];

const yesNo = z.enum(['yes', 'no']);
const side = z.nullable(z.string());
const list = (joined: string | null) => (joined === null ? [] : joined.split('|'));

/** Kinds of part: what they are made of, how dirty they usually are, what they displace, how they are drawn. */
export const partKinds = new Map(
  parseTable(
    z.strictObject({
      id: z.string(),
      label: z.string(),
      materials: z.string(),
      soil: z.enum(['oil', 'old-grease', 'mud', 'rust']),
      volumeMl: z.number(),
      shape: z.enum(SHAPES),
      lengthMm: z.number(),
      diameterMm: z.number(),
      boreMm: z.number(),
      ...provenance,
    }),
    partKindsJson,
  ).map((row) => [row.id, { ...row, materials: list(row.materials) }]),
);

/** Assemblies that come apart into a tray of their own. */
export const assemblyRows = parseTable(
  z.strictObject({
    id: z.string(),
    title: z.string(),
    places: z.string(),
    applies: z.nullable(z.string()),
    axis: z.string(),
    balls: z.nullable(z.string()),
    stuck: z.nullable(z.string()),
    needs: z.nullable(z.enum(['asked'])),
    ...provenance,
  }),
  assembliesJson,
).map((row) => ({ ...row, places: list(row.places), balls: list(row.balls?.replaceAll(';', '|') ?? null) }));

/** Their parts, as they lie along the axis. */
export const partRows = parseTable(
  z.strictObject({
    assembly: z.string(),
    id: z.string(),
    kind: z.string(),
    label: z.nullable(z.string()),
    side,
    facing: z.nullable(z.string()),
    ...provenance,
  }),
  partsJson,
);

/** Their steps, in the order of the work. */
export const stepRows = parseTable(
  z.strictObject({
    assembly: z.string(),
    id: z.string(),
    title: z.string(),
    tool: z.string(),
    fastener: z.nullable(z.enum(FASTENERS)),
    side,
    nuttedOnly: yesNo,
    takes: z.nullable(z.string()),
    photo: yesNo,
    count: z.nullable(z.string()),
    forget: z.nullable(z.string()),
    /** What the gauge drawer tells before the step can be called done. */
    reads: z.nullable(z.string()),
    ...provenance,
  }),
  stepsJson,
).map((row) => ({ ...row, takes: list(row.takes) }));

/** What has to come before what, between assemblies and within one. */
export const orderRows = parseTable(
  z.strictObject({
    before: z.string(),
    beforeStep: z.string(),
    beforeEnd: z.nullable(z.string()),
    after: z.string(),
    afterStep: z.string(),
    why: z.string(),
    ...provenance,
  }),
  orderJson,
).map((row) => ({
  ...row,
  before: list(row.before),
  beforeStep: list(row.beforeStep),
  after: list(row.after),
  afterStep: list(row.afterStep),
}));

/** What an assembly that was found says of the bicycle, as `field=value`; `@` stands for the end at which it was found. */
export const assemblySays = new Map(
  parseTable(
    z.strictObject({ assembly: z.string(), says: z.string(), unless: z.nullable(z.string()), ...provenance }),
    saysJson,
  ).map(({ assembly, says, unless }) => [assembly, { says, unless }]),
);

/** The tray that a place without one of its own belongs to. */
export const trayOfPlace = new Map(
  parseTable(z.strictObject({ place: z.string(), tray: z.string(), ...provenance }), trayOfJson).map(
    ({ place, tray }) => [place, tray],
  ),
);
