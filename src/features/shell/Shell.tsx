'use client';
import dynamic from 'next/dynamic';
import { Suspense, useCallback, useEffect, useState, type ReactNode } from 'react';
import { useKeys } from '@/ui/keys/useKeys';
import { useSettings, useWorkshop, useWorkshopState } from '../workshop/WorkshopProvider';
import { OPEN_GAUGES } from '../top-bar/openGauges';
import { HeldReading } from './HeldReading';
import { Offline } from './Offline';
import { Reminders } from './Reminders';

const loadPalette = () => import('./Palette');
const Palette = dynamic(() => loadPalette().then((module) => module.Palette), { ssr: false });
const Remark = dynamic(() => import('./Remark').then((module) => module.Remark), { ssr: false });
const Shortcuts = dynamic(() => import('./Shortcuts').then((module) => module.Shortcuts), { ssr: false });
const GaugeDrawer = dynamic(() => import('../gauges/GaugeDrawer').then((module) => module.GaugeDrawer), { ssr: false });
const ShareRunner = dynamic(() => import('./ShareRunner').then((module) => module.ShareRunner), { ssr: false });
const CaliperPanel = dynamic(() => import('./CaliperPanel').then((module) => module.CaliperPanel), { ssr: false });

/** What lies round every page: keys that are heard everywhere, held readings, remarks. */
export function Shell({ children }: { children: ReactNode }) {
  const workshop = useWorkshop();
  const { letterKeys } = useSettings();
  const remark = useWorkshopState((state) => state.remark);
  const [open, setOpen] = useState<'palette' | 'shortcuts' | 'gauges' | null>(null);
  const [caliper, setCaliper] = useState(false);
  const close = useCallback(() => setOpen(null), []);
  const shortcuts = useCallback(() => setOpen('shortcuts'), []);
  // There before it is asked for, so that letters typed right after its key are not lost.
  useEffect(() => {
    const soon = setTimeout(() => void loadPalette(), 3000);
    return () => clearTimeout(soon);
  }, []);
  useEffect(() => {
    let end: (() => void) | null = null;
    let gone = false;
    void import('@/ui/tieUnits').then(({ keepTied }) => gone || (end = keepTied(document.body)));
    return () => {
      gone = true;
      end?.();
    };
  }, []);
  useKeys(
    ['everywhere'],
    { palette: () => setOpen('palette'), shortcuts, gauges: () => setOpen('gauges') },
    letterKeys,
  );
  useEffect(() => {
    const show = () => setOpen('gauges');
    window.addEventListener(OPEN_GAUGES, show);
    return () => window.removeEventListener(OPEN_GAUGES, show);
  }, []);
  return (
    <>
      <Offline />
      <Reminders />
      <ShareRunner />
      {children}
      <HeldReading />
      <Suspense>
        {open === 'palette' && (
          <Palette onClose={close} onShortcuts={() => setTimeout(shortcuts)} onCaliper={() => setCaliper(true)} />
        )}
      </Suspense>
      {open === 'shortcuts' && <Shortcuts onClose={close} />}
      <Suspense>{open === 'gauges' && <GaugeDrawer onClose={close} />}</Suspense>
      {caliper && <CaliperPanel onClose={() => setCaliper(false)} />}
      {remark !== null && <Remark words={remark} onClose={() => workshop.say(null)} />}
    </>
  );
}
