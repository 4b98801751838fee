'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useDeferredValue, useEffect, useMemo, useState, type KeyboardEvent } from 'react';
import { apartWords } from '@/model/plan/apart';
import { percent } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { Working } from '@/ui/Working';
import { stageHref } from '../workshop/stageLink';
import { TopBar } from '../top-bar/TopBar';
import { useSettings, useWorkshop, useWorkshopState } from '../workshop/WorkshopProvider';
import { NowList } from './NowList';
import { momentWords, promisedMs } from './planWords';
import { ToBuy } from './ToBuy';
import { useMoves, usePlan, type WholePlan } from './usePlan';

const Ruler = dynamic(() => import('./Ruler').then((module) => module.Ruler), { ssr: false });
const Hours = dynamic(() => import('./Hours').then((module) => module.Hours), { ssr: false });
const Chosen = dynamic(() => import('./Chosen').then((module) => module.Chosen), { ssr: false });

const USUAL_HAVE = 40;
const NOTHING_TRIED: Readonly<Record<string, string>> = {};

/** When each bicycle can be promised. */
function Promises({ whole, names }: { whole: WholePlan; names: Readonly<Record<string, string>> }) {
  const { plan, promises, zeroMs, tasks, pending } = whole;
  const bicycles = [...new Set(tasks.map(({ bicycle }) => bicycle))];
  if (bicycles.length === 0) return null;
  const ready = new Map(plan?.ready.map(({ bicycle, atMin }) => [bicycle, atMin]));
  const why = new Map(
    plan?.unplanned.map(({ task, why: words }) => [tasks.find(({ id }) => id === task)?.bicycle, words]),
  );
  return (
    <Section title="When it can be promised" aside="80 % sure">
      <RuledList aria-label="Promises">
        {bicycles.map((bicycle) => {
          const promise = promises.find((each) => each.bicycle === bicycle);
          const at = ready.get(bicycle);
          return (
            <Box
              component="li"
              key={bicycle}
              sx={{
                py: 1,
                display: 'flex',
                gap: 2,
                justifyContent: 'space-between',
                flexWrap: 'wrap',
                alignItems: 'baseline',
              }}
            >
              <Box component="a" href={stageHref(bicycle, 'decide')} sx={{ color: 'inherit', fontWeight: 640 }}>
                {names[bicycle]}
              </Box>
              <Box sx={{ textAlign: { sm: 'right' } }}>
                <Box sx={{ fontSize: '1.3rem', fontWeight: 680, fontVariantNumeric: 'tabular-nums' }}>
                  {promise?.byMin != null
                    ? `by ${momentWords(promisedMs(zeroMs, promise.byMin))}`
                    : pending || !plan
                      ? '…'
                      : at === undefined
                        ? 'Not within these sessions'
                        : promise
                          ? `Only ${percent(promise.inTime)} sure`
                          : '…'}
                </Box>
                <Box sx={{ color: 'text.secondary', fontSize: '0.94rem' }}>
                  {at === undefined
                    ? pending
                      ? 'calculating…'
                      : (why.get(bicycle) ?? '')
                    : `planned for ${momentWords(zeroMs + at * 60_000)}`}
                </Box>
              </Box>
            </Box>
          );
        })}
      </RuledList>
    </Section>
  );
}

/** What waits for something of which nobody knows the day, and what no session holds. */
function LeftOut({ whole, names }: { whole: WholePlan; names: Readonly<Record<string, string>> }) {
  const { left, plan, tasks, later } = whole;
  const of = new Map(tasks.map((task) => [task.id, task]));
  const rows = [
    ...left.map(({ bicycle, label, why }) => `${names[bicycle]}, ${label}: ${why}.`),
    ...(plan?.unplanned.flatMap(({ task, why }) => {
      const found = of.get(task);
      return found ? [`${names[found.bicycle]}, ${found.label}: ${why}.`] : [];
    }) ?? []),
    ...later.map((bicycle) => `${names[bicycle]}: too much is open at once; it is planned when others are out.`),
  ];
  if (rows.length === 0) return null;
  return (
    <Section title="Not planned">
      <RuledList aria-label="Not planned">
        {rows.map((words) => (
          <Box component="li" key={words} sx={{ py: 0.5 }}>
            {words}
          </Box>
        ))}
      </RuledList>
    </Section>
  );
}

/** What now, for the minutes that one has; the plan of the next weeks; and when each bicycle can be promised. */
export function PlanPage() {
  const settings = useSettings();
  const workshop = useWorkshop();
  const summaries = useWorkshopState((state) => state.summaries);
  const [have, setHave] = useState(USUAL_HAVE);
  const [tried, setTried] = useState(NOTHING_TRIED);
  const [chosen, setChosen] = useState<string | null>(null);
  useEffect(() => {
    document.title = 'Plan · Ergasto';
  }, []);
  const names = useMemo(
    () => Object.fromEntries(Object.values(summaries).map(({ id, name }) => [id, name])),
    [summaries],
  );
  const whole = usePlan(useDeferredValue(have), useDeferredValue(tried));
  const { plan, sessions, tasks, zeroMs, pending } = whole;
  const moves = useMoves(plan, pending || tried !== NOTHING_TRIED, zeroMs, (bicycle, from, to) =>
    to === null
      ? `${names[bicycle]} is no longer planned whole.`
      : from === null
        ? `${names[bicycle]} is planned for ${momentWords(to)}.`
        : `${names[bicycle]} moves from ${momentWords(from)} to ${momentWords(to)}.`,
  );
  const pins = useMemo(
    () => new Set(Object.entries(settings.pins).flatMap(([id, at]) => (at === '' ? [] : [id]))),
    [settings.pins],
  );
  const pin = (task: string, atMs: number | null) => {
    setTried(NOTHING_TRIED);
    if (atMs === null) return;
    void workshop.changeSettings(({ pins: kept }) => ({ pins: { ...kept, [task]: new Date(atMs).toISOString() } }));
  };
  const letGo = (task: string) => void workshop.changeSettings(({ pins: kept }) => ({ pins: { ...kept, [task]: '' } }));
  const move = (id: string, by: -1 | 1) => {
    const task = tasks.find((each) => each.id === id);
    const from = plan?.plan.find((piece) => piece.task === id)?.fromMin;
    if (!task) return;
    const atMs = from === undefined ? zeroMs : zeroMs + from * 60_000;
    const holds = sessions.filter(({ fromMs, toMs }) => toMs - fromMs >= task.minutes * 60_000);
    const next = by === 1 ? holds.find(({ fromMs }) => fromMs > atMs) : holds.filter(({ toMs }) => toMs <= atMs).at(-1);
    if (next) pin(id, next.fromMs);
  };
  const onKey = (id: string, event: KeyboardEvent) => {
    if (event.key === 'ArrowRight' || event.key === 'ArrowLeft') move(id, event.key === 'ArrowRight' ? 1 : -1);
    else if (event.key === 'Delete' || event.key === 'Backspace') letGo(id);
    else return;
    event.preventDefault();
    setChosen(id);
  };
  const task = tasks.find(({ id }) => id === chosen);
  const save = async () => {
    if (!plan) return;
    const { savePlan } = await import('./savePlan');
    await savePlan(whole, names);
  };
  const apart = useMemo(() => apartWords(Object.values(summaries)), [summaries]);
  const hasSessions = settings.week.length + settings.ownSessions.length > 0;
  return (
    <>
      <TopBar>
        <Box component="h1" sx={{ m: 0, fontSize: '1.1rem', fontWeight: 640 }}>
          Plan
        </Box>
      </TopBar>
      <Box component="main" sx={{ maxWidth: 1180, mx: 'auto', px: { xs: 2, md: 3 }, py: { xs: 2, md: 3 } }}>
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 3fr) minmax(0, 2fr)' },
            columnGap: 6,
            mb: 4,
          }}
        >
          <NowList whole={whole} have={have} onHave={setHave} />
          <Box sx={{ mt: { xs: 4, md: 0 } }}>
            <Promises whole={whole} names={names} />
          </Box>
        </Box>
        {whole.errors.map((error) => (
          <Box key={error.path} role="alert">
            {error.message}
          </Box>
        ))}
        <Section
          title="The plan"
          aside={
            <Button
              variant="outlined"
              size="small"
              disabled={!plan || plan.plan.length === 0}
              onClick={() => void save()}
            >
              For the calendar
            </Button>
          }
        >
          <Box role="status" aria-label="What moved" sx={{ fontWeight: 620 }}>
            {moves.join(' ')}
          </Box>
          {apart && <Box sx={{ mb: 1 }}>{apart}</Box>}
          {!hasSessions && <Box sx={{ mb: 1 }}>Say below when somebody is here, and the plan reaches beyond now.</Box>}
          {plan && plan.plan.length > 0 && (
            <Ruler
              whole={whole}
              names={names}
              chosen={chosen}
              pins={pins}
              onChoose={setChosen}
              onTry={(id, atMs) => setTried({ [id]: new Date(atMs).toISOString() })}
              onPin={pin}
              onKey={onKey}
            />
          )}
          {task && (
            <Chosen
              task={task}
              whole={whole}
              name={names[task.bicycle] ?? ''}
              pinned={pins.has(task.id)}
              onMove={(by) => move(task.id, by)}
              onLetGo={() => letGo(task.id)}
            />
          )}
          {plan && <Working rows={plan.working} />}
        </Section>
        <LeftOut whole={whole} names={names} />
        <ToBuy whole={whole} names={names} />
        <Hours now={new Date(zeroMs)} />
      </Box>
    </>
  );
}
