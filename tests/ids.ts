import { readFileSync } from 'node:fs';
import { STANDARDS_OF } from '@/core/identify/standards';
import { proofs } from '@/core/prove/data/proofs';
import { boltPlan } from '@/core/rebuild/data/bolts';
import { places } from '@/core/vocabulary/vocabulary';

type Row = Record<string, unknown>;

function column(file: string, ...keys: string[]): string[] {
  const rows = JSON.parse(readFileSync(`src/core/${file}.json`, 'utf8')) as Row[];
  return [...new Set(rows.map((row) => keys.map((key) => String(row[key])).join('/')))];
}

/** Every id of a table that stands in records, by what it names. */
export function idsInRecords(): Record<string, string[]> {
  return {
    places: places.map(({ id }) => id),
    checks: column('inspect/data/checks', 'id'),
    outcomes: column('inspect/data/outcomes', 'check', 'id'),
    doorLines: column('buy/data/doorChecks', 'id'),
    features: column('buy/data/eraFeatures', 'id'),
    complaints: column('inspect/data/diagnosisComplaints', 'id'),
    tests: column('inspect/data/diagnosisTests', 'id'),
    faults: column('inspect/data/diagnosisFaults', 'id'),
    jobRules: column('decide/data/jobRules', 'id'),
    assemblies: column('strip/data/assemblies', 'id'),
    parts: column('strip/data/assemblyParts', 'assembly', 'id'),
    steps: column('strip/data/assemblySteps', 'assembly', 'id'),
    stuckSteps: column('strip/data/stuckSteps', 'id'),
    overhaulSteps: column('bearings/data/overhaulSteps', 'assemblies', 'id'),
    treatments: column('clean/data/finishTreatments', 'id'),
    bolts: boltPlan.map(({ id }) => id),
    proofs: proofs.map(({ id }) => id),
    standards: Object.entries(STANDARDS_OF).flatMap(([kind, rows]) => rows.map(({ id }) => `${kind}/${id}`)),
    levels: column('practice/data/levels', 'id'),
  };
}
