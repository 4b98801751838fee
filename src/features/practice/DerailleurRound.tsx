'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import {
  ANSWERS,
  feltAs,
  hiddenDerailleur,
  scoreDerailleur,
  type Answered,
  type DerailleurLevel,
  type DerailleurScore,
} from '@/core/practice/derailleur';
import { USUAL_PITCH_MM } from '@/core/drive/pitch';
import type { Feel } from '@/core/drive/shifts';
import { felt } from '@/model/drive/questions';
import type { ShiftRound } from '@/model/drive/part';
import { practised } from '@/model/settings/practice';
import { nowIso } from '@/store/now';
import { Advice } from '../drive/Advice';
import { Cassette } from '../drive/Cassette';
import { feltAt, type Shift } from '../drive/walk';
import { useReckon } from '../workshop/useReckon';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';
import type { RoomSound } from './sound';

/** What hand and ear get of a shift. */
const HEARD: Record<Feel, string> = {
  fails: 'A click of the lever, and it stays where it was.',
  slow: 'It hesitates, then takes.',
  crisp: 'Clack: it takes at once.',
  noisy: 'It takes, and goes on rattling.',
  skips: 'It jumps past, and falls back.',
};
const ANSWER_WORDS: Record<Answered, string> = {
  set: 'It is set',
  friction: 'It is friction',
  hanger: 'It is the hanger',
};

/** Clicks as a shift makes them: one that takes, one that comes late, a rattle. */
function play(sound: RoomSound, feel: Feel) {
  const beats: Record<Feel, number[]> = {
    fails: [0],
    slow: [0, 500],
    crisp: [0, 90],
    noisy: [0, 90, 260, 400, 540, 680],
    skips: [0, 90, 180, 420],
  };
  for (const [i, at] of beats[feel].entries()) setTimeout(() => sound.tick(i === 0 ? 0.15 : 0.5), at);
}

const emptyRound = (turns: number): ShiftRound => ({ id: 'round', at: nowIso(), by: '', turns, gears: [] });

/** One hidden derailleur: shift it through, turn its barrel, and say what it is. */
export function DerailleurRound({
  level,
  seed,
  sound,
  adviser,
  onAgain,
}: {
  level: DerailleurLevel;
  seed: number;
  sound: RoomSound | null;
  adviser: boolean;
  onAgain(): void;
}) {
  const workshop = useWorkshop();
  const settings = useSettings();
  const [hidden] = useState(() => hiddenDerailleur(seed, { rough: level.rough, cogs: level.cogs }));
  const [gear, setGear] = useState(1);
  const [turns, setTurns] = useState(0);
  const [rounds, setRounds] = useState<ShiftRound[]>(() => [emptyRound(0)]);
  const [heard, setHeard] = useState<string | null>(null);
  const [score, setScore] = useState<DerailleurScore | null>(null);
  const [last, setLast] = useState<Shift | null>(null);
  const round = rounds.at(-1)!;
  const { output: advice } = useReckon(
    'drive.index',
    adviser && rounds.some(({ gears }) => gears.length > 0)
      ? {
          cogs: level.cogs,
          cogPitchMm: USUAL_PITCH_MM[level.cogs] ?? 4,
          trials: rounds.slice(-12).map(({ turns: made, gears }, i) => ({ turns: i === 0 ? 0 : made, gears })),
        }
      : null,
  );

  function shift(isToLarger: boolean) {
    const to = gear + (isToLarger ? 1 : -1);
    if (to < 1 || to > level.cogs || score) return;
    const way = isToLarger ? 'toLarger' : 'toSmaller';
    const feel = feltAs(hidden, turns, rounds.length, to, isToLarger);
    setHeard(HEARD[feel]);
    if (sound) play(sound, feel);
    setRounds((was) => [...was.slice(0, -1), felt(was.at(-1)!, to, way, feel)]);
    setLast({ gear: to, way });
    // What fails by hand is pushed over, so that the next one can be tried.
    setGear(to);
  }
  /** Quarters in a row are one setting; shifts after it are a round of their own. */
  function turn(by: number) {
    setTurns((was) => was + by);
    setRounds((was) => {
      const now = was.at(-1)!;
      return now.gears.length === 0 && was.length > 1
        ? [...was.slice(0, -1), { ...now, turns: now.turns + by }]
        : [...was, emptyRound(by)];
    });
  }
  function answer(said: Answered) {
    const made = scoreDerailleur(hidden, turns, rounds.length - 1, said);
    setScore(made);
    void workshop.changeSettings(practised(settings, level.id, made.total, nowIso()));
  }
  const key = { minHeight: 64, flex: '1 0 150px', fontWeight: 640 };
  return (
    <Box sx={{ maxWidth: 640 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {level.title}
      </Typography>
      <Box sx={{ color: 'text.secondary', mb: 2 }}>
        Shift it through both ways, turn the barrel by quarters, and say what it is. Now and then a hand misjudges a
        shift.
      </Box>
      <Cassette cogs={level.cogs} teeth={null} at={last} felt={(each) => feltAt(round, each)} />
      <Box role="status" sx={{ minHeight: '2.2em', mt: 1.5, fontSize: '1.2rem', fontWeight: 640 }}>
        {heard ?? 'On the smallest cog.'}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1 }}>
        <Button variant="contained" sx={key} disabled={gear === 1 || score !== null} onClick={() => shift(false)}>
          To a smaller cog
        </Button>
        <Button
          variant="contained"
          sx={key}
          disabled={gear === level.cogs || score !== null}
          onClick={() => shift(true)}
        >
          To a larger cog
        </Button>
      </Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 2 }}>
        <Button variant="outlined" color="inherit" sx={key} disabled={score !== null} onClick={() => turn(-0.25)}>
          Barrel a quarter in
        </Button>
        <Button variant="outlined" color="inherit" sx={key} disabled={score !== null} onClick={() => turn(0.25)}>
          Barrel a quarter out
        </Button>
      </Box>
      {adviser && advice && score === null && <Advice advice={advice} />}
      {score === null ? (
        <Box role="group" aria-label="What it is" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {ANSWERS.map((said) => (
            <Button key={said} variant="outlined" sx={{ minHeight: 56 }} onClick={() => answer(said)}>
              {ANSWER_WORDS[said]}
            </Button>
          ))}
        </Box>
      ) : (
        <Box role="status" aria-label="Score">
          <Box sx={{ fontSize: '2.4rem', fontWeight: 680, fontVariantNumeric: 'tabular-nums' }}>{score.total}</Box>
          <Box sx={{ fontWeight: 640 }}>{score.words}</Box>
          <Button variant="outlined" sx={{ mt: 1.5, minHeight: 56 }} onClick={onAgain}>
            Another one
          </Button>
        </Box>
      )}
    </Box>
  );
}
