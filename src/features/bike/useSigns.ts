'use client';
import { useEffect, useState } from 'react';
import type { PlacedSign } from '@/core/drawing/svg';
import type { Bicycle } from '@/model/record';
import type { Stage } from '@/model/stages';
import { questionOf, useDeclared, type Around, type Known, type Overlay } from '../workshop/declared';
import { useAnswers } from '../workshop/useAnswers';
import { layOverlays, overlaysAt } from './signs';

/** Those that lay signs at a stage; none until they are there. */
function useOverlays(stage: Stage): readonly Overlay[] {
  const declared = useDeclared();
  const [loaded, setLoaded] = useState<{ stage: Stage; overlays: Overlay[] } | null>(null);
  useEffect(() => {
    let left = false;
    void Promise.all(overlaysAt(declared, stage).map(({ load }) => load())).then(
      (overlays) => !left && setLoaded({ stage, overlays }),
      // Without them the drawing still shows what is unsafe.
      () => undefined,
    );
    return () => {
      left = true;
    };
  }, [declared, stage]);
  return loaded?.stage === stage ? loaded.overlays : [];
}

/** What the drawing carries at a stage of this bicycle. */
export function useSigns(bicycle: Bicycle, stage: Stage, known: Known, around: Around): PlacedSign[] {
  const overlays = useOverlays(stage);
  const answers = useAnswers(overlays.map(({ asks }) => questionOf(asks, bicycle, around)));
  return layOverlays(overlays, answers, bicycle, { ...known, stage });
}
