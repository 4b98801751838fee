'use client';
import { own } from '@/core/own';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useEffect, useState } from 'react';
import { chargedShare } from '@/core/money/share';
import type { MoneyLine } from '@/model/money/part';
import { roadLines } from '@/model/money/questions';
import { restId, restOf } from '@/model/stock/rest';
import { newId } from '@/store/browser';
import { nowIso } from '@/store/now';
import { Choices } from '@/ui/Choices';
import { moneyInFull } from '@/ui/format';
import { ReadingField } from '@/ui/ReadingField';
import { useSettings, useWorkshop, useWorkshopState, type StageProps } from '../workshop/WorkshopProvider';
import { RuledList } from '@/ui/RuledList';
import { TextInput } from '@/ui/TextInput';

const KINDS = [
  { id: 'part', label: 'Part' },
  { id: 'consumable', label: 'Consumable' },
  { id: 'other', label: 'Other' },
] as const;

function LineRow({ send, line, place }: Pick<StageProps, 'send'> & { line: MoneyLine; place: string }) {
  const { currency } = useSettings();
  const charged = chargedShare(line);
  const left = line.paid - charged;
  const workshop = useWorkshop();
  const kept = useWorkshopState((state) => own(state.stock, restId(line)));
  const rest = line.packQty - line.usedQty;
  // A line of a bicycle that came from elsewhere has no rest in this drawer yet.
  useEffect(() => {
    if (rest <= 0 || kept) return;
    const row = restOf(line, undefined, place, nowIso());
    if (row) void workshop.putStock([row]);
  }, [workshop, line, rest, kept, place]);
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
            ? `paid ${moneyInFull(line.paid, currency)}`
            : `${line.usedQty} of a pack of ${line.packQty}, paid ${moneyInFull(line.paid, currency)}`}
        </Box>
      </Box>
      <Box
        sx={{ display: { xs: 'none', sm: 'block' }, textAlign: 'right', fontSize: '0.9rem', color: 'text.secondary' }}
      >
        {left > 0 && `${moneyInFull(left, currency)} left`}
      </Box>
      <Box sx={{ textAlign: 'right', fontWeight: 640 }}>{moneyInFull(charged, currency)}</Box>
      {rest > 0 && (
        <Box sx={{ gridColumn: '1 / -1', mt: -0.5, fontSize: '0.9rem', color: 'text.secondary' }}>
          {kept && kept.goneAt === null
            ? `The rest, ${Math.round(kept.quantity * 1000) / 1000}, lies in the drawer.`
            : kept
              ? 'The rest has been used.'
              : 'The rest is put into the drawer…'}
        </Box>
      )}
      <Button
        size="small"
        color="inherit"
        aria-label={`Remove ${line.label}`}
        onClick={() => {
          send({ type: 'removeLine', line: line.id });
          const none = restOf({ ...line, usedQty: line.packQty }, kept, 'frame', nowIso());
          if (none) void workshop.putStock([none]);
        }}
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
  const [job, setJob] = useState('');
  const jobs = bicycle.jobs.filter(({ decision }) => decision === 'keep');
  const placeOf = (line: MoneyLine) => bicycle.jobs.find(({ id }) => id === line.job)?.place ?? 'frame';
  const ready = label.trim() !== '' && paid !== null && usedQty <= packQty;
  const add = () => {
    if (!ready) return;
    send({
      type: 'putLine',
      line: {
        id: newId(),
        label: label.trim().slice(0, 120),
        kind,
        paid,
        packQty,
        usedQty,
        ...(job !== '' && { job }),
      },
    });
    setJob('');
    setLabel('');
    setPaid(null);
    setPackQty(1);
    setUsedQty(1);
  };
  return (
    <>
      <RuledList>
        {roadLines(bicycle).map((line) => (
          <Box component="li" key={line.label} sx={{ py: 1, display: 'flex', justifyContent: 'space-between', gap: 2 }}>
            <Box>
              <b>{line.label}</b>
              <Box sx={{ fontSize: '0.86rem', color: 'text.secondary' }}>
                {bicycle.lead.distanceKm} km each way, as it stands at the lead
              </Box>
            </Box>
            <Box sx={{ fontWeight: 640 }}>{moneyInFull(line.paid, currency)}</Box>
          </Box>
        ))}
        {bicycle.lines.map((line) => (
          <LineRow key={line.id} send={send} line={line} place={placeOf(line)} />
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
        {jobs.length > 0 && (
          <TextField
            select
            label="For which job"
            value={job}
            onChange={({ target }) => setJob(target.value)}
            slotProps={{ select: { displayEmpty: true } }}
            sx={{ width: 220 }}
          >
            <MenuItem value="">None of them</MenuItem>
            {jobs.map(({ id, title }) => (
              <MenuItem key={id} value={id}>
                {title}
              </MenuItem>
            ))}
          </TextField>
        )}
        <Button variant="outlined" disabled={!ready} onClick={add}>
          Add it
        </Button>
      </Box>
    </>
  );
}
