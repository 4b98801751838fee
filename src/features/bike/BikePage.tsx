'use client';
import Box from '@mui/material/Box';
import { useRouter, useSearchParams } from 'next/navigation';
import { useCallback, useState, type ComponentType } from 'react';
import type { LookOver } from '@/core/inspect/lookOver';
import { states } from '@/core/vocabulary/vocabulary';
import type { Command } from '@/model/commands';
import type { Bicycle, Stage } from '@/model/record';
import { latestObservations, runningTimers, spent, workedMinutes } from '@/model/selectors';
import { BicycleDrawing } from '@/ui/BicycleDrawing';
import { hours, money } from '@/ui/format';
import { StateMark } from '@/ui/StateMark';
import { Buy } from '../buy/Buy';
import { Clean } from '../clean/Clean';
import { Decide } from '../decide/Decide';
import { HandOver } from '../hand-over/HandOver';
import { LookOverStage } from '../look-over/LookOverStage';
import { Overhaul } from '../overhaul/Overhaul';
import { Prove } from '../prove/Prove';
import { Rebuild } from '../rebuild/Rebuild';
import { Strip } from '../strip/Strip';
import { useSettings, useWorkshop, useWorkshopState, type StageProps } from '../workshop/WorkshopProvider';
import { KindFields } from './KindFields';
import { stageFrom } from './stages';
import { StageStrip } from './StageStrip';
import { TopBar } from './TopBar';
import { useFindings } from './useFindings';
import { WayBack } from './WayBack';
import { WorkClock } from './WorkClock';
import { Disclosure } from '@/ui/Disclosure';

const PLAIN_STAGES: Record<Exclude<Stage, 'look-over'>, ComponentType<StageProps>> = {
  buy: Buy,
  decide: Decide,
  strip: Strip,
  clean: Clean,
  overhaul: Overhaul,
  rebuild: Rebuild,
  prove: Prove,
  'hand-over': HandOver,
};

function stageNotes(bicycle: Bicycle, currency: string): Partial<Record<Stage, string>> {
  const kept = bicycle.jobs.filter((row) => row.decision === 'keep');
  const running = runningTimers(bicycle).length;
  const hub = bicycle.trays.find((tray) => tray.place === 'hub.front');
  return {
    buy: bicycle.purchase
      ? `paid ${money(bicycle.purchase.paid, currency, true)}`
      : bicycle.appraisal.asking
        ? `asked ${money(bicycle.appraisal.asking, currency, true)}`
        : '',
    'look-over': `${latestObservations(bicycle).size} of 12`,
    decide: kept.length ? `${kept.length} jobs kept` : '',
    strip: hub?.order.length ? `${hub.order.length} parts in the tray` : '',
    clean: running ? `${running} running` : '',
    overhaul: hub?.after ? 'front hub done' : hub?.trials.length ? `${hub.trials.length} trials` : '',
    rebuild: bicycle.signatures.length ? `${new Set(bicycle.signatures.map((row) => row.bolt)).size} bolts signed` : '',
    prove: bicycle.proofs.length ? `${new Set(bicycle.proofs.map((row) => row.proof)).size} signed` : '',
    'hand-over': bicycle.sale.price !== null ? `sold ${money(bicycle.sale.price, currency, true)}` : '',
  };
}

function Tally({ findings }: { findings: LookOver['findings'] }) {
  const counted = states
    .map(({ id }) => ({ id, count: findings.filter((finding) => finding.state === id).length }))
    .filter(({ count }) => count > 0);
  return (
    <Box
      component="ul"
      aria-label="What the look-over found"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: '4px 16px', p: 0, m: 0, listStyle: 'none', fontSize: '0.9rem' }}
    >
      {counted.map(({ id, count }) => (
        <li key={id}>
          <Box component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.75 }}>
            <StateMark state={id} size={17} /> <b>{count}</b>
          </Box>
        </li>
      ))}
    </Box>
  );
}

function Sheet({
  bicycle,
  send,
  findings,
  current,
  onOpen,
  small,
}: StageProps & {
  findings: LookOver['findings'];
  current: string | null;
  onOpen(check: string): void;
  small: boolean;
}) {
  const { currency } = useSettings();
  const worked = workedMinutes(bicycle);
  return (
    <Box
      component="aside"
      aria-label="The bicycle"
      className="no-print"
      sx={{ position: { md: 'sticky' }, top: { md: 24 }, alignSelf: 'start' }}
    >
      <Box
        sx={{
          maxWidth: { xs: small ? 210 : 420, md: 'none' },
          mx: 'auto',
          // Marks this small are no targets for a thumb.
          pointerEvents: { xs: small ? 'none' : 'auto', md: 'auto' },
        }}
      >
        <BicycleDrawing
          kind={bicycle.kind}
          label={`${bicycle.name}, drawn from the drive side`}
          marks={findings.map((finding) => ({
            place: finding.place,
            state: finding.state,
            current: finding.check === current,
            onOpen: () => onOpen(finding.check),
          }))}
        />
      </Box>
      <Box sx={{ mt: 1.5, display: { xs: 'none', md: 'block' } }}>
        <Tally findings={findings} />
        <Box sx={{ mt: 2, color: 'text.secondary', fontSize: '0.9rem' }}>{bicycle.note}</Box>
        {(bicycle.purchase || worked > 0) && (
          <Box sx={{ mt: 1, fontSize: '0.9rem' }}>
            <b>{money(spent(bicycle), currency, true)}</b> spent, <b>{worked ? hours(worked) : 'no time'}</b> put down
          </Box>
        )}
        <Disclosure summary={<>What it is</>}>
          <Box sx={{ pt: 1 }}>
            <KindFields kind={bicycle.kind} onChange={(changes) => send({ type: 'describeKind', changes })} />
          </Box>
        </Disclosure>
      </Box>
    </Box>
  );
}

function OpenBicycle({ bicycle, stage }: { bicycle: Bicycle; stage: Stage }) {
  const workshop = useWorkshop();
  const router = useRouter();
  const { currency } = useSettings();
  const findings = useFindings(bicycle)?.findings ?? [];
  const [check, setCheck] = useState<string | null>(null);
  const send = useCallback((command: Command) => workshop.send(bicycle.id, command), [workshop, bicycle.id]);
  const StageView = stage === 'look-over' ? null : PLAIN_STAGES[stage];
  const open = (id: string) => {
    setCheck(id);
    if (stage !== 'look-over') router.push(`/bike?id=${encodeURIComponent(bicycle.id)}&stage=look-over`);
  };
  return (
    <>
      <TopBar end={<WorkClock bicycle={bicycle} send={send} stage={stage} />}>
        <Box
          component="h1"
          sx={{
            m: 0,
            fontSize: '1.1rem',
            fontWeight: 640,
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            whiteSpace: 'nowrap',
          }}
        >
          {bicycle.name}
        </Box>
      </TopBar>
      <StageStrip bicycleId={bicycle.id} current={stage} notes={stageNotes(bicycle, currency)} />
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(300px, 410px) minmax(0, 1fr)' },
          gap: { xs: 2, md: 5 },
          px: { xs: 2, md: 4 },
          py: { xs: 2, md: 3 },
          maxWidth: 1360,
          mx: 'auto',
          '@media print': { display: 'block', p: 0 },
        }}
      >
        <Sheet
          bicycle={bicycle}
          send={send}
          findings={findings}
          current={stage === 'look-over' ? check : null}
          onOpen={open}
          small={stage !== 'look-over'}
        />
        <Box component="main" sx={{ minWidth: 0, maxWidth: 860, pb: 8 }}>
          {StageView ? (
            <StageView bicycle={bicycle} send={send} />
          ) : (
            <LookOverStage bicycle={bicycle} send={send} findings={findings} open={check} onOpen={setCheck} />
          )}
        </Box>
      </Box>
    </>
  );
}

/** One bicycle at one stage, as the address says. */
export function BikePage() {
  const params = useSearchParams();
  const id = params.get('id') ?? '';
  const bicycle = useWorkshopState((state) => state.bicycles[id]);
  if (!bicycle)
    return (
      <WayBack
        title="There is no such bicycle here"
        detail="It may have been kept in another browser, or in the other workshop: the demonstration and your own are apart."
      />
    );
  return <OpenBicycle bicycle={bicycle} stage={stageFrom(params.get('stage'))} />;
}
