'use client';
import { own } from '@/core/own';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { chargedShare } from '@/core/money/share';
import type { MoneyLine } from '@/model/money/part';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { money } from '@/ui/format';
import { ReadingField } from '@/ui/ReadingField';
import { useSettings, useWorkshop, useWorkshopState, type StageProps } from '../workshop/WorkshopProvider';
import { RuledList } from '@/ui/RuledList';
import { TextInput } from '@/ui/TextInput';

const KINDS = [
  { id: 'part', label: 'Part' },
  { id: 'consumable', label: 'Consumable' },
  { id: 'other', label: 'Other' },
] as const;

/** The rest of a pack is put down once, however often it is asked. */
const restId = (line: MoneyLine) => `rest-${line.id}`.slice(0, 64);

function LineRow({ send, line }: Pick<StageProps, 'send'> & { line: MoneyLine }) {
  const { currency } = useSettings();
  const charged = chargedShare(line);
  const left = line.paid - charged;
  const workshop = useWorkshop();
  const kept = useWorkshopState((state) => own(state.stock, restId(line)));
  const rest = line.packQty - line.usedQty;
  return (
    <Box
      component="li"
      sx={{
        py: 1,
        display: 'grid',
        gridTemplateColumns: { xs: '1fr auto', sm: 'minmax(0, 1fr) 170px 110px auto' },
        gap: 2,
        alignItems: 'center',
      }}
    >
      <Box>
        <b>{line.label}</b>
        <Box sx={{ fontSize: '0.86rem', color: 'text.secondary' }}>
          {line.packQty === 1
            ? `paid ${money(line.paid, currency)}`
            : `${line.usedQty} of a pack of ${line.packQty}, paid ${money(line.paid, currency)}`}
        </Box>
      </Box>
      <Box
        sx={{ display: { xs: 'none', sm: 'block' }, textAlign: 'right', fontSize: '0.9rem', color: 'text.secondary' }}
      >
        {left > 0 && `${money(left, currency)} left`}
      </Box>
      <Box sx={{ textAlign: 'right', fontWeight: 640 }}>{money(charged, currency)}</Box>
      {rest > 0 && (
        <Box sx={{ gridColumn: '1 / -1', mt: -0.5, fontSize: '0.9rem' }}>
          {kept ? (
            'The rest is in the drawer.'
          ) : (
            <Button
              size="small"
              color="inherit"
              onClick={() =>
                void workshop.putStock([
                  {
                    id: restId(line),
                    label: line.label,
                    place: 'frame',
                    size: '',
                    state: 'new',
                    from: 'the rest of a pack',
                    bicycle: null,
                    quantity: rest,
                    worth: left,
                    cost: left,
                    at: nowIso(),
                    goneAt: null,
                  },
                ])
              }
            >
              The rest, {Math.round(rest * 1000) / 1000}, into the drawer
            </Button>
          )}
        </Box>
      )}
      <Button
        size="small"
        color="inherit"
        aria-label={`Remove ${line.label}`}
        onClick={() => send({ type: 'removeLine', line: line.id })}
      >
        Remove
      </Button>
    </Box>
  );
}

/** What was bought for this bicycle; a pack is shared out and the rest stays in stock at what it cost. */
export function MoneyLines({ bicycle, send }: StageProps) {
  const { currency } = useSettings();
  const [label, setLabel] = useState('');
  const [kind, setKind] = useState<MoneyLine['kind']>('part');
  const [paid, setPaid] = useState<number | null>(null);
  const [packQty, setPackQty] = useState(1);
  const [usedQty, setUsedQty] = useState(1);
  const ready = label.trim() !== '' && paid !== null && usedQty <= packQty;
  const add = () => {
    if (!ready) return;
    send({ type: 'putLine', line: { id: newId(), label: label.trim().slice(0, 120), kind, paid, packQty, usedQty } });
    setLabel('');
    setPaid(null);
    setPackQty(1);
    setUsedQty(1);
  };
  return (
    <>
      <RuledList>
        {bicycle.lines.map((line) => (
          <LineRow key={line.id} send={send} line={line} />
        ))}
      </RuledList>
      <Box
        data-readings
        sx={{
          display: 'flex',
          gap: 1.5,
          flexWrap: 'wrap',
          alignItems: 'end',
          borderTop: bicycle.lines.length ? '1px solid' : 0,
          borderColor: 'divider',
          pt: 2,
        }}
      >
        <TextInput
          label="Bought"
          placeholder="Chain, 8-speed"
          value={label}
          onChange={(event) => setLabel(event.target.value)}
          sx={{ flex: 1, minWidth: 200 }}
        />
        <ReadingField
          label="Paid"
          kind="money"
          unit={currency}
          value={paid}
          width={120}
          onCommit={setPaid}
          onClear={() => setPaid(null)}
        />
        <ReadingField
          label="In the pack"
          kind="number"
          value={packQty}
          width={110}
          onCommit={(n) => {
            setPackQty(n);
            if (usedQty > n) setUsedQty(n);
          }}
          refuse={(n) => (n <= 0 || n > 1e6 ? 'at least something' : null)}
        />
        <ReadingField
          label="Used here"
          kind="number"
          value={usedQty}
          width={110}
          onCommit={setUsedQty}
          refuse={(n) => (n > packQty ? `only ${packQty} in the pack` : null)}
        />
        <Choices label="Kind" options={KINDS} value={kind} onChoose={(chosen) => setKind(chosen)} />
        <Button variant="outlined" disabled={!ready} onClick={add}>
          Put it down
        </Button>
      </Box>
    </>
  );
}
