'use client';
import type { OpenComplaints } from '@/core/inspect/openComplaints';
import { proofs } from '@/core/prove/proofs';
import { readiness, type Ready } from '@/core/prove/ready';
import type { Bolt } from '@/core/rebuild/bolts';
import type { Bicycle } from '@/model/record';
import { complaintsInput, signedBolts } from '@/model/selectors';
import { useFindings } from '../bike/useFindings';
import { useReckon } from '../workshop/useReckon';

/** Whether the bicycle may be called ready; null while the findings and bolts are being read. */
export function useReady(bicycle: Bicycle): Ready | null {
  const lookOver = useFindings(bicycle);
  const { output } = useReckon<{ bolts: Bolt[] }>('rebuild.bolts', { kind: bicycle.kind });
  const { output: complaints } = useReckon<OpenComplaints>('inspect.openComplaints', complaintsInput(bicycle));
  if (!lookOver || !output || !complaints) return null;
  return readiness({
    findings: lookOver.findings,
    bolts: output.bolts,
    signed: signedBolts(bicycle, output.bolts),
    proofs,
    loose: bicycle.looseEnds.filter((row) => row.closedAt === null),
    complaints: complaints.open.map(({ id, said, unsafe }) => ({ id, label: `“${said}”`, unsafe })),
    proved: bicycle.proofs.map(({ proof, passed }) => ({ proof, passed })),
  });
}
