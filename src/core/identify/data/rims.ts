import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import rimPropertiesJson from './rimProperties.json';
import rimWidthsJson from './rimWidths.json';
import spokeTensionsJson from './spokeTensions.json';

const text = z.nullable(z.string());

/** Classes of rims with their sizes, masses and stiffness; a class is there in several sizes. */
export const rims = parseTable(
  z.strictObject({
    rimClass: z.string(),
    section: z.string(),
    material: z.enum(['steel', 'aluminium', 'carbon']),
    beadSeatDiameterMm: z.number(),
    ERDMinMm: z.number(),
    ERDMaxMm: z.number(),
    massMinG: z.number(),
    massMaxG: z.number(),
    EILatMinNm2: z.number(),
    EILatMaxNm2: z.number(),
    EIRadMinNm2: z.number(),
    EIRadMaxNm2: z.number(),
    GJMinNm2: z.number(),
    GJMaxNm2: z.number(),
    typicalMaxSpokeTensionN: z.number(),
    /** The row of the spoke tensions that goes with it. */
    tensionClass: z.string(),
    confidenceERD: z.string(),
    confidenceMass: z.string(),
    confidenceStiffness: z.string(),
    note: text,
    ...provenance,
  }),
  rimPropertiesJson,
);

/** Usual tensions by class, N. */
export const spokeTensions = parseTable(
  z.strictObject({ name: z.string(), tensionMinN: z.number(), tensionMaxN: z.number(), note: text, ...provenance }),
  spokeTensionsJson,
);

/** What tyres go on a rim by its width inside. */
export const rimWidths = parseTable(
  z.strictObject({
    name: z.string(),
    innerWidthMm: z.number(),
    tyreMinMm: z.number(),
    tyreMaxMm: z.number(),
    note: text,
    ...provenance,
  }),
  rimWidthsJson,
);
