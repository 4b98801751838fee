'use client';
import Box from '@mui/material/Box';
import { missingShots, shotOf, SHOTS, shotStep, type ShotId } from '@/model/sell/shots';
import type { Bicycle } from '@/model/record';
import { BicycleDrawing } from '@/ui/drawing/BicycleDrawing';
import { Disclosure } from '@/ui/Disclosure';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { StepPhotos } from '../photos/StepPhotos';
import { OverPhotos } from '../photos/OverPhotos';
import type { StageProps } from '../workshop/WorkshopProvider';

/** The frame of a shot, from the bicycle’s own drawing: what should stand where. */
function Frame({ bicycle, place, whole }: { bicycle: Bicycle; place: string; whole: boolean }) {
  return (
    <Box
      sx={{
        width: 190,
        flex: 'none',
        border: '1.5px dashed',
        borderColor: 'text.secondary',
        p: 0.75,
        borderRadius: '3px',
      }}
    >
      <BicycleDrawing kind={bicycle.kind} label="" quiet current={whole ? null : place} closer={!whole} />
    </Box>
  );
}

/** One shot: how it is taken, its frame, and what there is of it. */
function Shot({ bicycle, send, id }: StageProps & { id: ShotId }) {
  const { label, how, place, goesOut } = SHOTS.find((each) => each.id === id)!;
  const [now, before] = [shotOf(bicycle, id), shotOf(bicycle, id, 'before')];
  const whole = id === 'drive-side' || id === 'three-quarter' || id === 'flaws';
  return (
    <Box component="li" sx={{ py: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'start' }}>
        {!now && <Frame bicycle={bicycle} place={place} whole={whole} />}
        <Box sx={{ flex: 1, minWidth: 230 }}>
          <b>{label}</b>
          {!goesOut && (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {' '}
              · for the file only
            </Box>
          )}
          <Box sx={{ color: 'text.secondary' }}>{how}</Box>
          <StepPhotos bicycle={bicycle} send={send} place={place} step={shotStep(id)} title={label} height={110} />
          {goesOut && (
            <Disclosure summary={<>The same view, before</>} wide>
              <StepPhotos
                bicycle={bicycle}
                send={send}
                place={place}
                step={shotStep(id, 'before')}
                title={`${label}, before`}
                height={110}
              />
            </Disclosure>
          )}
          {now && before && <OverPhotos before={before.id} now={now.id} label={label} />}
        </Box>
      </Box>
    </Box>
  );
}

/** The photographs that sell it, missing ones first, each with its frame; before and after laid over each other. */
export function Shots({ bicycle, send }: StageProps) {
  const missing = missingShots(bicycle).map(({ id }) => id);
  const order = [...missing, ...SHOTS.map(({ id }) => id).filter((id) => !missing.includes(id))];
  return (
    <Section
      title="Photographs"
      aside={missing.length === 0 ? 'all taken' : `${missing.length} of ${SHOTS.length} missing`}
    >
      <RuledList aria-label="Shots">
        {order.map((id) => (
          <Shot key={id} bicycle={bicycle} send={send} id={id} />
        ))}
      </RuledList>
    </Section>
  );
}
