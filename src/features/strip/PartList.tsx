'use client';
import { own } from '@/core/own';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  TouchSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import { Grip } from '@/ui/toolIcons';
import { ballRowOf, partIn, partWords, type Assembly } from '@/core/strip/tray';
import type { Bearing } from '@/model/bearings/part';
import { orderOf } from '@/model/strip/trays';
import { PART_MARKS, type PartMark, type Tray } from '@/model/strip/part';
import { countsOf } from '@/model/bearings/questions';
import { stateColour } from '@/ui/StateMark';
import type { StageProps } from '../workshop/WorkshopProvider';

const MARK_WORDS: Record<PartMark, string> = { missing: 'Missing', wrong: 'Wrong part', worn: 'Worn' };

function Row({
  send,
  assembly,
  tray,
  bearing,
  id,
  number,
  open,
  onOpen,
  onStock,
}: Pick<StageProps, 'send'> & {
  assembly: Assembly;
  tray: Tray;
  bearing: Bearing;
  id: string;
  number: number;
  open: boolean;
  onOpen(): void;
  onStock(part: string): void;
}) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id,
  });
  const part = partIn(assembly, tray.extra, id);
  const words = partWords(part);
  const mark = own(tray.marks, id);
  const fate = own(tray.fates, id);
  const row = ballRowOf(id);
  const out = row ? countsOf(bearing, row).out : null;
  const asides = [
    out !== null && `${out} counted out`,
    tray.backIn.includes(id) && 'back in',
    tray.cleaned.includes(id) && 'clean',
    fate === 'stock' && 'went into stock',
    fate === 'scrap' && 'scrapped',
    tray.leftOff.includes(id) && 'left off on purpose',
  ].filter(Boolean);
  return (
    <Box
      component="li"
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      sx={{
        listStyle: 'none',
        borderTop: '1px solid',
        borderColor: 'divider',
        bgcolor: isDragging ? 'sheet.paper' : 'transparent',
        position: 'relative',
        zIndex: isDragging ? 2 : 0,
        boxShadow: isDragging ? '0 2px 10px rgba(0,0,0,.28)' : 'none',
        '&:first-of-type': { borderTop: 0 },
      }}
    >
      <Box
        sx={{ display: 'grid', gridTemplateColumns: '34px minmax(0, 1fr) 56px', alignItems: 'center', minHeight: 56 }}
      >
        <Box sx={{ color: 'text.secondary', fontSize: '1.1rem', fontWeight: 620 }}>{number}</Box>
        <Box
          component="button"
          id={`part-${id}`}
          aria-expanded={open}
          onClick={onOpen}
          sx={{
            all: 'unset',
            cursor: 'pointer',
            minHeight: 56,
            py: 0.75,
            boxSizing: 'border-box',
            '&:focus-visible': { outline: '3px solid', outlineColor: 'primary.main', outlineOffset: '-3px' },
          }}
        >
          <Box component="span" sx={{ fontWeight: 640, textDecoration: fate === 'scrap' ? 'line-through' : 'none' }}>
            {words}
          </Box>
          {mark && (
            <Box component="span" sx={{ color: stateColour('replace'), fontWeight: 640 }}>
              {' '}
              · {MARK_WORDS[mark].toLowerCase()}
            </Box>
          )}
          {asides.length > 0 && <Box component="span"> · {asides.join(', ')}</Box>}
          {part.facing && <Box sx={{ fontSize: '0.88rem', color: 'text.secondary' }}>{part.facing}</Box>}
        </Box>
        <IconButton
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Move ${words}`}
          sx={{ width: 56, height: 56, cursor: 'grab', touchAction: 'none', borderRadius: 0 }}
        >
          <Grip />
        </IconButton>
      </Box>
      {open && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', pb: 1.5, pl: '34px' }}>
          {PART_MARKS.map((each) => (
            <Button
              key={each}
              variant={mark === each ? 'contained' : 'outlined'}
              color="inherit"
              aria-pressed={mark === each}
              sx={{ minHeight: 56 }}
              onClick={() => send({ type: 'markPart', place: tray.place, part: id, mark: mark === each ? null : each })}
            >
              {MARK_WORDS[each]}
            </Button>
          ))}
          <Button
            variant="outlined"
            color="inherit"
            sx={{ minHeight: 56 }}
            onClick={() => onStock(id)}
            disabled={fate === 'stock'}
          >
            Into stock
          </Button>
          <Button
            variant={fate === 'scrap' ? 'contained' : 'outlined'}
            color="inherit"
            aria-pressed={fate === 'scrap'}
            sx={{ minHeight: 56 }}
            onClick={() =>
              send({ type: 'fatePart', place: tray.place, part: id, fate: fate === 'scrap' ? null : 'scrap' })
            }
          >
            Scrap
          </Button>
          <Button
            variant={tray.leftOff.includes(id) ? 'contained' : 'outlined'}
            color="inherit"
            aria-pressed={tray.leftOff.includes(id)}
            sx={{ minHeight: 56 }}
            onClick={() => send({ type: 'leaveOff', place: tray.place, part: id, off: !tray.leftOff.includes(id) })}
          >
            Left off on purpose
          </Button>
        </Box>
      )}
    </Box>
  );
}

/** The tray: parts in the order in which they came off; moved by drag, or with Space and the arrow keys. */
export function PartList({
  send,
  assembly,
  tray,
  bearing,
  beside,
  open,
  onOpen,
  onStock,
}: Pick<StageProps, 'send'> & {
  assembly: Assembly;
  tray: Tray;
  bearing: Bearing;
  beside: string[];
  /** The part whose line is open. */
  open: string | null;
  onOpen(part: string | null): void;
  onStock(part: string): void;
}) {
  const order = orderOf(tray);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 120, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  function moved({ active, over }: DragEndEvent): void {
    if (!over || active.id === over.id) return;
    const from = order.indexOf(String(active.id));
    const to = order.indexOf(String(over.id));
    send({ type: 'orderTray', place: tray.place, order: [...arrayMove(order, from, to), ...beside] });
  }
  const named = (id: string | number) => partWords(partIn(assembly, tray.extra, String(id)));
  return (
    <DndContext
      id={`tray-${tray.place}`}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={moved}
      accessibility={{
        announcements: {
          onDragStart: ({ active }) => `${named(active.id)} lifted.`,
          onDragOver: ({ active, over }) =>
            over ? `${named(active.id)} is at ${order.indexOf(String(over.id)) + 1} of ${order.length}.` : '',
          onDragEnd: ({ active, over }) =>
            over ? `${named(active.id)} laid down at ${order.indexOf(String(over.id)) + 1}.` : '',
          onDragCancel: ({ active }) => `${named(active.id)} stays where it was.`,
        },
        screenReaderInstructions: { draggable: 'Space lifts the part, the arrow keys move it, Space lays it down.' },
      }}
    >
      <SortableContext items={order} strategy={verticalListSortingStrategy}>
        <Box component="ol" aria-label="In the tray, in the order they came off" sx={{ p: 0, m: 0 }}>
          {order.map((id, i) => (
            <Row
              key={id}
              send={send}
              assembly={assembly}
              tray={tray}
              bearing={bearing}
              id={id}
              number={i + 1}
              open={open === id}
              onOpen={() => onOpen(open === id ? null : id)}
              onStock={onStock}
            />
          ))}
        </Box>
      </SortableContext>
    </DndContext>
  );
}
