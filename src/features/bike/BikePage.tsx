'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import { ChevronDown } from '@/ui/icons';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter, useSearchParams } from 'next/navigation';
import { Suspense, useCallback, useEffect, useRef, useState, type ReactNode, type RefObject } from 'react';
import type { Command } from '@/model/commands';
import type { Bicycle } from '@/model/record';
import { stageFrom, type Stage } from '@/model/stages';
import { DrawingLegend } from '@/ui/drawing/DrawingLegend';
import { useKeys } from '@/ui/keys/useKeys';
import { HandProvider } from '../at-hand/hand';
import { WorkClock } from '../clock/WorkClock';
import { useBenchClock } from '../clock/useBenchClock';
import { TopBar } from '../top-bar/TopBar';
import { UndoButtons } from '../top-bar/UndoButtons';
import { WayBack } from '../top-bar/WayBack';
import { benchHref } from '../workshop/benchHref';
import { useStages, type Bead, type DeclaredStage, type Known } from '../workshop/declared';
import { ActionSlotContext } from '../workshop/StageAction';
import { goToNext, goToStage, nextHref } from '../workshop/stageLink';
import { ThreadContext } from '../workshop/thread';
import { useFindings } from '../workshop/useFindings';
import { useIsPhone } from '../workshop/useIsPhone';
import { useOpenBicycle } from '../workshop/useOpenBicycle';
import { usePlaceAt } from '../workshop/usePlaceAt';
import { nextBead, useThread } from '../workshop/useThread';
import { useToday } from '../workshop/useToday';
import { useTrays } from '../workshop/useTrays';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';
import { Sheet } from './Sheet';
import { StageStrip } from './StageStrip';
import { Thread } from './Thread';
import { TitleBlock } from './TitleBlock';
import { useSigns } from './useSigns';

const Conflicts = dynamic(() => import('./Conflicts').then((module) => module.Conflicts), { ssr: false });
const OtherBicycles = dynamic(() => import('./OtherBicycles').then((module) => module.OtherBicycles), { ssr: false });
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
    /** Back to the whole bicycle. */
    closePlace() {
      if (onCard === null) openInStage(null);
      setOnCard(null);
    },
  };
}
type AtHand = ReturnType<typeof usePlaceAtHand>;

/** The name, which leads to the other bicycles too, and what can be undone. */
function Heading({ bicycle }: { bicycle: Bicycle }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  return (
    <TopBar end={<UndoButtons bicycleId={bicycle.id} />}>
      <Box component="h1" sx={{ m: 0, fontSize: '1.1rem', minWidth: 0 }}>
        <ButtonBase
          aria-haspopup="menu"
          aria-expanded={at !== null}
          aria-label={`${bicycle.name}: other bicycles`}
          title="Other bicycles"
          onClick={(event) => setAt(event.currentTarget)}
          sx={{ font: 'inherit', fontWeight: 640, minHeight: 48, maxWidth: '100%', borderRadius: '3px' }}
        >
          <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
            {bicycle.name}
          </Box>
          <ChevronDown fontSize="small" />
        </ButtonBase>
      </Box>
      {at && <OtherBicycles id={bicycle.id} at={at} onClose={() => setAt(null)} />}
    </TopBar>
  );
}

/** Another stage opens at its top, wherever the last one was left; one that is opened by its address may point further down. */
function useTopOf(stage: Stage, main: RefObject<HTMLElement | null>) {
  const shown = useRef(stage);
  useEffect(() => {
    if (shown.current === stage) return;
    shown.current = stage;
    main.current?.scrollTo({ top: 0 });
    // On a phone the page scrolls as one, and the stages are chosen at its top.
    if (window.matchMedia('(max-width: 899px)').matches) window.scrollTo({ top: 0 });
  }, [stage, main]);
}

/** The stage beside the sheet, under what must be chosen and the place that is told of; at its foot what is done next. */
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
  const [foot, setFoot] = useState<HTMLElement | null>(null);
  useTopOf(stage.id, main);
  const place = atHand.current;
  const beads = useThread(bicycle, place, known);
  const go = (bead: Bead) => {
    atHand.closeCard();
    goToNext(bicycle.id, bead);
  };
  return (
    <Box sx={{ minWidth: 0, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
      <Box
        component="main"
        ref={main}
        sx={{
          flex: { md: 1 },
          minHeight: 0,
          px: { xs: 2, md: 4 },
          pt: { xs: 1, md: 2 },
          pb: { xs: 14, md: 8 },
          overflow: { md: 'auto' },
          '& > *': { maxWidth: 800 },
          '@media print': { overflow: 'visible', p: 0 },
        }}
      >
        <Box
          className="no-print"
          sx={{ display: 'flex', gap: 2, alignItems: 'start', mb: 1, '&:empty': { display: 'none' } }}
        >
          {place !== null && beads.length > 0 && (
            <Thread
              place={place}
              beads={beads}
              stage={stage.id}
              href={(bead) => nextHref(bicycle.id, bead)}
              onGo={go}
            />
          )}
          {stage.bench.offered === 'by the sheet' && (
            <Button
              component={Link}
              prefetch={false}
              href={href}
              size="small"
              variant="outlined"
              sx={{ ml: 'auto', flex: 'none' }}
            >
              {bicycle.bench ? 'Back to the bench' : 'Bench mode'}
            </Button>
          )}
        </Box>
        {bicycle.conflicts.length > 0 && <Conflicts bicycle={bicycle} send={send} />}
        {atHand.onCard && <PlaceCard key={atHand.onCard} {...at} place={atHand.onCard} onClose={atHand.closeCard} />}
        <ThreadContext
          value={{
            next: nextBead(beads),
            done: beads.flatMap(({ id, state }) => (state === 'done' ? [id] : [])),
            go,
          }}
        >
          <ActionSlotContext value={foot}>
            <Suspense fallback={<p role="status">Opening…</p>}>
              <View key={stage.id} {...at} place={atHand.inStage} onPlace={atHand.openInStage} />
            </Suspense>
          </ActionSlotContext>
        </ThreadContext>
        {children}
      </Box>
      <Box
        ref={setFoot}
        className="no-print"
        sx={{
          '&:empty': { display: 'none' },
          position: { xs: 'fixed', md: 'relative' },
          left: 0,
          right: 0,
          bottom: 0,
          zIndex: 5,
          px: { md: 4 },
          py: { md: 1.25 },
          bgcolor: 'background.default',
          borderTop: '1px solid',
          borderColor: 'divider',
          '& > *': { maxWidth: 800 },
        }}
      />
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
  const known: Known = { settings, lookOver: useFindings(bicycle), trays: useTrays(bicycle) };
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
      <Box sx={{ display: { xs: 'block', md: 'none' } }} className="no-print">
        <TitleBlock dense bicycle={bicycle} lookOver={known.lookOver} clock={timeCell} hush={hush} />
      </Box>
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
          stage={stage.id}
          atHand={atHand.onCard ? 'section' : stage.atHand}
          onWhole={atHand.closePlace}
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
  return (
    <HandProvider>
      <OpenBicycle key={bicycle.id} bicycle={bicycle} at={stageFrom(params.get('stage'))} />
    </HandProvider>
  );
}
