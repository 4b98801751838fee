import * as z from 'zod/mini';
import { parseTable, provenance } from '../../table';
import complaintsJson from './diagnosisComplaints.json';
import complaintLinksJson from './diagnosisComplaintLinks.json';
import faultsJson from './diagnosisFaults.json';
import outcomeLinksJson from './diagnosisOutcomeLinks.json';
import testsJson from './diagnosisTests.json';

const chance = z.number().check(z.gte(0.01), z.lte(0.99));

export const diagnosisFaultRow = z.strictObject({
  id: z.string(),
  label: z.string(),
  place: z.string(),
  /** How often it is met, against the others; made into a share when the table loads. */
  weight: z.number().check(z.gt(0)),
  unsafe: z.enum(['yes', 'no']),
  fix: z.string(),
  minutesLow: z.number(),
  minutesLikely: z.number(),
  minutesHigh: z.number(),
  partsLowMinor: z.number(),
  partsLikelyMinor: z.number(),
  partsHighMinor: z.number(),
  ...provenance,
});
export const diagnosisComplaintRow = z.strictObject({
  id: z.string(),
  label: z.string(),
  /** Heard rather than felt: it is placed on the road by what changes it. */
  noise: z.boolean(),
  ...provenance,
});
export const complaintLinkRow = z.strictObject({ complaint: z.string(), fault: z.string(), p: chance, ...provenance });
export const diagnosisTestRow = z.strictObject({
  id: z.string(),
  label: z.string(),
  place: z.string(),
  minutes: z.number().check(z.gt(0)),
  how: z.string(),
  /** `id:label` pairs with a bar between. */
  outcomes: z.string(),
  /** Chances of the outcomes where the bicycle has some other fault, with a bar between. */
  usual: z.string(),
  ...provenance,
});
export const outcomeLinkRow = z.strictObject({
  test: z.string(),
  fault: z.string(),
  chances: z.string(),
  ...provenance,
});

export const diagnosisFaults = parseTable(diagnosisFaultRow, faultsJson);
export const diagnosisComplaints = parseTable(diagnosisComplaintRow, complaintsJson);
export const complaintLinks = parseTable(complaintLinkRow, complaintLinksJson);
export const diagnosisTests = parseTable(diagnosisTestRow, testsJson);
export const outcomeLinks = parseTable(outcomeLinkRow, outcomeLinksJson);
