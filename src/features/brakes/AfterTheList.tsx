'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { CutList } from '@/core/cables/cutList';
import { CABLE_WORDS } from '@/core/cables/kinds';
import type { CablePiece } from '@/core/cables/lengths';
import { cutOne } from '@/model/stock/cutting';
import { stockCosts } from '@/model/stock/drawer';
import type { StockItem } from '@/model/stock/item';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { useHand } from '../workshop/useHand';
import { useWorkshop, useWorkshopState, type StageProps } from '../workshop/WorkshopProvider';

/** What follows a cut list: it is cut, and the drawer and the bicycle's costs know; what is wanting goes on order. */
export function AfterTheList({
  bicycle,
  send,
  place,
  list,
  pieces,
}: StageProps & { place: 'cables.brake' | 'cables.gear'; list: CutList; pieces: readonly CablePiece[] }) {
  const workshop = useWorkshop();
  const { name: by } = useHand();
  const stock = useWorkshopState((state) => state.stock);
  const summaries = useWorkshopState((state) => state.summaries);
  const wanting = pieces.filter(({ id }) => list.shortfall.includes(id));
  const ordered = (piece: CablePiece) =>
    bicycle.deliveries.some((row) => row.arrivedAt === null && row.place === place && row.label === orderWords(piece));
  const cut = async () => {
    const at = nowIso();
    const now = new Map(Object.entries(stock));
    const lines: { label: string; paid: number }[] = [];
    for (const { stockId, restMm } of list.cuts) {
      const item = now.get(stockId);
      if (!item) return;
      const cost = stockCosts([...now.values()], summaries).get(item.id) ?? null;
      const made = cutOne(item, cost, restMm, at, { used: newId(), rest: newId() });
      for (const row of made.rows) now.set(row.id, row);
      lines.push({ label: `${item.label}, from the drawer`.slice(0, 120), paid: made.cost });
    }
    const written: StockItem[] = [...now.values()].filter((row) => stock[row.id] !== row);
    if (!(await workshop.putStock(written))) return;
    for (const { label, paid } of lines)
      send({ type: 'putLine', line: { id: newId(), label, kind: 'part', paid, packQty: 1, usedQty: 1 } });
    const done = pieces.filter(({ id }) => !list.shortfall.includes(id));
    send({
      type: 'cutCables',
      place,
      cut: Object.fromEntries(done.map(({ id, lengthMm }) => [id, { lengthMm, at, by }])),
    });
  };
  const order = () => {
    for (const piece of wanting)
      if (!ordered(piece))
        send({
          type: 'putDelivery',
          delivery: { id: newId(), label: orderWords(piece), dueOn: null, arrivedAt: null, place },
        });
  };
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 1.5 }}>
      {list.cuts.length > 0 && (
        <Button variant="contained" disabled={bicycle.barSettled !== true} onClick={() => void cut()}>
          It is cut
        </Button>
      )}
      {wanting.length > 0 && (
        <Button variant="outlined" color="inherit" disabled={wanting.every(ordered)} onClick={order}>
          {wanting.every(ordered) ? 'On order' : 'Put what is wanting on order'}
        </Button>
      )}
    </Box>
  );
}

/** What is ordered for a piece. */
const orderWords = ({ kind, head, lengthMm }: CablePiece): string =>
  `${CABLE_WORDS[kind]}${head ? `, ${head} head` : ''}, ${lengthMm} mm`;
