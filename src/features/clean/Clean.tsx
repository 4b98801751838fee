'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Section } from '@/ui/Section';
import { stateColour } from '@/ui/StateMark';
import { goToStage } from '../workshop/stageLink';
import { useFindings } from '../workshop/useFindings';
import type { StageProps } from '../workshop/WorkshopProvider';
import { Finish } from './Finish';
import { TimerList } from './TimerList';
import { Wash } from './Wash';

/** What is asked again once it is clean: everything that was judged through dirt. */
function LookAgain({ bicycle, send }: StageProps) {
  const again = (useFindings(bicycle)?.findings ?? []).filter((finding) => finding.again);
  const cleaned = bicycle.trays.some((tray) => tray.cleaned.length > 0);
  const early = bicycle.seenAs === 'bought' || bicycle.seenAs === 'stripped';
  if (!cleaned && again.length === 0) return null;
  return (
    <Section title="Look again" aside={again.length ? `${again.length} judged through dirt` : undefined}>
      <Typography sx={{ maxWidth: '62ch' }}>
        Dirt hides both ways: a grim cassette proves good, a clean-looking bore proves scored.
      </Typography>
      {again.length > 0 && <Box sx={{ mt: 1 }}>{again.map((finding) => finding.label).join(' · ')}</Box>}
      <Box sx={{ display: 'flex', gap: 1, mt: 1.5, flexWrap: 'wrap' }}>
        {early && (
          <Button
            variant="outlined"
            color="inherit"
            sx={{ minHeight: 56 }}
            onClick={() => send({ type: 'seenFromNow', seenAs: 'cleaned' })}
          >
            It is clean now
          </Button>
        )}
        <Button variant="outlined" sx={{ minHeight: 56 }} onClick={() => goToStage(bicycle.id, 'look-over')}>
          Look over again
        </Button>
      </Box>
    </Section>
  );
}

/** What runs, what goes where to be cleaned, what is looked at again, and the frame's finish. */
export function Clean({ bicycle, send }: StageProps) {
  return (
    <>
      {bicycle.kind.electric && (
        <Box role="note" sx={{ borderLeft: '3px solid', borderColor: 'text.primary', pl: 2, mb: 2, maxWidth: '60ch' }}>
          <b>Electric: no jet, no bath for what carries current.</b> Battery off and away, plugs dry, by hand with a
          damp cloth.
        </Box>
      )}
      {bicycle.kind.brakes === 'disc' && (
        <Box sx={{ borderLeft: '3px solid', borderColor: stateColour('unsafe'), pl: 1.5, mb: 3 }}>
          <b>Before any washing:</b> discs off or bagged, pads out. Contaminated pads are scrap.
        </Box>
      )}
      <Section title="Running now">
        <TimerList bicycle={bicycle} send={send} />
      </Section>
      <Wash bicycle={bicycle} send={send} />
      <LookAgain bicycle={bicycle} send={send} />
      <Finish bicycle={bicycle} send={send} />
      <Typography variant="body2" sx={{ color: 'text.secondary', mt: 3, maxWidth: '62ch' }}>
        Never mix cleaners; solvents and chlorinated cleaner stay away from heat; acid baths stand with the lid off and
        away from flame, for they make gas. Gloves, eyes, air; hot wax burns; compressed air never at skin, and never to
        spin a bearing. Sealed cartridges are never soaked. Old linings and paint may hold asbestos or lead: no dry
        sanding. Rags and solvents go where local rules say.
      </Typography>
    </>
  );
}
