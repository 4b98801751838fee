import { readFileSync } from 'node:fs';
import Papa from 'papaparse';

/** A shipped table: its CSV under data/, the JSON made from it, and the columns that stay text. */
export interface TableSource {
  csv: string;
  json: string;
  text?: string[];
}

export const TABLES: TableSource[] = [
  { csv: 'balls.csv', json: 'src/core/bearings/data/balls.json', text: ['fractionIn'] },
  { csv: 'ball_sets.csv', json: 'src/core/bearings/data/ballSets.json', text: ['ballFractionIn'] },
  { csv: 'chain_wear.csv', json: 'src/core/inspect/data/chainWear.json', text: ['nominalWidthIn'] },
  { csv: 'wear_limits.csv', json: 'src/core/inspect/data/wearLimits.json' },
  { csv: 'cleaning.csv', json: 'src/core/clean/data/cleaning.json' },
  { csv: 'soil_process.csv', json: 'src/core/clean/data/soilProcess.json' },
  { csv: 'clean_afterwards.csv', json: 'src/core/clean/data/afterwards.json' },
  { csv: 'clean_processes.csv', json: 'src/core/clean/data/processes.json' },
  { csv: 'clean_never_together.csv', json: 'src/core/clean/data/neverTogether.json' },
  { csv: 'finish_treatments.csv', json: 'src/core/clean/data/finishTreatments.json' },
  { csv: 'torque.csv', json: 'src/core/rebuild/data/torque.json', text: ['fastenerSize'] },
  { csv: 'diagnosis_faults.csv', json: 'src/core/inspect/data/diagnosisFaults.json' },
  { csv: 'diagnosis_complaints.csv', json: 'src/core/inspect/data/diagnosisComplaints.json' },
  { csv: 'diagnosis_complaint_links.csv', json: 'src/core/inspect/data/diagnosisComplaintLinks.json' },
  { csv: 'diagnosis_tests.csv', json: 'src/core/inspect/data/diagnosisTests.json', text: ['outcomes', 'usual'] },
  { csv: 'diagnosis_outcome_links.csv', json: 'src/core/inspect/data/diagnosisOutcomeLinks.json', text: ['chances'] },
  { csv: 'look_over_checks.csv', json: 'src/core/inspect/data/checks.json' },
  { csv: 'look_over_outcomes.csv', json: 'src/core/inspect/data/outcomes.json' },
  { csv: 'job_rules.csv', json: 'src/core/decide/data/jobRules.json' },
  { csv: 'chain_reactions.csv', json: 'src/core/decide/data/chainReactions.json' },
  { csv: 'door_checks.csv', json: 'src/core/buy/data/doorChecks.json' },
  { csv: 'era_features.csv', json: 'src/core/buy/data/eraFeatures.json' },
  { csv: 'lead_answers.csv', json: 'src/core/buy/data/leadAnswers.json' },
  { csv: 'thread_hands.csv', json: 'src/core/strip/data/threadHands.json' },
  { csv: 'bottom_brackets.csv', json: 'src/core/identify/data/bottomBrackets.json', text: ['shellWidthsMm'] },
  { csv: 'headsets.csv', json: 'src/core/identify/data/headsets.json', text: ['cartridgeAnglesDeg', 'cartridgeOdMm'] },
  {
    csv: 'hub_axles.csv',
    json: 'src/core/identify/data/hubAxles.json',
    text: ['overLocknutMm', 'coneSpannerMm', 'locknutSpannerMm', 'axleNutSpannerMm'],
  },
  { csv: 'over_locknut.csv', json: 'src/core/identify/data/overLocknut.json' },
  { csv: 'freewheels.csv', json: 'src/core/identify/data/freewheels.json' },
  { csv: 'hub_mounts.csv', json: 'src/core/identify/data/hubMounts.json' },
  { csv: 'pedals.csv', json: 'src/core/identify/data/pedals.json' },
  { csv: 'posts_and_bars.csv', json: 'src/core/identify/data/postsAndBars.json', text: ['nominalIn'] },
  { csv: 'wheel_sizes.csv', json: 'src/core/identify/data/wheelSizes.json' },
  { csv: 'rim_widths.csv', json: 'src/core/identify/data/rimWidths.json' },
  { csv: 'spokes.csv', json: 'src/core/identify/data/spokes.json' },
  { csv: 'nipples.csv', json: 'src/core/identify/data/nipples.json' },
  { csv: 'spoke_tensions.csv', json: 'src/core/identify/data/spokeTensions.json' },
  { csv: 'cartridge_bearings.csv', json: 'src/core/bearings/data/cartridges.json', text: ['code'] },
  { csv: 'lubricants.csv', json: 'src/core/identify/data/lubricants.json' },
  { csv: 'cable_pull.csv', json: 'src/core/identify/data/cablePull.json' },
  { csv: 'rim_properties.csv', json: 'src/core/identify/data/rimProperties.json' },
  { csv: 'stuck_joints.csv', json: 'src/core/strip/data/stuckJoints.json' },
  { csv: 'materials.csv', json: 'src/core/strip/data/materials.json' },
  { csv: 'part_kinds.csv', json: 'src/core/strip/data/partKinds.json' },
  { csv: 'assemblies.csv', json: 'src/core/strip/data/assemblies.json' },
  { csv: 'assembly_parts.csv', json: 'src/core/strip/data/assemblyParts.json' },
  { csv: 'assembly_steps.csv', json: 'src/core/strip/data/assemblySteps.json' },
  { csv: 'strip_order.csv', json: 'src/core/strip/data/stripOrder.json' },
  {
    csv: 'bearing_benches.csv',
    json: 'src/core/bearings/data/benches.json',
    text: ['cartridges', 'inside', 'circles'],
  },
  { csv: 'bearing_fittings.csv', json: 'src/core/bearings/data/fittings.json', text: ['inner', 'outer'] },
  { csv: 'overhaul_steps.csv', json: 'src/core/bearings/data/overhaulSteps.json' },
  { csv: 'practice_levels.csv', json: 'src/core/practice/data/levels.json' },
  { csv: 'stuck_steps.csv', json: 'src/core/strip/data/stuckSteps.json' },
];

type Cell = string | number | null;

/** Reads one CSV: header names become camel case, empty cells null, plain numbers numbers. */
export function readTable(table: TableSource): Record<string, Cell>[] {
  const parsed = Papa.parse<Record<string, string>>(readFileSync(`data/${table.csv}`, 'utf8'), {
    header: true,
    skipEmptyLines: true,
    transformHeader: camelCase,
  });
  if (parsed.errors.length > 0) {
    throw new Error(`data/${table.csv}: ${parsed.errors.map((e) => `row ${e.row}: ${e.message}`).join('; ')}`);
  }
  return parsed.data.map((line) =>
    Object.fromEntries(
      Object.entries(line).map(([key, value]) => [key, cell(value, table.text?.includes(key) ?? false)]),
    ),
  );
}

function camelCase(header: string): string {
  return header
    .trim()
    .split('_')
    .map((word, i) => (i === 0 ? word : word.charAt(0).toUpperCase() + word.slice(1)))
    .join('');
}

function cell(value: string, isText: boolean): Cell {
  if (value === '') return null;
  return !isText && /^-?\d+(\.\d+)?$/.test(value) ? Number(value) : value;
}
