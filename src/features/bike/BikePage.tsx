'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useState, type ComponentType } from 'react';
import { bearingAt, isBearing, placeLabel } from '@/core/vocabulary/vocabulary';
import { checkPlaces } from '@/core/inspect/checks';
import type { Command } from '@/model/commands';
import type { Bicycle } from '@/model/record';
import { STAGES, type Stage } from '@/model/stages';
import { runningTimers } from '@/model/clean/timers';
import { latestObservations } from '@/model/inspect/latest';
import { partsOff } from '@/model/strip/trays';
import { DrawingLegend } from '@/ui/drawing/DrawingLegend';
import { money } from '@/ui/format';
import { useKeys } from '@/ui/keys/useKeys';
import { Buy } from '../buy/Buy';
import { sellerStandsBy, useBuyPart } from '../buy/useBuyPart';
import { Clean } from '../clean/Clean';
import { Decide } from '../decide/Decide';
import { HandOver } from '../hand-over/HandOver';
import { LookOverStage } from '../look-over/LookOverStage';
import { Overhaul } from '../overhaul/Overhaul';
import { Prove } from '../prove/Prove';
import { Rebuild } from '../rebuild/Rebuild';
import { Strip } from '../strip/Strip';
import { useTrayPlace } from '../strip/useTrayPlace';
import { useOpenBicycle } from '../workshop/useOpenBicycle';
import { useSettings, useWorkshop, type StageProps } from '../workshop/WorkshopProvider';
import { benchHref } from './bench';
import { Conflicts } from './Conflicts';
import { PlaceCard } from './PlaceCard';
import { Sheet } from './Sheet';
import { goToStage } from './stageLink';
import { stageFrom } from './stages';
import { StageStrip } from './StageStrip';
import { TitleBlock } from './TitleBlock';
import { TopBar } from './TopBar';
import { UndoButtons } from './UndoButtons';
import { useBenchClock } from './useBenchClock';
import { useFindings } from './useFindings';
import { useOverlay } from './useOverlay';
import { WayBack } from './WayBack';
import { WorkClock } from './WorkClock';

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

/** Stages at the stand, where the drawing leads and the bench is at hand. */
const AT_THE_STAND: readonly Stage[] = ['look-over', 'strip', 'clean', 'overhaul', 'rebuild', 'prove'];

function stageNotes(bicycle: Bicycle, currency: string): Partial<Record<Stage, string>> {
  const kept = bicycle.jobs.filter((row) => row.decision === 'keep');
  const places = checkPlaces(bicycle.kind);
  const seen = latestObservations(bicycle);
  const looked = places.filter((at) => at.checks.some((check) => seen.has(check.id))).length;
  const running = runningTimers(bicycle).length;
  const bearingsDone = bicycle.bearings.filter(({ after }) => after).length;
  const setting = bicycle.bearings.find(({ after, trials }) => !after && trials.length > 0);
  const off = bicycle.trays.reduce((sum, tray) => sum + partsOff(tray).length, 0);
  return {
    buy: bicycle.purchase
      ? `paid ${money(bicycle.purchase.paid, currency, true)}`
      : bicycle.appraisal.asking
        ? `asked ${money(bicycle.appraisal.asking, currency, true)}`
        : '',
    'look-over': `${looked} of ${places.length} places`,
    decide: kept.length ? `${kept.length} jobs kept` : '',
    strip: off ? `${off === 1 ? 'one part' : `${off} parts`} in trays` : '',
    clean: running ? `${running} running` : '',
    overhaul: setting
      ? `${placeLabel(setting.place).toLowerCase()}: ${setting.trials.length === 1 ? 'one trial' : `${setting.trials.length} trials`}`
      : bearingsDone
        ? `${bearingsDone === 1 ? 'one bearing' : `${bearingsDone} bearings`} done`
        : '',
    rebuild: bicycle.signatures.length ? boltsTouched(bicycle) : '',
    prove: bicycle.proofs.length ? `${new Set(bicycle.proofs.map((row) => row.proof)).size} tried` : '',
    'hand-over': bicycle.sale.price !== null ? `sold ${money(bicycle.sale.price, currency, true)}` : '',
  };
}

function OpenBicycle({ bicycle, stage }: { bicycle: Bicycle; stage: Stage }) {
  const workshop = useWorkshop();
  const router = useRouter();
  const { currency, letterKeys } = useSettings();
  const lookOver = useFindings(bicycle);
  const findings = lookOver?.findings ?? [];
  const [looking, setLooking] = useState<string | null>(null);
  const [place, setPlace] = useState<string | null>(null);
  const [noting, setNoting] = useState(false);
  const send = useCallback((command: Command) => workshop.send(bicycle.id, command), [workshop, bicycle.id]);
  const signs = useOverlay(bicycle, stage, findings);
  const [trayPlace, openTray] = useTrayPlace();
  const clock = useBenchClock(bicycle, send, stage, stage === 'strip' || stage === 'overhaul' ? trayPlace : null);
  const StageView = stage === 'look-over' ? null : PLAIN_STAGES[stage];
  const to = (next: Stage) => goToStage(bicycle.id, next);
  const at = STAGES.indexOf(stage);
  useKeys(
    ['bicycle'],
    {
      'stage-before': () => at > 0 && to(STAGES[at - 1]!),
      'stage-after': () => at < STAGES.length - 1 && to(STAGES[at + 1]!),
      'to-bench': () => router.push(benchHref(bicycle, stage, stage === 'overhaul' ? trayPlace : null)),
      note: () => {
        if (stage !== 'look-over' || !looking) setPlace(current ?? 'frame');
        setNoting(true);
      },
    },
    letterKeys,
  );
  const current = place ?? (stage === 'look-over' ? looking : null);

  function open(next: string): void {
    setNoting(false);
    if (stage === 'overhaul' && isBearing(next)) {
      setPlace(null);
      openTray(bearingAt(next));
      return;
    }
    const here = findings.find((finding) => finding.place === next);
    if (here && stage === 'look-over') {
      setPlace(null);
      setLooking(next);
    } else setPlace(next);
  }
  const [part] = useBuyPart();
  const hush = stage === 'buy' && sellerStandsBy(bicycle, part);
  const timeCell = <WorkClock bicycle={bicycle} send={send} stage={stage} clock={clock} />;
  return (
    <>
      <TopBar end={<UndoButtons bicycleId={bicycle.id} />}>
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
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(400px, 46fr) minmax(0, 54fr)' },
          // On a laptop the sheet stays and the card beside it scrolls; on a phone the page scrolls as one.
          height: { md: 'calc(100dvh - 121px)' },
          minHeight: { md: 520 },
          '@media print': { display: 'block', height: 'auto' },
        }}
      >
        <Sheet
          bicycle={bicycle}
          send={send}
          signs={signs}
          lookOver={lookOver}
          current={current}
          small={!AT_THE_STAND.includes(stage)}
          unprinted={stage === 'hand-over'}
          clock={timeCell}
          hush={hush}
          onOpen={open}
        />
        <Box
          component="main"
          sx={{
            minWidth: 0,
            px: { xs: 2, md: 4 },
            pt: { xs: 2, md: 3 },
            pb: { xs: 14, md: 8 },
            overflow: { md: 'auto' },
            '& > *': { maxWidth: 800 },
            '@media print': { overflow: 'visible', p: 0 },
          }}
        >
          <Conflicts bicycle={bicycle} send={send} />
          {place && (
            <PlaceCard
              key={place}
              bicycle={bicycle}
              send={send}
              place={place}
              findings={findings}
              noting={noting}
              onClose={() => setPlace(null)}
            />
          )}
          <Box
            className="no-print"
            sx={{
              display: (AT_THE_STAND.includes(stage) && stage !== 'strip') || stage === 'decide' ? 'flex' : 'none',
              justifyContent: 'flex-end',
              mt: { xs: 0, md: -1 },
              mb: 1,
            }}
          >
            <Button
              component={Link}
              prefetch={false}
              href={benchHref(bicycle, stage, stage === 'overhaul' ? trayPlace : null)}
              size="small"
              variant="outlined"
            >
              {bicycle.bench ? 'Back to the bench' : 'Bench mode'}
            </Button>
          </Box>
          {StageView ? (
            <StageView bicycle={bicycle} send={send} />
          ) : (
            <LookOverStage
              bicycle={bicycle}
              send={send}
              lookOver={lookOver}
              open={looking}
              noting={noting}
              onOpen={(next) => {
                setNoting(false);
                setLooking(next);
              }}
            />
          )}
          <Box sx={{ mt: 4, display: { xs: 'block', md: 'none' } }} className="no-print">
            <DrawingLegend signs={signs} label="Signs on the drawing" />
          </Box>
        </Box>
      </Box>
      <Box
        component="footer"
        className="no-print"
        sx={{ display: { xs: 'block', md: 'none' }, position: 'fixed', left: 0, right: 0, bottom: 0, zIndex: 5 }}
      >
        <TitleBlock bicycle={bicycle} lookOver={lookOver} clock={timeCell} hush={hush} />
      </Box>
    </>
  );
}

/** How many bolts have a signature, whatever the law makes of it. */
function boltsTouched({ signatures }: Bicycle): string {
  const count = new Set(signatures.map((row) => row.bolt)).size;
  return count === 1 ? '1 signature' : `${count} signatures`;
}

/** One bicycle at one stage, as the address says. */
export function BikePage() {
  const params = useSearchParams();
  const { bicycle, missing } = useOpenBicycle(params.get('id') ?? '');
  const name = bicycle?.name;
  useEffect(() => {
    if (name) document.title = `${name} · Ergasto`;
  }, [name]);
  if (missing)
    return (
      <WayBack
        title="There is no such bicycle here"
        detail="It may belong to another device or browser, or to the other workshop: the demonstration and your own are apart. From another device it can be sent here, under Records."
      />
    );
  if (!bicycle)
    return (
      <p role="status" style={{ padding: '20vh 24px', textAlign: 'center' }}>
        Opening the bicycle…
      </p>
    );
  return <OpenBicycle key={bicycle.id} bicycle={bicycle} stage={stageFrom(params.get('stage'))} />;
}
