'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { FIT_WORDS, RIDER_WORDS, SITTING_WORDS } from '@/model/rebuild/fitWords';
import { FIT_MEASURES, RIDER_FIGURES, type FitMeasure } from '@/model/rebuild/part';
import { positionInput, sittingOn } from '@/model/rebuild/position';
import { Disclosure } from '@/ui/Disclosure';
import { ReadingField } from '@/ui/ReadingField';
import { stateColour } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';

const FOUR = { display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, minmax(0, 1fr))' } };

/** A new place to sit from the rider's own figures, to begin from; one tap gives it. */
export function FromTheRider({ bicycle, send }: StageProps) {
  const { output, errors } = useReckon('rebuild.position', positionInput(bicycle));
  const figures: Record<FitMeasure, number> | null = output && {
    'saddle-height': output.saddleHeightMm,
    'saddle-setback': output.saddleSetbackMm,
    reach: output.reachMm,
    'bar-height': output.barHeightMm,
  };
  return (
    <Disclosure summary={<>A new place, from the rider’s figures</>} wide>
      <Box data-readings sx={{ ...FOUR, py: 1.5, alignItems: 'start' }}>
        {RIDER_FIGURES.map((id) => {
          const { label, how, least, most } = RIDER_WORDS[id];
          return (
            <ReadingField
              key={id}
              label={label}
              help={how}
              kind="number"
              unit="mm"
              width="100%"
              value={bicycle.rider[id] ?? null}
              onCommit={(mm) => send({ type: 'measureRider', figure: id, mm })}
              onClear={() => send({ type: 'measureRider', figure: id, mm: null })}
              refuse={(mm) => (mm < least || mm > most ? `${least} to ${most} mm` : null)}
            />
          );
        })}
      </Box>
      {errors.map((error) => (
        <Box key={error.path} role="alert" sx={{ color: 'error.main' }}>
          {error.message}
        </Box>
      ))}
      {output && figures && (
        <Box role="status" aria-label="A place to begin from">
          <Box sx={{ ...FOUR, my: 1 }}>
            {FIT_MEASURES.map((measure) => (
              <Box key={measure}>
                <Box sx={{ fontSize: '1.45rem', fontWeight: 660, fontVariantNumeric: 'tabular-nums' }}>
                  {figures[measure]} mm
                </Box>
                <Box sx={{ color: 'text.secondary', fontSize: '0.92rem' }}>
                  {FIT_WORDS[measure].label}, ±
                  {measure === 'saddle-height' ? output.withinMm.saddle : output.withinMm.others}
                </Box>
              </Box>
            ))}
          </Box>
          <Box sx={{ fontWeight: 620 }}>For a {SITTING_WORDS[sittingOn(bicycle)]} seat, as it is ridden.</Box>
          {output.reasons.map((reason, i) => (
            <Box
              key={reason}
              sx={
                i === 0 && output.verdict === 'post-too-short' ? { color: stateColour('unsafe'), fontWeight: 640 } : {}
              }
            >
              {reason}
            </Box>
          ))}
          <Button variant="outlined" sx={{ mt: 1 }} onClick={() => send({ type: 'giveFit', given: figures })}>
            Give these
          </Button>
          <Working rows={output.working} />
        </Box>
      )}
    </Disclosure>
  );
}
