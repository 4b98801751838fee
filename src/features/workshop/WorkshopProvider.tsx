'use client';
import { createContext, use, useDeferredValue, useEffect, useState, type ReactNode } from 'react';
import { useStore } from 'zustand';
import type { Command } from '@/model/commands';
import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import { chosenWorkshop, openWorkshop } from '@/store/browser';
import type { WorkshopName } from '@/store/database';
import type { Workshop, WorkshopState } from '@/store/workshop';

/** The workshop that a tab has open. */
export interface Opened {
  name: WorkshopName;
  workshop: Workshop;
}

export const WorkshopContext = createContext<Opened | null>(null);

/** Opens the records of this browser; until then a quiet line says so. What is wrong stands above, whether they open or not. */
export function WorkshopProvider({ above, children }: { above: ReactNode; children: ReactNode }) {
  const [opened, setOpened] = useState<Opened | null>(null);
  useEffect(() => {
    const name = chosenWorkshop(window.location.search);
    const workshop = openWorkshop(name);
    const demoData = name === 'demo' ? import('@/model/demo/workshop') : null;
    void workshop.load(demoData ? async () => (await demoData).demoWorkshop(new Date()) : undefined);
    // oxlint-disable-next-line react/set-state-in-effect -- which records are opened is known in the browser alone
    setOpened({ name, workshop });
    return () => workshop.close();
  }, []);
  if (!opened) return <Opening />;
  return (
    <WorkshopContext value={opened}>
      {above}
      <WhenOpen workshop={opened.workshop}>{children}</WhenOpen>
    </WorkshopContext>
  );
}

function Opening() {
  return (
    <p role="status" style={{ padding: '20vh 24px', textAlign: 'center' }}>
      Opening the workshop…
    </p>
  );
}

function WhenOpen({ workshop, children }: { workshop: Workshop; children: ReactNode }) {
  // What the page then draws may be long, and is drawn piece by piece.
  const status = useDeferredValue(useStore(workshop.store, (state) => state.status));
  return status === 'loading' ? <Opening /> : children;
}

function useOpened(): Opened {
  const opened = use(WorkshopContext);
  if (!opened) throw new Error('outside of the workshop');
  return opened;
}

export function useWorkshop(): Workshop {
  return useOpened().workshop;
}

export function useWorkshopName(): WorkshopName {
  return useOpened().name;
}

export function useWorkshopState<T>(select: (state: WorkshopState) => T): T {
  return useStore(useOpened().workshop.store, select);
}

export function useSettings(): WorkshopSettings {
  return useWorkshopState((state) => state.settings);
}

/** A bicycle and the way to change it; each stage is given both. */
export interface StageProps {
  bicycle: Bicycle;
  send(command: Command): void;
}
