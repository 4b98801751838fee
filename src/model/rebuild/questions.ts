import type { Bolt, BoltsInput } from '@/core/rebuild/bolts';
import type { JointsInput } from '@/core/rebuild/jointsOf';
import { judgeTorque } from '@/core/rebuild/judgeTorque';
import type { Bicycle } from '../record';
import type { WorkshopSettings } from '../settings/settings';
import { chosenAssemblies } from '../strip/trays';

/** Sizes that were chosen by hand, by bolt. */
export function sizesChosen({ fasteners }: Pick<Bicycle, 'fasteners'>): Record<string, string> {
  return Object.fromEntries(Object.entries(fasteners).flatMap(([bolt, { size }]) => (size ? [[bolt, size]] : [])));
}

/** Figures that parts themselves bear, by bolt. */
export function ownFigures({ fasteners }: Pick<Bicycle, 'fasteners'>): NonNullable<BoltsInput['own']> {
  return Object.fromEntries(
    Object.entries(fasteners).flatMap(([bolt, { ownMinNm: minNm, ownMaxNm: maxNm }]) =>
      minNm === null && maxNm === null ? [] : [[bolt, { minNm, maxNm }]],
    ),
  );
}

/** The question for `rebuild.bolts`: what the bicycle is, what was found in its trays, the sizes that were chosen. */
export function boltsInput(
  bicycle: Pick<Bicycle, 'kind' | 'trays' | 'fasteners'>,
  { rules }: Pick<WorkshopSettings, 'rules'>,
): BoltsInput {
  return {
    kind: bicycle.kind,
    assemblies: chosenAssemblies(bicycle),
    sizes: sizesChosen(bicycle),
    own: ownFigures(bicycle),
    taper: rules.taper,
  };
}

/** The question for `rebuild.joints`: what the bicycle is, and what went into its joints. */
export function jointsInput(
  bicycle: Pick<Bicycle, 'kind' | 'trays' | 'jointFills' | 'brief'>,
  { rules }: Pick<WorkshopSettings, 'rules'>,
): JointsInput {
  return {
    kind: bicycle.kind,
    assemblies: chosenAssemblies(bicycle),
    brief: bicycle.brief,
    taper: rules.taper,
    used: Object.fromEntries(Object.entries(bicycle.jointFills).map(([joint, { used }]) => [joint, used])),
  };
}

/** The bolts that a round found loose, whoever tightened them since. */
export function foundLoose({ signatures }: Pick<Bicycle, 'signatures'>, bolts: readonly Bolt[]): Bolt[] {
  const loose = new Set(signatures.flatMap((row) => (row.foundLoose ? [row.bolt] : [])));
  return bolts.filter(({ id }) => loose.has(id));
}

/** Each bolt's last signature, judged against its band. */
export function signedBolts(bicycle: Bicycle, bolts: Bolt[]) {
  const last = new Map(bicycle.signatures.map((row) => [row.bolt, row]));
  return bolts.flatMap((bolt) => {
    const row = last.get(bolt.id);
    return row ? [{ bolt: bolt.id, judgement: judgeTorque(row.valueNm, bolt), row }] : [];
  });
}
