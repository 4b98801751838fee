'use client';
import Box from '@mui/material/Box';
import { bicycleGeometry } from '@/core/drawing/bicycle';
import { placeLabel } from '@/core/vocabulary/vocabulary';
import { BicycleDrawing } from '@/ui/drawing/BicycleDrawing';
import { isDrawn, PartAtHand, useAssemblyAt } from '../at-hand/PartAtHand';
import { StepPhotos } from '../photos/StepPhotos';
import type { Known } from '../workshop/declared';
import { useIsPhone } from '../workshop/useIsPhone';
import type { StageProps } from '../workshop/WorkshopProvider';
import { Forgotten, StepWords } from './StepWords';
import type { OwnedStep } from './useBenchSteps';

/** One step: what it says and asks, and beside it the parts at hand with their photographs. */
export function StepView({
  bicycle,
  send,
  owned: { step, part, answer },
  number,
  of,
  lookOver,
}: StageProps & Pick<Known, 'lookOver'> & { owned: OwnedStep; number: number; of: number }) {
  const phone = useIsPhone();
  const asked = { bicycle, send, step, lookOver, answer };
  const { Ask } = part;
  // Where nothing else is drawn, the bicycle shows where hands are.
  const canBeDrawn = isDrawn(useAssemblyAt(bicycle, step.place));
  const drawn = canBeDrawn ? step.drawn : null;
  const located = !drawn && bicycleGeometry(bicycle.kind).spots[step.place] !== undefined;
  return (
    <Box
      component="main"
      sx={{
        flex: 1,
        display: 'grid',
        gridTemplateColumns: {
          xs: 'minmax(0, 1fr)',
          md: drawn || located ? 'minmax(0, 1.25fr) minmax(0, 1fr)' : 'minmax(0, 1fr)',
        },
        gap: { xs: 2, md: 5 },
        px: { xs: 2, md: 6 },
        py: { xs: 1.5, md: 3 },
        alignContent: 'start',
      }}
    >
      <Box>
        <StepWords step={step} number={number} of={of} beside={located} />
        <Box sx={{ mt: 2.5 }}>{Ask && <Ask {...asked} />}</Box>
      </Box>
      <Box>
        {drawn && (
          <PartAtHand
            bicycle={bicycle}
            place={step.place}
            form={drawn.form}
            hand={{ parts: drawn.hand, turn: step.turn }}
            small={phone}
          />
        )}
        {located && (
          <Box sx={{ display: { xs: 'none', md: 'block' } }}>
            <BicycleDrawing
              kind={bicycle.kind}
              label={`Where it is: ${placeLabel(step.place).toLowerCase()}`}
              signs={[]}
              current={step.place}
              closer
            />
          </Box>
        )}
        {located && step.forget && <Forgotten step={step} small />}
        <StepPhotos
          bicycle={bicycle}
          send={send}
          place={step.place}
          step={step.photosOf ?? step.id}
          title={step.title}
          height={150}
          inputId="bench-photo"
        />
      </Box>
    </Box>
  );
}
