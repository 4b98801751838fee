'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import { Closer, Farther, Find, SaveFile } from '@/ui/toolIcons';
import dynamic from 'next/dynamic';
import { useMemo, useState, type ReactNode } from 'react';
import { bicycleGeometry } from '@/core/drawing/bicycle';
import type { PlacedSign } from '@/core/drawing/svg';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import type { LookOver } from '@/core/inspect/lookOver';
import type { Bicycle } from '@/model/record';
import type { Stage } from '@/model/stages';
import { BicycleDrawing } from '@/ui/drawing/BicycleDrawing';
import { DrawingLegend } from '@/ui/drawing/DrawingLegend';
import { useKeys } from '@/ui/keys/useKeys';
import type { Form } from '../at-hand/PartAtHand';
import { useIsPhone } from '../workshop/useIsPhone';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { saveDrawing } from './saveDrawing';
import { TitleBlock } from './TitleBlock';

const FindPlace = dynamic(() => import('./FindPlace').then((module) => module.FindPlace), { ssr: false });
const PartSheet = dynamic(() => import('./PartSheet').then((module) => module.PartSheet), {
  ssr: false,
  loading: () => <p role="status">Drawing it…</p>,
});
const KindPanel = dynamic(() => import('../kind/KindPanel').then((module) => module.KindPanel), { ssr: false });

/** The whole bicycle in the corner, with the place that is open on it: the way back. */
function Locator({ bicycle, place, onWhole }: { bicycle: Bicycle; place: string; onWhole(): void }) {
  return (
    <ButtonBase
      aria-label={`Back to the whole bicycle, from ${placeLabel(place).toLowerCase()}`}
      onClick={onWhole}
      sx={{
        width: { xs: 76, md: 148 },
        flex: 'none',
        mr: { md: 'auto' },
        p: 0.5,
        borderRadius: '3px',
        '&:hover': { bgcolor: 'sheet.soft' },
      }}
    >
      <BicycleDrawing kind={bicycle.kind} label="" quiet current={place} />
    </ButtonBase>
  );
}

/** What is done with the drawing: a place found, seen closer, saved. */
function SheetTools({
  locator,
  places,
  small,
  finding,
  closer,
  onFinding,
  onCloser,
  onFind,
  onSave,
}: {
  locator: ReactNode;
  places: string[];
  small: boolean;
  finding: boolean;
  closer: boolean;
  onFinding(finding: boolean): void;
  onCloser(closer: boolean): void;
  onFind(place: string): void;
  onSave(): void;
}) {
  return (
    <Box
      className="no-print"
      sx={{
        display: { xs: small ? 'none' : 'flex', md: 'flex' },
        gap: 0.5,
        alignItems: 'center',
        minHeight: 44,
        justifyContent: 'flex-end',
      }}
    >
      {locator}
      {finding ? (
        <FindPlace places={places} onClose={() => onFinding(false)} onFind={onFind} />
      ) : (
        <Button size="small" color="inherit" startIcon={<Find />} onClick={() => onFinding(true)}>
          Find a place
        </Button>
      )}
      <Button
        size="small"
        color="inherit"
        startIcon={closer ? <Farther /> : <Closer />}
        aria-pressed={closer}
        onClick={() => onCloser(!closer)}
      >
        {closer ? 'Whole' : 'Closer'}
      </Button>
      <Button
        size="small"
        color="inherit"
        aria-label="Save the drawing as SVG"
        title="Save the drawing as SVG"
        onClick={onSave}
        sx={{ minWidth: 44 }}
      >
        <SaveFile fontSize="small" />
      </Button>
    </Box>
  );
}

/** What the signs mean, what was said of the bicycle, and the way to what it is. */
function BicycleWords({
  bicycle,
  send,
  signs,
  hidden,
}: StageProps & {
  signs: PlacedSign[];
  /** With a part at hand there is no more to say of the bicycle, but on paper. */
  hidden: boolean;
}) {
  const [describing, setDescribing] = useState(false);
  return (
    <Box
      sx={{
        py: 1.5,
        display: { xs: 'none', md: hidden ? 'none' : 'block' },
        '@media print': { display: 'block' },
      }}
    >
      <DrawingLegend signs={signs} label="What the signs on the drawing mean" />
      <Box sx={{ mt: 1, color: 'text.secondary', fontSize: '0.9rem' }}>{bicycle.note}</Box>
      <Button
        className="no-print"
        size="small"
        sx={{ mt: 0.5 }}
        aria-expanded={describing}
        onClick={() => setDescribing(true)}
      >
        What it is
      </Button>
      {describing && (
        <KindPanel
          kind={bicycle.kind}
          onChange={(changes) => send({ type: 'describeKind', changes })}
          onClose={() => setDescribing(false)}
        />
      )}
    </Box>
  );
}

/** The sheet: the bicycle drawn, what its signs mean, and the title block. It stays while the card beside it scrolls. */
export function Sheet({
  bicycle,
  send,
  signs,
  lookOver,
  current,
  stage,
  atHand,
  onWhole,
  clock,
  small,
  unprinted,
  hush,
  onOpen,
}: StageProps & {
  /** What it may cost stays out of the title block. */
  hush: boolean;
  /** On a phone the drawing steps back where the figures decide. */
  small: boolean;
  /** The sheet that goes with the bicycle has a drawing of its own. */
  unprinted: boolean;
  signs: PlacedSign[];
  lookOver: LookOver | null;
  current: string | null;
  stage: Stage;
  /** In which form the part of an open place fills the sheet; left out, the bicycle stays until it is asked for. */
  atHand?: Form;
  onWhole(): void;
  clock: ReactNode;
  onOpen(place: string): void;
}) {
  const { letterKeys } = useSettings();
  const [finding, setFinding] = useState(false);
  const [asked, setAsked] = useState<{ place: string | null; closer: boolean } | null>(null);
  const [found, setFound] = useState<string | null>(null);
  const places = useMemo(() => Object.keys(bicycleGeometry(bicycle.kind).spots), [bicycle.kind]);
  const phone = useIsPhone();
  // What was asked for holds for the place that was open; another one opens as its stage has it.
  const closer = asked?.place === current ? asked.closer : current !== null && (atHand !== undefined || phone);
  const setCloser = (next: boolean) => setAsked({ place: current, closer: next });
  useKeys(['bicycle'], { 'find-place': () => setFinding(true), closer: () => setCloser(!closer) }, letterKeys);
  const partOf = closer ? (current ?? found) : null;
  const locator = partOf !== null && (
    <Locator bicycle={bicycle} place={partOf} onWhole={current === null ? () => setCloser(false) : onWhole} />
  );
  const drawing = (
    <BicycleDrawing
      kind={bicycle.kind}
      label={`${bicycle.name}, drawn from the drive side`}
      signs={signs}
      current={current ?? found}
      closer={closer}
      focusPlace={found}
      onOpen={onOpen}
    />
  );
  return (
    <Box
      component="aside"
      aria-label="The bicycle"
      className={unprinted ? 'no-print' : undefined}
      sx={{
        bgcolor: 'sheet.paper',
        borderRight: { md: '1px solid var(--mui-palette-divider)' },
        borderBottom: { xs: '1px solid var(--mui-palette-divider)', md: 'none' },
        height: { md: '100%' },
        display: 'flex',
        flexDirection: 'column',
        px: { xs: 1.5, md: 3 },
        py: { xs: small ? 0.25 : 1, md: 2 },
        overflow: { md: 'auto' },
        '@media print': { height: 'auto', border: 0, overflow: 'visible' },
      }}
    >
      {!(phone && partOf !== null) && (
        <SheetTools
          locator={phone ? null : locator}
          places={places}
          small={small}
          finding={finding}
          closer={closer}
          onFinding={setFinding}
          onCloser={setCloser}
          onFind={(place) => {
            setFinding(false);
            setFound(place);
            onOpen(place);
          }}
          onSave={() => saveDrawing(bicycle, signs)}
        />
      )}
      <Box
        sx={{
          flex: { md: partOf === null ? 1 : '1 0 auto' },
          minHeight: 0,
          pb: partOf === null ? 0 : 2,
          display: 'flex',
          alignItems: partOf === null ? 'center' : 'start',
          width: '100%',
          maxWidth: { xs: small && partOf === null ? 92 : 'none', md: 'none' },
          mx: 'auto',
        }}
      >
        {partOf === null ? (
          drawing
        ) : (
          <PartSheet
            key={partOf}
            bicycle={bicycle}
            place={partOf}
            form={atHand ?? 'section'}
            stage={stage}
            phone={phone}
            locator={locator}
            otherwise={drawing}
          />
        )}
      </Box>
      <BicycleWords bicycle={bicycle} send={send} signs={signs} hidden={partOf !== null} />
      <Box sx={{ display: { xs: 'none', md: 'block' } }}>
        <TitleBlock bicycle={bicycle} lookOver={lookOver} clock={clock} hush={hush} />
      </Box>
    </Box>
  );
}
