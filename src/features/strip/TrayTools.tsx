'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { useState, type ReactNode } from 'react';
import { partWords, type Assembly } from '@/core/strip/tray';
import type { Seized, Tray } from '@/model/strip/part';
import { benchHref } from '../workshop/benchHref';
import { useReckon } from '../workshop/useReckon';
import type { StageProps } from '../workshop/WorkshopProvider';
import { AskStuck, newSeized } from './AskStuck';
import { TrayLabel } from './TrayLabel';

/** The part that a hand is at when something will not move: the next that comes off, else the first. */
function nextOff(assembly: Assembly, tray: Tray) {
  const taking = assembly.steps.find((step) => !tray.doneSteps.includes(step.id) && step.takes.length > 0);
  return assembly.parts.find((part) => part.id === taking?.takes[0]) ?? assembly.parts[0]!;
}

/** What else can be done with a tray: on the bench, stuck, labelled. */
export function TrayTools({
  bicycle,
  send,
  assembly,
  tray,
  task,
  children,
}: StageProps & { assembly: Assembly; tray: Tray; task: 'strip' | 'put-back'; children: ReactNode }) {
  const [labelling, setLabelling] = useState(false);
  /** What is said to be stuck, before it is put down. */
  const [stuck, setStuck] = useState<Seized | null>(null);
  const { output: ladder } = useReckon('strip.ladder', {});
  const { place } = assembly;
  const taken = nextOff(assembly, tray);
  const atHand = { words: partWords(taken), material: taken.materials[0] };
  return (
    <Box sx={{ mt: 2, mb: 3 }}>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
        <Button
          component={Link}
          prefetch={false}
          href={benchHref(bicycle.id, task, place)}
          variant="outlined"
          color="inherit"
          sx={{ minHeight: 48 }}
        >
          On the bench
        </Button>
        <Button
          color="inherit"
          sx={{ minHeight: 48 }}
          aria-expanded={stuck !== null}
          onClick={() => setStuck(newSeized(place, atHand, bicycle.kind.frameMaterial, ladder?.joints ?? []))}
        >
          It will not move
        </Button>
        <Button color="inherit" sx={{ minHeight: 48 }} onClick={() => setLabelling(true)}>
          Label
        </Button>
        {children}
      </Box>
      {stuck && (
        <AskStuck
          part={stuck}
          onYes={() => {
            send({ type: 'putSeized', seized: stuck });
            setStuck(null);
          }}
          onNo={() => setStuck(null)}
        />
      )}
      {labelling && <TrayLabel bicycle={bicycle} assembly={assembly} onClose={() => setLabelling(false)} />}
    </Box>
  );
}
