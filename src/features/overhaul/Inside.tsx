'use client';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { ConeAdvice } from '@/core/bearings/adjustCone';
import type { BearingBench } from '@/core/bearings/benchTypes';
import { contactInput } from '@/model/bearings/questions';
import type { Bearing } from '@/model/bearings/part';
import { ContactCurve } from '@/ui/ContactCurve';
import { BigNumber } from '@/ui/Section';
import { TurnSlider } from '@/ui/TurnSlider';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';

/** What the tracks carry at the cone's place, and what a bit tighter or looser would cost. */
export function Inside({
  bearing,
  bench,
  advice,
  known,
}: {
  bearing: Bearing;
  bench: BearingBench;
  advice: ConeAdvice | null;
  known: boolean;
}) {
  const [tried, setTried] = useState<number | null>(null);
  const thought = known && advice ? Math.round(advice.standsDeg) : 0;
  const tighterDeg = tried ?? thought;
  const { output: contact } = useReckon('bearings.contact', contactInput(bearing, bench, tighterDeg, null));
  return (
    <Box sx={{ pt: 1 }}>
      <TurnSlider
        label="Tighter than where play ends"
        value={tighterDeg}
        low={-30}
        high={60}
        onChange={setTried}
        words={tighterDeg < 0 ? `${-tighterDeg}° of play` : `${tighterDeg}° tighter`}
      />
      {contact && (
        <>
          <ContactCurve contact={contact} turnDeg={tighterDeg} />
          <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap', my: 1.5 }}>
            <BigNumber value={`${Math.round(contact.worstBallN)} N`} label="on the worst ball" />
            <BigNumber
              value={`${(contact.pressureCupMPa / 1000).toFixed(1)} GPa`}
              label={`at the cup, which keeps a mark from ${contact.limitCupMPa / 1000}`}
              tone={contact.marks === 'none' ? undefined : 'error.main'}
            />
            <BigNumber value={`${contact.frictionNmm.toFixed(0)} N·mm`} label="of drag" />
          </Box>
          {contact.reasons.map((reason) => (
            <Typography key={reason}>{reason}</Typography>
          ))}
          <Working rows={contact.working} />
        </>
      )}
    </Box>
  );
}
