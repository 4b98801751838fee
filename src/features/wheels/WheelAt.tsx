'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { own } from '@/core/own';
import type { LookOver } from '@/core/inspect/lookOver';
import type { SettingUp } from '@/core/setup/steps';
import type { TrueRound } from '@/core/wheels/trueWheel';
import { asTrued, brokenNow, roundOfAnother, spinInput } from '@/model/wheels/questions';
import type { WheelEnd, WheelReading } from '@/model/wheels/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Disclosure } from '@/ui/Disclosure';
import { ReadingField } from '@/ui/ReadingField';
import { Section } from '@/ui/Section';
import { useHand } from '../workshop/useHand';
import { useIsPhone } from '../workshop/useIsPhone';
import { useReckon } from '../workshop/useReckon';
import { useToday } from '../workshop/useToday';
import { useWorkshopName, type StageProps } from '../workshop/WorkshopProvider';
import { BeforeTurning } from './BeforeTurning';
import { BrokenSpokes } from './BrokenSpokes';
import { BuildForm } from './BuildForm';
import { Causes } from './Causes';
import { HubTrace } from './HubTrace';
import { Lacing } from './Lacing';
import { Nipples } from './Nipples';
import { ReadWheel } from './ReadWheel';
import { RoundView } from './RoundView';
import { SpoiltNipples } from './SpoiltNipples';
import { SpokesToBuy } from './SpokesToBuy';
import { useSpokeAtHand } from './spokeAtHand';
import { Wants } from './Wants';
import { useWheel, type WheelNow } from './useWheel';
import { WheelFigure } from './WheelFigure';

const Tones = dynamic(() => import('./Tones').then((module) => module.Tones), {
  ssr: false,
  loading: () => <p role="status">One moment…</p>,
});

/** The steps round truing that come before the first turn; the others come after a round, and after all of them. */
const BEFORE = ['play-first', 'rim-looked', 'nipples-oiled', 'key-fits'];

/** What belongs to the last reading besides its trace: the middle, tones, what the hub does, and nipples that are not as they should be. */
function More({
  bicycle,
  send,
  end,
  wheel: { build, last },
  standInN,
  chosen,
  choose,
}: StageProps & {
  end: WheelEnd;
  wheel: WheelNow;
  standInN: readonly number[] | null;
  chosen: number | null;
  choose(spoke: number | null): void;
}) {
  const isDemo = useWorkshopName() === 'demo';
  if (!build) return null;
  const broken = brokenNow(bicycle, end).length;
  const put = (reading: WheelReading) => send({ type: 'readWheel', reading });
  return (
    <Box sx={{ mt: 2 }}>
      {broken === 0 && (
        <Disclosure summary={<>A broken spoke</>} wide>
          <BrokenSpokes bicycle={bicycle} send={send} end={end} build={build} chosen={chosen} />
        </Disclosure>
      )}
      <Disclosure summary={<>Nipples that turn by finger, are stuck or round off</>} wide>
        <Nipples bicycle={bicycle} send={send} end={end} spokes={build.spokes} />
      </Disclosure>
      {last && (
        <>
          <Disclosure summary={<>Its middle{last.dishMm !== null && `: ${last.dishMm} mm off`}</>} wide>
            <Box data-readings>
              <ReadingField
                label="Its middle is off, left +"
                kind="signed"
                unit="mm"
                width={220}
                help="by gauge, or turned round in the stand: half of what it moves"
                value={last.dishMm}
                onCommit={(dishMm) => put({ ...last, dishMm })}
                onClear={() => put({ ...last, dishMm: null })}
                refuse={(value) => (Math.abs(value) > 30 ? 'at most 30 mm' : null)}
              />
            </Box>
          </Disclosure>
          <Disclosure summary={<>Tension by tone</>} wide>
            <Tones build={build} reading={last} standInN={standInN} onRead={put} onSpoke={choose} />
          </Disclosure>
          <Disclosure summary={<>A disc or flange that swings</>} wide>
            <HubTrace reading={last} isDemo={isDemo} onRead={put} />
          </Disclosure>
        </>
      )}
      <Disclosure summary={<>Spokes to buy, and lacing</>} wide>
        <SpokesToBuy bicycle={bicycle} send={send} end={end} build={build} />
      </Disclosure>
    </Box>
  );
}

/** A wheel in the stand: read whole, and trued a round at a time, in the order that truing goes. */
export function WheelAt({
  bicycle,
  send,
  end,
  settingUp,
  lookOver,
}: StageProps & { end: WheelEnd; settingUp: SettingUp; lookOver: LookOver | null }) {
  const { name: by } = useHand();
  const today = useToday();
  const phone = useIsPhone();
  const isDemo = useWorkshopName() === 'demo';
  const [building, setBuilding] = useState(false);
  const [openId, setOpenId] = useState<string | null>(null);
  const wheel = useWheel(bicycle, end, openId !== null);
  const { build, last, round, truth, cause, pending } = wheel;
  const next = round?.turns.find(({ made }) => !made)?.spoke ?? null;
  const { chosen, choose } = useSpokeAtHand(build && bicycle.lacings[end] ? null : next);
  const { output: made, pending: spinning } = useReckon('wheels.spin', isDemo ? spinInput(bicycle, end) : null);
  const spun = spinning ? null : made;
  if (!build || building)
    return (
      <Section title="The wheel">
        <BuildForm bicycle={bicycle} send={send} end={end} onDone={() => setBuilding(false)} />
      </Section>
    );
  const place = `rim.${end}`;
  const steps = settingUp.jobs.find((job) => job.place === place && job.job === 'truing')?.steps ?? [];
  const before = steps.filter(({ id }) => BEFORE.includes(id));
  const isHeld = before.some(({ done }) => !done);
  // A cracked rim, a wall that is at its end: no nipple is turned on either.
  const ended = lookOver?.findings.find((each) => each.place === place && each.state === 'unsafe' && !each.ended);
  const other = roundOfAnother(bicycle, end, build.spokes);
  // Whoever reads spoke by spoke is asked on after a reload, until it is said that that is all.
  const lacing = bicycle.lacings[end] ?? null;
  const open = bicycle.wheelReadings.find(({ id }) => id === openId) ?? null;
  const isTurned = round !== null && next === null;
  const isAt = lacing === null && round === null;
  const reads = open !== null || last === null || isTurned || last.lateralMm.every((each) => each === null);
  const begin = (turns: TrueRound['turns']) =>
    send({
      type: 'beginRound',
      round: {
        id: newId(),
        at: nowIso(),
        by,
        end,
        reading: last!.id,
        turns: turns.map((turn) => ({
          ...turn,
          made: false,
          ...(own(bicycle.nipples, `${end}/${turn.spoke}`) === 'loose' && { loose: true }),
        })),
      },
    });
  const read = (
    <ReadWheel
      bicycle={bicycle}
      send={send}
      end={end}
      build={build}
      last={last}
      open={open}
      spun={spun}
      chosen={chosen}
      choose={choose}
      onOpen={setOpenId}
    />
  );
  const figure = phone && (
    <WheelFigure bicycle={bicycle} end={end} wheel={wheel} atHand={chosen} onTap={(spoke) => choose(spoke)} />
  );
  return (
    <Section title="The wheel in the stand" aside={`${build.spokes} spokes, crossed ${build.crossings}`}>
      {brokenNow(bicycle, end).length > 0 && (
        <Box role="region" aria-label="A broken spoke" sx={{ mb: 2 }}>
          <BrokenSpokes bicycle={bicycle} send={send} end={end} build={build} chosen={chosen} />
        </Box>
      )}
      {lacing && <Lacing bicycle={bicycle} send={send} end={end} lacing={lacing} onSpoke={choose} />}
      {lacing && figure}
      {other !== null && (
        <Box role="alert" sx={{ fontWeight: 640, mb: 2, maxWidth: '58ch' }}>
          A round of {other} spokes is under way, and the wheel is now said to have {build.spokes}. Nothing of it is
          lost: say {other} again and it goes on, or read the wheel anew.
        </Box>
      )}
      {!lacing && round && !open && <RoundView send={send} build={build} round={round} />}
      {isAt && !reads && isHeld && (
        <BeforeTurning bicycle={bicycle} send={send} place={place} steps={before} lookOver={lookOver} />
      )}
      {isAt && !reads && last && cause && (
        <Causes bicycle={bicycle} send={send} end={end} reading={last} cause={cause} />
      )}
      {isAt && !reads && pending && <p role="status">Reckoning the round…</p>}
      {isAt && !reads && truth && last && (
        <Wants
          truth={truth}
          waits={
            ended
              ? `${ended.label}: ${ended.reasons[0] ?? 'unsafe'} It goes no further.`
              : isHeld
                ? 'First what comes before the first turn.'
                : null
          }
          onBegin={begin}
          onTrued={() => {
            for (const command of asTrued(bicycle, last, { by, at: nowIso(), today, newId })) send(command);
          }}
        />
      )}
      {lacing === null && reads && (
        <>
          {figure}
          {read}
        </>
      )}
      <SpoiltNipples bicycle={bicycle} send={send} end={end} />
      {isAt && !reads && (
        <Disclosure summary={<>Read it again</>} wide>
          {read}
        </Disclosure>
      )}
      {!lacing && !reads && figure}
      {lacing === null && (
        <More
          bicycle={bicycle}
          send={send}
          end={end}
          wheel={wheel}
          standInN={spun ? spun.tensionN : null}
          chosen={chosen}
          choose={choose}
        />
      )}
      <Button color="inherit" onClick={() => setBuilding(true)}>
        How it is built
      </Button>
    </Section>
  );
}
