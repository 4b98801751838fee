'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { pluck } from '@/core/practice/pluck';
import {
  byTheEar,
  byTheEye,
  PRACTICE_WHEEL,
  WHEEL_ANSWERS,
  type WheelAnswer,
  type WheelLevel,
} from '@/core/practice/wheelLevels';
import { practised } from '@/model/settings/practice';
import { nowIso } from '@/store/now';
import { turnWords } from '../wheels/words';
import { useReckon } from '../workshop/useReckon';
import { useWorkshop } from '../workshop/WorkshopProvider';
import type { RoomSound } from './sound';
import { WheelStand, wordsOf } from './WheelStand';

const { spokes } = PRACTICE_WHEEL;
const QUARTER = 0.25;
/** How a spoke of this wheel is plucked, where sound is on. */
const PLUCKED = { freeLengthMm: 185, spokeDiameterMm: 2, sampleRate: 44_100, seconds: 0.9, noise: 0 };
const ANSWER_WORDS: Record<WheelAnswer, string> = { true: 'It is true', metal: 'It is bent metal' };
const EAR_WORDS = {
  lower: 'It sounds lower than its side.',
  alike: 'It sounds like its side.',
  higher: 'It sounds higher than its side.',
};
const TURNED_WORDS = { tighter: 'A quarter tighter.', looser: 'A quarter looser.', seized: 'It does not turn.' };

/** One hidden wheel: turned past the pads by hand, its nipples turned by quarters, squeezed and spun; and what one says of it in the end. */
export function WheelRound({
  level,
  seed,
  sound,
  adviser,
  onAgain,
}: {
  level: WheelLevel;
  seed: number;
  sound: RoomSound | null;
  adviser: boolean;
  onAgain(): void;
}) {
  const workshop = useWorkshop();
  const [at, setAt] = useState(0);
  const [made, setMade] = useState<number[]>(() => Array.from({ length: spokes }, () => 0));
  const [rounds, setRounds] = useState(0);
  const [told, setTold] = useState<string | null>(null);
  const [said, setSaid] = useState<WheelAnswer | null>(null);
  const wheel = { ...PRACTICE_WHEEL, seed, fault: level.fault };
  const { output: now } = useReckon('wheels.spin', { ...wheel, made, round: rounds });
  const { output: advice, pending } = useReckon(
    'wheels.true',
    adviser && now && said === null
      ? {
          ...PRACTICE_WHEEL,
          readings: { lateralMm: now.lateralMm, radialMm: now.radialMm, tensionN: now.tensionN },
          dishMm: now.dishMm,
          stuck: made.flatMap((each, i) => (each !== 0 && now.seized.includes(i) ? [i] : [])),
        }
      : null,
  );
  const { output: score } = useReckon('wheels.score', said === null ? null : { ...wheel, made, rounds, said });
  const total = score?.total ?? null;
  useEffect(() => {
    if (total !== null) void workshop.changeSettings((kept) => practised(kept, level.id, total, nowIso()));
  }, [total, level.id, workshop]);
  if (!now) return <p role="status">Putting a wheel into the stand…</p>;
  const [lateralMm, radialMm] = [byTheEye(now.lateralMm[at]!), byTheEye(now.radialMm[at]!)];
  const turned = new Set(made.flatMap((each, i) => (each === 0 ? [] : [i])));
  const go = (by: number) => {
    const to = (at + by + spokes) % spokes;
    setAt(to);
    setTold(null);
    // What touches a pad is heard.
    if (sound && Math.abs(now.lateralMm[to]!) > 1.2) sound.tick(Math.min(0.6, Math.abs(now.lateralMm[to]!) / 4));
  };
  const turn = (by: number) => {
    setMade((was) => was.map((each, i) => (i === at ? each + by : each)));
    setTold(now.seized.includes(at) ? TURNED_WORDS.seized : by > 0 ? TURNED_WORDS.tighter : TURNED_WORDS.looser);
  };
  const pluckIt = () => {
    setTold(EAR_WORDS[byTheEar(now.tensionN, at)]);
    const tensionN = Math.max(40, now.tensionN[at]!);
    sound?.play(pluck({ ...PLUCKED, tensionN, seed: at + 1 }), PLUCKED.sampleRate);
  };
  const spin = () => {
    setRounds(rounds + 1);
    const worst = now.lateralMm.reduce(
      (most, each, i) => (Math.abs(each) > Math.abs(now.lateralMm[most]!) ? i : most),
      0,
    );
    const hop = now.radialMm.reduce((most, each, i) => (Math.abs(each) > Math.abs(now.radialMm[most]!) ? i : most), 0);
    setTold(
      `Squeezed and spun: furthest sideways ${wordsOf(byTheEye(now.lateralMm[worst]!), 'to the left', 'to the right')} near spoke ${worst + 1}, up and down ${wordsOf(byTheEye(now.radialMm[hop]!), 'out', 'in', 'no hop')} near ${hop + 1}.`,
    );
  };
  const key = { minHeight: 60, flex: '1 0 140px', fontWeight: 640 };
  const isOver = said !== null;
  return (
    <Box sx={{ maxWidth: 680 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {level.title}
      </Typography>
      <Box sx={{ color: 'text.secondary', mb: 2 }}>
        Turn it past the pads, pluck, turn nipples by quarters, squeeze and spin. The fewer nipples and rounds the
        better; a bent one is left alone.
      </Box>
      <WheelStand
        spokes={spokes}
        at={at}
        turned={turned}
        lateralMm={lateralMm}
        radialMm={radialMm}
        onSpoke={(to) => go(to - at)}
      />
      <Box role="status" aria-label="At the pads" sx={{ fontSize: '1.2rem', fontWeight: 640, mt: 1.5 }}>
        Spoke {at + 1}, {at % 2 === 0 ? 'left' : 'right'}: {wordsOf(lateralMm, 'to the left', 'to the right')},{' '}
        {wordsOf(radialMm, 'out', 'in', 'no hop')}
      </Box>
      <Box role="status" aria-label="What eye and ear get" sx={{ minHeight: '3em' }}>
        {told}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}>
        <Button variant="outlined" color="inherit" sx={key} onClick={() => go(-1)}>
          Back a spoke
        </Button>
        <Button variant="outlined" color="inherit" sx={key} onClick={() => go(1)}>
          On a spoke
        </Button>
        <Button variant="outlined" color="inherit" sx={key} onClick={pluckIt}>
          Pluck it
        </Button>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 2 }}>
        <Button variant="contained" sx={key} disabled={isOver} onClick={() => turn(QUARTER)}>
          A quarter tighter
        </Button>
        <Button variant="contained" sx={key} disabled={isOver} onClick={() => turn(-QUARTER)}>
          A quarter looser
        </Button>
        <Button variant="outlined" sx={key} disabled={isOver} onClick={spin}>
          Squeeze, and spin
        </Button>
      </Box>
      {adviser && !isOver && advice && !pending && (
        <Box role="note" aria-label="Adviser" sx={{ mb: 2 }}>
          <b>{advice.words}</b>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {advice.turns.map(({ spoke, turns }) => (
              <li key={spoke}>{turnWords(spoke, spoke % 2 === 0 ? 'left' : 'right', turns)}</li>
            ))}
          </Box>
        </Box>
      )}
      <Box sx={{ fontVariantNumeric: 'tabular-nums', color: 'text.secondary', mb: 1 }}>
        {turned.size} nipples turned, {rounds} {rounds === 1 ? 'round' : 'rounds'}
      </Box>
      {score ? (
        <Box role="status" aria-label="Score">
          <Box sx={{ fontSize: '2.4rem', fontWeight: 680, fontVariantNumeric: 'tabular-nums' }}>{score.total}</Box>
          <Box sx={{ fontWeight: 640 }}>{score.words}</Box>
          <Button variant="outlined" sx={{ mt: 1.5, minHeight: 56 }} onClick={onAgain}>
            Another one
          </Button>
        </Box>
      ) : (
        <Box role="group" aria-label="What it is" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {WHEEL_ANSWERS.map((answer) => (
            <Button
              key={answer}
              variant="outlined"
              sx={{ minHeight: 56 }}
              disabled={isOver}
              onClick={() => setSaid(answer)}
            >
              {ANSWER_WORDS[answer]}
            </Button>
          ))}
        </Box>
      )}
    </Box>
  );
}
