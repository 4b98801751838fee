'use client';
import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import useMediaQuery from '@mui/material/useMediaQuery';
import dynamic from 'next/dynamic';
import { useEffect, useState } from 'react';
import { DERAILLEUR_LEVELS } from '@/core/practice/derailleur';
import type { PracticeLevel } from '@/core/practice/hub';
import { WHEEL_LEVELS } from '@/core/practice/wheelLevels';
import { TopBar } from '../top-bar/TopBar';
import { useReckon } from '../workshop/useReckon';
import { useSettings } from '../workshop/WorkshopProvider';
import { createSound, type RoomSound } from './sound';

const DerailleurRound = dynamic(() => import('./DerailleurRound').then((module) => module.DerailleurRound), {
  ssr: false,
});

const Round = dynamic(() => import('./Round').then((module) => module.Round), { ssr: false });
const WheelRound = dynamic(() => import('./WheelRound').then((module) => module.WheelRound), { ssr: false });

/** Any seed hides another hub; the clock is as good a die as any, and the core keeps none. */
const anySeed = () => Date.now() % 2_147_483_647;

function Levels({
  levels,
  chosen,
  onChoose,
}: {
  levels: Pick<PracticeLevel, 'id' | 'title'>[];
  chosen: string;
  onChoose(id: string): void;
}) {
  const { practice } = useSettings();
  return (
    <>
      <Box
        component="ul"
        sx={{ display: { xs: 'none', md: 'block' }, listStyle: 'none', p: 0, m: 0 }}
        aria-label="Levels"
      >
        {levels.map(({ id, title }) => (
          <li key={id}>
            <Box
              component="button"
              aria-pressed={id === chosen}
              onClick={() => onChoose(id)}
              sx={{
                all: 'unset',
                cursor: 'pointer',
                boxSizing: 'border-box',
                width: '100%',
                minHeight: 56,
                px: 1.5,
                display: 'grid',
                gridTemplateColumns: 'minmax(0, 1fr) auto',
                gap: 1,
                alignItems: 'center',
                borderBottom: '1px solid',
                borderColor: 'divider',
                borderLeft: '3px solid',
                borderLeftColor: id === chosen ? 'primary.main' : 'transparent',
                fontWeight: id === chosen ? 660 : 400,
                '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main', outlineOffset: '-3px' },
              }}
            >
              <span>{title}</span>
              <Box component="span" sx={{ fontWeight: 660, fontVariantNumeric: 'tabular-nums' }}>
                {practice[id]?.best ?? '–'}
              </Box>
            </Box>
          </li>
        ))}
      </Box>
      <TextField
        select
        fullWidth
        label="Level"
        value={chosen}
        onChange={(event) => onChoose(event.target.value)}
        sx={{ display: { md: 'none' }, mb: 2 }}
      >
        {levels.map(({ id, title }) => (
          <MenuItem key={id} value={id}>
            {title}
            {practice[id] ? `, best ${practice[id].best}` : ''}
          </MenuItem>
        ))}
      </TextField>
    </>
  );
}

/** The practice room: a hidden bearing, derailleur or wheel, set by hand, eye and ear. */
export function PracticePage() {
  const { output } = useReckon('practice.levels', {});
  const reduced = useMediaQuery('(prefers-reduced-motion: reduce)', { noSsr: true });
  const [levelId, setLevelId] = useState<string | null>(null);
  const [seed, setSeed] = useState(anySeed);
  const [sound, setSound] = useState<RoomSound | null>(null);
  useEffect(() => () => sound?.end(), [sound]);
  const [words, setWords] = useState<boolean | null>(null);
  const [adviser, setAdviser] = useState(false);
  const derailleur = DERAILLEUR_LEVELS.find((each) => each.id === levelId) ?? null;
  const wheel = WHEEL_LEVELS.find((each) => each.id === levelId) ?? null;
  const level = output?.levels.find((each) => each.id === levelId) ?? output?.levels[0];
  const index = level ? output!.levels.indexOf(level) : 0;
  const next = output?.levels[index + 1];
  const inWords = words ?? reduced;
  return (
    <>
      <TopBar>
        <Box component="h1" sx={{ m: 0, fontSize: '1.1rem', fontWeight: 640 }}>
          Practice room
        </Box>
      </TopBar>
      <Box
        component="main"
        sx={{
          maxWidth: 1240,
          mx: 'auto',
          px: { xs: 2, md: 3 },
          py: { xs: 2, md: 3 },
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '270px minmax(0, 1fr)' },
          gap: { xs: 1, md: 4 },
        }}
      >
        {!output || !level ? (
          <p role="status">Setting the hubs up…</p>
        ) : (
          <>
            <Box>
              <Levels
                levels={[...output.levels, ...DERAILLEUR_LEVELS, ...WHEEL_LEVELS]}
                chosen={(derailleur ?? wheel ?? level).id}
                onChoose={(id) => {
                  setLevelId(id);
                  setSeed(anySeed());
                }}
              />
              <Box
                sx={{ mt: { md: 2 }, display: 'flex', flexDirection: { xs: 'row', md: 'column' }, flexWrap: 'wrap' }}
              >
                <FormControlLabel
                  control={
                    <Switch checked={sound !== null} onChange={(_event, on) => setSound(on ? createSound() : null)} />
                  }
                  label="Sound"
                />
                <FormControlLabel
                  control={<Switch checked={inWords} onChange={(_event, on) => setWords(on)} />}
                  label="Say it in words"
                />
                <FormControlLabel
                  control={<Switch checked={adviser} onChange={(_event, on) => setAdviser(on)} />}
                  label="Adviser"
                />
              </Box>
            </Box>
            {wheel ? (
              <WheelRound
                key={`${wheel.id} ${seed}`}
                level={wheel}
                seed={Math.max(1, seed)}
                sound={sound}
                adviser={adviser}
                onAgain={() => setSeed((was) => was + 1)}
              />
            ) : derailleur ? (
              <DerailleurRound
                key={`${derailleur.id} ${seed}`}
                level={derailleur}
                seed={seed}
                sound={sound}
                adviser={adviser}
                onAgain={() => setSeed((was) => was + 1)}
              />
            ) : (
              <Round
                key={`${level.id} ${seed}`}
                level={level}
                seed={seed}
                sound={sound}
                inWords={inWords}
                adviser={adviser}
                still={reduced}
                nextTitle={next?.title ?? null}
                onAgain={() => setSeed((was) => was + 1)}
                onNext={() => {
                  setLevelId(next?.id ?? level.id);
                  setSeed((was) => was + 1);
                }}
              />
            )}
          </>
        )}
      </Box>
    </>
  );
}
