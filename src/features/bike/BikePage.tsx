'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { Suspense, useCallback, useEffect, useState, type ReactNode, useRef } from 'react';
import type { Command } from '@/model/commands';
import type { Bicycle } from '@/model/record';
import { stageFrom, type Stage } from '@/model/stages';
import { DrawingLegend } from '@/ui/drawing/DrawingLegend';
import { useKeys } from '@/ui/keys/useKeys';
import { WorkClock } from '../clock/WorkClock';
import { useBenchClock } from '../clock/useBenchClock';
import { TopBar } from '../top-bar/TopBar';
import { UndoButtons } from '../top-bar/UndoButtons';
import { WayBack } from '../top-bar/WayBack';
import { benchHref } from '../workshop/benchHref';
import { useStages, type DeclaredStage, type Known } from '../workshop/declared';
import { goToStage } from '../workshop/stageLink';
import { useFindings } from '../workshop/useFindings';
import { useIsPhone } from '../workshop/useIsPhone';
import { useOpenBicycle } from '../workshop/useOpenBicycle';
import { usePlaceAt } from '../workshop/usePlaceAt';
import { useToday } from '../workshop/useToday';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';
import { Sheet } from './Sheet';
import { StageStrip } from './StageStrip';
import { TitleBlock } from './TitleBlock';
import { useSigns } from './useSigns';

const Conflicts = dynamic(() => import('./Conflicts').then((module) => module.Conflicts), { ssr: false });
const PlaceCard = dynamic(() => import('./PlaceCard').then((module) => module.PlaceCard), { ssr: false });

/**
 * The place at hand: one that the stage itself has open, or one whose card lies over it. A note is written where the stage
 * takes notes, else on the card.
 */
function usePlaceAtHand(stage: DeclaredStage, known: Known) {
  const [inStage, openInStage] = usePlaceAt();
  const [onCard, setOnCard] = useState<string | null>(null);
  const [noting, setNoting] = useState(false);
  const opens = stage.opens;
  const leadsHere = (place: string) => (opens ? opens(place, known) : null);
  return {
    inStage,
    onCard,
    noting,
    /** What is marked on the drawing. */
    current: onCard ?? (opens ? inStage : null),
    openInStage(place: string | null) {
      setNoting(false);
      openInStage(place);
    },
    open(place: string) {
      setNoting(false);
      const here = leadsHere(place);
      setOnCard(here === null ? place : null);
      if (here !== null) openInStage(here);
    },
    note() {
      if (!stage.notesItself || !inStage) setOnCard(onCard ?? (opens ? inStage : null) ?? 'frame');
      setNoting(true);
    },
    closeCard: () => setOnCard(null),
  };
}
type AtHand = ReturnType<typeof usePlaceAtHand>;

/** The name, the way back, and what can be undone. */
function Heading({ bicycle }: { bicycle: Bicycle }) {
  return (
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
  );
}

/** The stage beside the sheet, under what must be chosen and the place that is told of. */
function StagePane({
  bicycle,
  send,
  stage,
  known,
  atHand,
  href,
  children,
}: {
  bicycle: Bicycle;
  send(command: Command): void;
  stage: DeclaredStage;
  known: Known;
  atHand: AtHand;
  /** The bench of this stage. */
  href: string;
  children: ReactNode;
}) {
  const { View } = stage.view;
  const at = { bicycle, send, lookOver: known.lookOver, noting: atHand.noting };
  const main = useRef<HTMLElement>(null);
  const shown = useRef(stage.id);
  // Another stage opens at its top, wherever the last one was left; one that is opened by its address may point further down.
  useEffect(() => {
    if (shown.current === stage.id) return;
    shown.current = stage.id;
    main.current?.scrollTo({ top: 0 });
    if (main.current && window.matchMedia('(max-width: 899px)').matches)
      window.scrollTo({ top: Math.max(0, window.scrollY + main.current.getBoundingClientRect().top - 64) });
  }, [stage.id]);
  return (
    <Box
      component="main"
      ref={main}
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
      {bicycle.conflicts.length > 0 && <Conflicts bicycle={bicycle} send={send} />}
      {atHand.onCard && <PlaceCard key={atHand.onCard} {...at} place={atHand.onCard} onClose={atHand.closeCard} />}
      {stage.bench.offered === 'by the sheet' && (
        <Box className="no-print" sx={{ display: 'flex', justifyContent: 'flex-end', mt: { xs: 0, md: -1 }, mb: 1 }}>
          <Button component={Link} prefetch={false} href={href} size="small" variant="outlined">
            {bicycle.bench ? 'Back to the bench' : 'Bench mode'}
          </Button>
        </Box>
      )}
      <Suspense fallback={<p role="status">Opening…</p>}>
        <View key={stage.id} {...at} place={atHand.inStage} onPlace={atHand.openInStage} />
      </Suspense>
      {children}
    </Box>
  );
}

/** Fetches the views of the other stages while nobody waits, so that each is there when it is opened. */
function useFetchedStages(stages: DeclaredStage[]): void {
  useEffect(() => {
    const soon = setTimeout(() => stages.forEach(({ view }) => view.fetch()), 2500);
    return () => clearTimeout(soon);
  }, []); // oxlint-disable-line react/exhaustive-deps -- once a page; the stages never change
}

function OpenBicycle({ bicycle, at }: { bicycle: Bicycle; at: Stage }) {
  const workshop = useWorkshop();
  const router = useRouter();
  const settings = useSettings();
  const address = useSearchParams();
  const isPhone = useIsPhone();
  const stages = useStages();
  const stage = stages.find(({ id }) => id === at)!;
  const known: Known = { settings, lookOver: useFindings(bicycle) };
  const atHand = usePlaceAtHand(stage, known);
  const send = useCallback((command: Command) => workshop.send(bicycle.id, command), [workshop, bicycle.id]);
  const signs = useSigns(bicycle, at, known, { settings, today: useToday() });
  const worked = stage.timesPlace ? atHand.inStage : null;
  const clock = useBenchClock(bicycle, send, at, worked);
  const href = benchHref(bicycle.id, stage.bench.task, worked);
  const index = stages.indexOf(stage);
  const to = (next: DeclaredStage | undefined) => next && goToStage(bicycle.id, next.id);
  useFetchedStages(stages);
  useKeys(
    ['bicycle'],
    {
      'stage-before': () => to(stages[index - 1]),
      'stage-after': () => to(stages[index + 1]),
      'to-bench': () => router.push(href),
      note: atHand.note,
    },
    settings.letterKeys,
  );
  const hush = stage.hushed?.(bicycle, address, isPhone) ?? false;
  const timeCell = <WorkClock bicycle={bicycle} send={send} stage={at} clock={clock} />;
  return (
    <>
      <Heading bicycle={bicycle} />
      <StageStrip bicycle={bicycle} current={at} known={known} />
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
          lookOver={known.lookOver}
          current={atHand.current}
          small={!stage.atStand}
          unprinted={stage.printsItself ?? false}
          clock={timeCell}
          hush={hush}
          onOpen={atHand.open}
        />
        <StagePane bicycle={bicycle} send={send} stage={stage} known={known} atHand={atHand} href={href}>
          <Box sx={{ mt: 4, display: { xs: 'block', md: 'none' } }} className="no-print">
            <DrawingLegend signs={signs} label="Signs on the drawing" />
          </Box>
        </StagePane>
      </Box>
      <Box
        component="footer"
        className="no-print"
        sx={{ display: { xs: 'block', md: 'none' }, position: 'fixed', left: 0, right: 0, bottom: 0, zIndex: 5 }}
      >
        <TitleBlock bicycle={bicycle} lookOver={known.lookOver} clock={timeCell} hush={hush} />
      </Box>
    </>
  );
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
  return <OpenBicycle key={bicycle.id} bicycle={bicycle} at={stageFrom(params.get('stage'))} />;
}
