'use client';
import { DndContext, PointerSensor, useDraggable, useSensor, useSensors, type DragMoveEvent } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import { scaleLinear } from 'd3-scale';
import { useMemo, type KeyboardEvent } from 'react';
import { hours } from '@/ui/format';
import { openTimes, type Session } from '@/model/plan/sessions';
import { useSettings } from '../workshop/WorkshopProvider';
import { dayWords, momentWords, spanWords } from './planWords';
import type { OpenTask, WholePlan } from './usePlan';

const PX_PER_MIN = 2;
/** A narrower block says nothing of itself; its words stand below when it is chosen. */
const LEAST_WORDS_PX = 58;
const GAP_PX = 16;
const ROW_PX = 46;
const THIN_PX = 26;
const NAME_PX = 132;
const HEAD_PX = 46;
const MOST_SESSIONS = 24;
const SNAP_MS = 5 * 60_000;

/** Moments on the ruler: sessions to scale, the time between them pressed together, so that a wait runs on and takes no room. */
export function rulerScale(sessions: readonly Session[]) {
  const domain: number[] = [];
  const range: number[] = [];
  let at = 0;
  for (const { fromMs, toMs } of sessions) {
    domain.push(fromMs, toMs);
    const width = Math.max(92, ((toMs - fromMs) / 60_000) * PX_PER_MIN);
    range.push(at, at + width);
    at += width + GAP_PX;
  }
  return { x: scaleLinear(domain, range).clamp(true), width: Math.max(0, at - GAP_PX) };
}

interface Piece {
  task: OpenTask;
  fromMs: number;
  toMs: number;
  first: boolean;
  /** Whose hands, where there are several. */
  who: string;
  /** Two at one bicycle at once lie one under the other. */
  lane: number | null;
}

function Block({
  piece: { task, fromMs, toMs, first, who, lane },
  left,
  width,
  chosen,
  pinned,
  onChoose,
  onKey,
}: {
  piece: Piece;
  left: number;
  width: number;
  chosen: boolean;
  pinned: boolean;
  onChoose(): void;
  onKey(event: KeyboardEvent): void;
}) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({ id: task.id, disabled: !first });
  return (
    <Box
      component="button"
      ref={first ? setNodeRef : undefined}
      {...(first ? attributes : {})}
      {...(first ? listeners : {})}
      type="button"
      aria-label={`${task.label}, ${momentWords(fromMs)}, ${hours((toMs - fromMs) / 60_000)}${who && `, ${who}`}${pinned ? ', pinned' : ''}`}
      aria-pressed={chosen}
      aria-roledescription="task of the plan"
      onClick={onChoose}
      onKeyDown={onKey}
      sx={{
        position: 'absolute',
        top: lane === 1 ? ROW_PX / 2 : lane === 0 ? 2 : 6,
        height: lane === null ? ROW_PX - 12 : ROW_PX / 2 - 3,
        left,
        width: Math.max(10, width - 1),
        px: 0.5,
        font: 'inherit',
        fontSize: '0.78rem',
        lineHeight: 1.1,
        textAlign: 'left',
        overflow: 'hidden',
        cursor: 'grab',
        touchAction: 'none',
        borderRadius: '2px',
        border: '1.5px solid',
        borderColor: pinned ? 'primary.main' : 'text.primary',
        borderLeftWidth: pinned ? 5 : 1.5,
        bgcolor: chosen ? 'primary.main' : 'background.paper',
        color: chosen ? 'primary.contrastText' : 'text.primary',
        opacity: isDragging ? 0.75 : 1,
        zIndex: isDragging ? 3 : 1,
        transform: transform ? `translateX(${transform.x}px)` : undefined,
        '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main', outlineOffset: 1 },
      }}
    >
      {width >= LEAST_WORDS_PX && (
        // Whole lines or none: half a line says nothing.
        <Box
          component="span"
          sx={{ display: '-webkit-box', WebkitLineClamp: 2, WebkitBoxOrient: 'vertical', overflow: 'hidden' }}
        >
          {who && <b>{who} </b>}
          {task.label}
        </Box>
      )}
    </Box>
  );
}

/** The plan drawn: sessions as a ruler of days, a bicycle a thread, waits as thin lines that run on, stand and bath as rows of their own. */
export function Ruler({
  whole,
  names,
  chosen,
  pins,
  onChoose,
  onTry,
  onPin,
  onKey,
}: {
  whole: WholePlan;
  names: Readonly<Record<string, string>>;
  chosen: string | null;
  pins: ReadonlySet<string>;
  onChoose(task: string): void;
  onTry(task: string, atMs: number): void;
  onPin(task: string, atMs: number | null): void;
  onKey(task: string, event: KeyboardEvent): void;
}) {
  const { plan, tasks, sessions, zeroMs } = whole;
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  const of = useMemo(() => new Map(tasks.map((task) => [task.id, task])), [tasks]);
  const at = (minute: number) => zeroMs + minute * 60_000;
  const lastMs = Math.max(...(plan?.plan.map(({ toMin }) => at(toMin)) ?? [0]), 0);
  const shown = openTimes(sessions).filter(({ fromMs }, i) => i < MOST_SESSIONS && (fromMs <= lastMs || i < 3));
  const { x, width } = useMemo(() => rulerScale(shown), [shown]);
  const seen = new Set<string>();
  const { people } = useSettings();
  const nameOf = (hand: number | undefined) =>
    hand === undefined ? '' : (people.find(({ id }) => id === whole.hands[hand - 1])?.name ?? '');
  /** Who is there in a session, where it is not always the same one. */
  const thereIn = ({ fromMs, toMs }: Session) => {
    if (whole.hands.length < 2) return '';
    const there = new Set(
      sessions
        .filter((each) => each.fromMs < toMs && each.toMs > fromMs)
        .map(({ who }) => whole.hands.indexOf(who) + 1),
    );
    return [...there].map(nameOf).filter(Boolean).join(', ');
  };
  const pieces = (plan?.plan ?? []).flatMap(({ task, fromMin, toMin, hand }, i, all): Piece[] => {
    const found = of.get(task);
    if (!found) return [];
    const first = !seen.has(task);
    seen.add(task);
    const beside = (other: (typeof all)[number]) =>
      other.hand !== hand &&
      of.get(other.task)?.bicycle === found.bicycle &&
      other.fromMin < toMin &&
      fromMin < other.toMin;
    const lane = hand === undefined || !all.some(beside) ? null : all.slice(0, i).some(beside) ? 1 : 0;
    return [{ task: found, fromMs: at(fromMin), toMs: at(toMin), first, who: nameOf(hand), lane }];
  });
  const bicycles = [...new Set(pieces.map(({ task }) => task.bicycle))];
  const droppedAt = ({ active, delta }: Pick<DragMoveEvent, 'active' | 'delta'>): number | null => {
    const piece = pieces.find(({ task, first }) => first && task.id === active.id);
    if (!piece) return null;
    const px = x(piece.fromMs) + delta.x;
    const ms = Math.round(x.invert(px) / SNAP_MS) * SNAP_MS;
    // Between sessions there is nobody: the nearest one that would hold it.
    const holds = shown.filter((each) => each.toMs - each.fromMs >= piece.toMs - piece.fromMs);
    const inside = (each: Session) => Math.min(Math.max(ms, each.fromMs), each.toMs - (piece.toMs - piece.fromMs));
    const best = holds.map(inside).toSorted((a, b) => Math.abs(x(a) - px) - Math.abs(x(b) - px))[0];
    return best ?? null;
  };
  const uses = (['stand', 'bath'] as const).filter((resource) => tasks.some((task) => task.uses.includes(resource)));
  return (
    <DndContext
      sensors={sensors}
      onDragMove={(event) => {
        const to = droppedAt(event);
        if (to !== null) onTry(String(event.active.id), to);
      }}
      onDragEnd={(event) => onPin(String(event.active.id), event.delta.x === 0 ? null : droppedAt(event))}
      onDragCancel={(event) => onPin(String(event.active.id), null)}
    >
      <Box
        aria-busy={whole.pending}
        sx={{ display: 'flex', overflow: 'hidden', border: '1px solid', borderColor: 'divider' }}
      >
        <Box
          sx={{
            flex: `0 0 ${NAME_PX}px`,
            width: NAME_PX,
            pt: `${HEAD_PX}px`,
            borderRight: '1px solid',
            borderColor: 'divider',
          }}
        >
          {bicycles.map((bicycle) => (
            <Box
              key={bicycle}
              sx={{
                height: ROW_PX,
                px: 1,
                display: 'flex',
                alignItems: 'center',
                fontWeight: 640,
                fontSize: '0.9rem',
                lineHeight: 1.1,
              }}
            >
              {names[bicycle]}
            </Box>
          ))}
          {uses.map((resource) => (
            <Box
              key={resource}
              sx={{
                height: THIN_PX,
                px: 1,
                display: 'flex',
                alignItems: 'center',
                color: 'text.secondary',
                fontSize: '0.85rem',
              }}
            >
              {resource === 'stand' ? 'Stand' : 'Bath'}
            </Box>
          ))}
        </Box>
        <Box sx={{ overflowX: 'auto', flex: 1 }} tabIndex={0} role="group" aria-label="The plan, session by session">
          <Box
            sx={{
              position: 'relative',
              width: width + 12,
              height: HEAD_PX + bicycles.length * ROW_PX + uses.length * THIN_PX + 6,
            }}
          >
            {shown.map((session) => (
              <Box
                key={`${session.key} ${session.fromMs}`}
                sx={{
                  position: 'absolute',
                  left: x(session.fromMs),
                  width: x(session.toMs) - x(session.fromMs),
                  top: 0,
                  bottom: 0,
                  bgcolor: 'background.paper',
                  borderLeft: '1px solid',
                  borderColor: 'divider',
                  px: 0.5,
                  fontSize: '0.74rem',
                  lineHeight: 1.25,
                  pt: 0.75,
                  overflow: 'hidden',
                  whiteSpace: 'nowrap',
                }}
              >
                <b>{session.key === 'now' ? 'Now' : dayWords(session.fromMs)}</b> {thereIn(session)}
                <Box sx={{ color: 'text.secondary' }}>{spanWords(session.fromMs, session.toMs)}</Box>
              </Box>
            ))}
            {bicycles.map((bicycle, row) => (
              <Box
                key={bicycle}
                sx={{
                  position: 'absolute',
                  top: HEAD_PX + row * ROW_PX,
                  left: 0,
                  right: 0,
                  height: ROW_PX,
                  borderTop: '1px solid',
                  borderColor: 'divider',
                }}
              >
                {plan?.waits
                  .filter(({ task }) => of.get(task)?.bicycle === bicycle)
                  .map(({ task, fromMin, toMin }) => (
                    <Box
                      key={task}
                      aria-hidden
                      sx={{
                        position: 'absolute',
                        top: ROW_PX / 2 - 1,
                        left: x(at(fromMin)),
                        width: Math.max(6, x(at(toMin)) - x(at(fromMin))),
                        borderTop: '2px dashed',
                        borderColor: 'text.secondary',
                      }}
                    />
                  ))}
                {pieces
                  .filter(({ task }) => task.bicycle === bicycle)
                  .map((piece) => (
                    <Block
                      key={`${piece.task.id} ${piece.first ? '' : piece.fromMs}`}
                      piece={piece}
                      left={x(piece.fromMs)}
                      width={x(piece.toMs) - x(piece.fromMs)}
                      chosen={chosen === piece.task.id}
                      pinned={pins.has(piece.task.id)}
                      onChoose={() => onChoose(piece.task.id)}
                      onKey={(event) => onKey(piece.task.id, event)}
                    />
                  ))}
              </Box>
            ))}
            {uses.map((resource, row) => (
              <Box
                key={resource}
                aria-hidden
                sx={{
                  position: 'absolute',
                  top: HEAD_PX + bicycles.length * ROW_PX + row * THIN_PX,
                  left: 0,
                  right: 0,
                  height: THIN_PX,
                  borderTop: '1px solid',
                  borderColor: 'divider',
                }}
              >
                {pieces
                  .filter(({ task }) => task.uses.includes(resource))
                  .map(({ task, fromMs, toMs }) => {
                    const end = task.holdsWhileWaiting ? toMs + task.waitMin * 60_000 : toMs;
                    return (
                      <Box
                        key={`${task.id} ${fromMs}`}
                        sx={{
                          position: 'absolute',
                          top: 8,
                          height: 10,
                          left: x(fromMs),
                          width: Math.max(4, x(end) - x(fromMs) - 1),
                          bgcolor: 'text.secondary',
                          opacity: 0.55,
                        }}
                      />
                    );
                  })}
              </Box>
            ))}
          </Box>
        </Box>
      </Box>
    </DndContext>
  );
}
