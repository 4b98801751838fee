'use client';
import Search from '@mui/icons-material/Search';
import ZoomIn from '@mui/icons-material/ZoomIn';
import ZoomOut from '@mui/icons-material/ZoomOut';
import SaveAlt from '@mui/icons-material/SaveAlt';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useMemo, useState, type ReactNode } from 'react';
import { bicycleGeometry } from '@/core/drawing/bicycle';
import type { PlacedSign } from '@/core/drawing/svg';
import type { LookOver } from '@/core/inspect/lookOver';
import { BicycleDrawing } from '@/ui/drawing/BicycleDrawing';
import { DrawingLegend } from '@/ui/drawing/DrawingLegend';
import { useKeys } from '@/ui/keys/useKeys';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';
import { saveDrawing } from './saveDrawing';
import { TitleBlock } from './TitleBlock';

const FindPlace = dynamic(() => import('./FindPlace').then((module) => module.FindPlace), { ssr: false });
const KindPanel = dynamic(() => import('../kind/KindPanel').then((module) => module.KindPanel), { ssr: false });

/** What is done with the drawing: a place found, seen closer, saved. */
function SheetTools({
  places,
  small,
  finding,
  closer,
  onFinding,
  onCloser,
  onFind,
  onSave,
}: {
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
      {finding ? (
        <FindPlace places={places} onClose={() => onFinding(false)} onFind={onFind} />
      ) : (
        <Button size="small" color="inherit" startIcon={<Search />} onClick={() => onFinding(true)}>
          Find a place
        </Button>
      )}
      <Button
        size="small"
        color="inherit"
        startIcon={closer ? <ZoomOut /> : <ZoomIn />}
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
        <SaveAlt fontSize="small" />
      </Button>
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
  clock: ReactNode;
  onOpen(place: string): void;
}) {
  const { letterKeys } = useSettings();
  const [describing, setDescribing] = useState(false);
  const [finding, setFinding] = useState(false);
  const [closer, setCloser] = useState(false);
  const [found, setFound] = useState<string | null>(null);
  const places = useMemo(() => Object.keys(bicycleGeometry(bicycle.kind).spots), [bicycle.kind]);
  useKeys(['bicycle'], { 'find-place': () => setFinding(true), closer: () => setCloser((was) => !was) }, letterKeys);
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
        py: { xs: 1, md: 2 },
        overflow: { md: 'auto' },
        '@media print': { height: 'auto', border: 0, overflow: 'visible' },
      }}
    >
      <SheetTools
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
      <Box
        sx={{
          flex: { md: 1 },
          minHeight: 0,
          display: 'flex',
          alignItems: 'center',
          width: '100%',
          maxWidth: { xs: small ? 140 : 'none', md: 'none' },
          mx: 'auto',
        }}
      >
        <BicycleDrawing
          kind={bicycle.kind}
          label={`${bicycle.name}, drawn from the drive side`}
          signs={signs}
          current={current ?? found}
          closer={closer}
          focusPlace={found}
          onOpen={onOpen}
        />
      </Box>
      <Box sx={{ py: 1.5, display: { xs: 'none', md: 'block' }, '@media print': { display: 'block' } }}>
        <DrawingLegend signs={signs} label="What the signs on the drawing mean" />
        <Box sx={{ mt: 1, color: 'text.secondary', fontSize: '0.9rem' }}>{bicycle.note}</Box>
        <Button
          className="no-print"
          size="small"
          sx={{ ml: -1, mt: 0.5 }}
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
      <Box sx={{ display: { xs: 'none', md: 'block' } }}>
        <TitleBlock bicycle={bicycle} lookOver={lookOver} clock={clock} hush={hush} />
      </Box>
    </Box>
  );
}
