'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Job } from '@/model/decide/part';
import { stockCosts, stockFor, takeOne } from '@/model/stock/drawer';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { money } from '@/ui/format';
import { useSettings, useWorkshop, useWorkshopState, type StageProps } from '../workshop/WorkshopProvider';

const MOST = 3;

/** What the drawer and the donors have for a job, before anything is ordered. */
export function FromStock({ job, send }: Pick<StageProps, 'send'> & { job: Job }) {
  const workshop = useWorkshop();
  const { currency } = useSettings();
  const stock = useWorkshopState((state) => state.stock);
  const summaries = useWorkshopState((state) => state.summaries);
  const found = job.parts.high > 0 ? stockFor(job.place, stock).slice(0, MOST) : [];
  if (found.length === 0) return null;
  const costs = stockCosts(Object.values(stock), summaries);
  return (
    <Box sx={{ mt: 1, borderLeft: '3px solid', borderColor: 'primary.main', pl: 1.5 }}>
      {found.map((item) => {
        const cost = costs.get(item.id) ?? null;
        const { rows, cost: one } = takeOne(item, cost, nowIso(), newId());
        return (
          <Box key={item.id} sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', py: 0.25 }}>
            <Box sx={{ flex: 1, minWidth: 200 }}>
              In the drawer: <b>{item.label}</b> {item.size}, {item.state},{' '}
              {cost === null ? 'cost not known' : money(one, currency)}
              {item.from && ` (from ${item.from})`}
            </Box>
            <Button
              size="small"
              variant="outlined"
              color="inherit"
              onClick={() =>
                void workshop.putStock(rows).then((written) => {
                  if (!written) return;
                  send({
                    type: 'putLine',
                    line: {
                      id: newId(),
                      label: `${item.label}, from the drawer`.slice(0, 120),
                      kind: 'part',
                      paid: one,
                      packQty: 1,
                      usedQty: 1,
                      job: job.id,
                    },
                  });
                })
              }
            >
              Use one
            </Button>
          </Box>
        );
      })}
    </Box>
  );
}
