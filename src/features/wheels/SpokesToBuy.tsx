'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { WheelBuild, WheelEnd } from '@/model/wheels/part';
import { lengthInput, spokesToBuy } from '@/model/wheels/lengthInput';
import { newId } from '@/store/browser';
import { Choices } from '@/ui/Choices';
import { LargeFigures } from '@/ui/LargeFigures';
import { stateColour } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import { useSettings, type StageProps } from '../workshop/WorkshopProvider';

const THREADS = [
  { id: '56', label: '56 to the inch' },
  { id: '62', label: '62 to the inch' },
  { id: 'unknown', label: 'Not measured' },
] as const;
type Thread = (typeof THREADS)[number]['id'];
const THREAD_WORDS: Record<Thread, string> = {
  '56': 'Any usual nipple of that gauge goes on.',
  '62': 'An old thread: no modern nipple goes on, and none is forced. New spokes and nipples together.',
  unknown: 'Lay a known spoke’s thread into it against the light: 56 meshes, 62 does not.',
};

/** How long the spokes of each side are and how many to buy; then the wheel may be laced. */
export function SpokesToBuy({ bicycle, send, end, build }: StageProps & { end: WheelEnd; build: WheelBuild }) {
  const { rules } = useSettings();
  const [thread, setThread] = useState<Thread>('unknown');
  const left = useReckon('wheels.spokeLength', lengthInput(build, 'left'));
  const right = useReckon('wheels.spokeLength', lengthInput(build, 'right'));
  const sides = [
    { side: 'left', told: left },
    { side: 'right', told: right },
  ] as const;
  const refused = [...left.errors, ...right.errors][0];
  const bought = left.output && right.output ? spokesToBuy(build, left.output.lengthMm, right.output.lengthMm) : null;
  const isOrdered =
    bought !== null && bicycle.deliveries.some(({ label, arrivedAt }) => label === bought.words && !arrivedAt);
  return (
    <Box>
      {refused && (
        <Box role="alert" sx={{ color: stateColour('unsafe') }}>
          {refused.message}
        </Box>
      )}
      <LargeFigures
        figures={sides.flatMap(({ side, told: { output } }) =>
          output
            ? [{ value: `${Math.round(output.lengthMm)} mm`, words: `${side}, reckoned ${output.lengthMm.toFixed(1)}` }]
            : [],
        )}
      />
      {bought && (
        <Box sx={{ mb: 1 }}>
          {bought.words}: to the nearest millimetre, never longer than the head of the nipple lets in.
        </Box>
      )}
      {left.output && <Working rows={[...left.output.working, ...(right.output?.working ?? [])]} />}
      <Box sx={{ my: 1.5 }}>
        <Choices
          label="Thread of the spokes that are there"
          options={THREADS}
          value={thread}
          onChoose={(each) => setThread(each)}
        />
        <Box sx={{ mt: 0.5, ...(thread === '62' && { color: stateColour('unsafe'), fontWeight: 620 }) }}>
          {THREAD_WORDS[thread]}
        </Box>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {bought && (
          <Button
            variant="outlined"
            sx={{ minHeight: 56 }}
            disabled={isOrdered}
            onClick={() =>
              send({
                type: 'putDelivery',
                delivery: { id: newId(), label: bought.words, dueOn: null, arrivedAt: null, place: `spokes.${end}` },
              })
            }
          >
            {isOrdered ? 'On order' : 'Put it on order'}
          </Button>
        )}
        <Button
          variant="outlined"
          sx={{ minHeight: 56 }}
          onClick={() => send({ type: 'laceWheel', end, lacing: { pulling: rules.spokesPull, laced: 0 } })}
        >
          Lace it anew
        </Button>
      </Box>
    </Box>
  );
}
