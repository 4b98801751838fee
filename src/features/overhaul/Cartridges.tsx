'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { BearingBench } from '@/core/bearings/benchTypes';
import type { IdentifiedCartridge } from '@/core/bearings/cartridgeSet';
import { isSwapped, SWAPPED } from '@/core/bearings/cartridgeSize';
import { cartridgeOrders } from '@/core/bearings/orders';
import { ballRowLabel } from '@/core/strip/tray';
import { stateOf } from '@/core/vocabulary/verdicts';
import { cartridgeOf } from '@/model/bearings/questions';
import type { CartridgeNote, Bearing } from '@/model/bearings/part';
import { namedInDrawer } from '@/model/stock/drawer';
import { newId } from '@/store/browser';
import { Choices } from '@/ui/Choices';
import { KeptText } from '@/ui/KeptText';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber } from '@/ui/Section';
import { StateMark } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { useReckon } from '../workshop/useReckon';
import { useWorkshopState, type StageProps } from '../workshop/WorkshopProvider';

const FATES = [
  { id: 'keep', label: 'Keep' },
  { id: 'repack', label: 'Grease again' },
  { id: 'renew', label: 'New one' },
] as const;

function One({
  send,
  bearing,
  id,
  usual,
  found,
}: Pick<StageProps, 'send'> & { bearing: Bearing; id: string; usual: string; found: IdentifiedCartridge | null }) {
  const noted = cartridgeOf(bearing, id);
  const match = found?.match ?? null;
  const note = (changes: Partial<CartridgeNote>) =>
    send({ type: 'noteCartridge', place: bearing.place, cartridge: id, changes });
  const best = match?.candidates[0];
  const fields = [
    { key: 'boreMm', label: 'Bore' },
    { key: 'odMm', label: 'Outside' },
    { key: 'widthMm', label: 'Width' },
  ] as const;
  const like = match?.verdict === 'ambiguous' ? match.candidates.filter((each) => each.probability > 0.05) : [];
  return (
    <Box role="group" aria-label={`Cartridge, ${ballRowLabel(id).toLowerCase()}`}>
      <Box sx={{ fontWeight: 640, mb: 1 }}>
        {ballRowLabel(id)}{' '}
        <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
          often {usual}
        </Box>
      </Box>
      <Box data-readings sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'start' }}>
        {fields.map(({ key, label }) => (
          <ReadingField
            key={key}
            label={label}
            kind="length"
            unit="mm"
            value={noted[key]}
            width={125}
            onCommit={(value) => note({ [key]: value })}
            onClear={() => note({ [key]: null })}
            refuse={(mm) =>
              mm <= 0 || mm > 120
                ? 'cartridges are 3 to 60 mm'
                : (key === 'boreMm' && isSwapped(mm, noted.odMm)) || (key === 'odMm' && isSwapped(noted.boreMm, mm))
                  ? SWAPPED
                  : null
            }
          />
        ))}
        <KeptText label="Print on it" value={noted.print} onKeep={(print) => note({ print })} width={170} most={60} />
      </Box>
      {isSwapped(noted.boreMm, noted.odMm) && <Typography role="alert">{SWAPPED}</Typography>}
      {match && best && (
        <Box aria-live="polite" sx={{ mt: 1.5 }}>
          <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'end' }}>
            <BigNumber
              value={
                match.verdict === 'unknown' ? 'No size' : match.verdict === 'ambiguous' ? 'One of these' : best.code
              }
              label={
                match.verdict === 'identified'
                  ? `${best.boreMm} × ${best.odMm} × ${best.widthMm} mm, ${best.type}`
                  : match.verdict === 'unknown'
                    ? 'of the table'
                    : like.map((each) => each.code).join(' or ')
              }
            />
            <Box sx={{ fontSize: '1.1rem', pb: 0.5 }}>
              <StateMark state={stateOf('bearings.identifyCartridge', match.verdict)} word={false} />{' '}
              <b>{match.verdict}</b>
            </Box>
          </Box>
          {match.reasons.map((reason) => (
            <Typography key={reason}>{reason}</Typography>
          ))}
          {best.note && match.verdict !== 'unknown' && (
            <Typography sx={{ color: 'text.secondary' }}>{best.note}</Typography>
          )}
          {like.length > 0 && (
            <Box sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap' }}>
              {like.map(({ code }) => (
                <Button key={code} variant="outlined" sx={{ minHeight: 48 }} onClick={() => note({ print: code })}>
                  {code}
                </Button>
              ))}
            </Box>
          )}
          <Working rows={match.working} />
        </Box>
      )}
      <Box sx={{ mt: 1.5 }}>
        <Choices label="What becomes of it" options={FATES} value={noted.fate} onChoose={(fate) => note({ fate })} />
      </Box>
      {noted.fate === 'repack' && (
        <Typography sx={{ mt: 1, maxWidth: '62ch' }}>
          Lift the seal with a thin blade at its inner edge, flush until nothing grey comes out, dry fully, fill a third
          with grease, press the seal back by the fingers. Only while it still runs smooth: once it is rough, it is too
          late.
        </Typography>
      )}
      {noted.fate === 'renew' && (
        <Typography sx={{ mt: 1, maxWidth: '62ch' }}>
          {found?.code ? '' : 'Measure it or read its print before it is ordered. '}
          Press in on the outer ring only, square, with a drift or press of its outside; never through the balls.
        </Typography>
      )}
    </Box>
  );
}

/** The cartridges of a bearing: which they are, what becomes of each, what is bought. */
export function Cartridges({
  send,
  bearing,
  bench,
}: Pick<StageProps, 'send'> & { bearing: Bearing; bench: BearingBench }) {
  const stock = useWorkshopState((state) => state.stock);
  const { output } = useReckon('bearings.cartridgeSet', {
    cartridges: bench.cartridges.map(({ id }) => {
      const { boreMm, odMm, widthMm, print } = cartridgeOf(bearing, id);
      // The others are told all the same.
      return { id, boreMm: isSwapped(boreMm, odMm) ? null : boreMm, odMm, widthMm, print };
    }),
  });
  const foundAt = (id: string) => output?.cartridges.find((each) => each.id === id) ?? null;
  const wanted = bench.cartridges.flatMap(({ id }) => {
    const code = foundAt(id)?.code;
    return cartridgeOf(bearing, id).fate === 'renew' && code ? [code] : [];
  });
  const orders = cartridgeOrders(wanted, (code) =>
    namedInDrawer(code, stock).reduce((sum, item) => sum + item.quantity, 0),
  );
  return (
    <>
      <Box sx={{ display: 'grid', gap: 4 }}>
        {bench.cartridges.map(({ id, code }) => (
          <One key={id} send={send} bearing={bearing} id={id} usual={code} found={foundAt(id)} />
        ))}
      </Box>
      {orders.map(({ code, needed, inDrawer, buy, left }) => (
        <Box key={code} sx={{ mt: 2.5, display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'end' }}>
          <BigNumber value={`${buy} × ${code}`} label="to buy" />
          <Box sx={{ flex: 1, minWidth: 200 }}>
            {needed === 1 ? 'One is needed' : `${needed} are needed`}, {inDrawer} in the drawer
            {left > 0 ? `: ${left} stay for stock.` : '.'}
          </Box>
          {buy > 0 && (
            <Button
              variant="outlined"
              color="inherit"
              onClick={() =>
                send({
                  type: 'putDelivery',
                  delivery: {
                    id: newId(),
                    label: `${buy} × cartridge bearing ${code}`,
                    dueOn: null,
                    arrivedAt: null,
                    place: bearing.place,
                  },
                })
              }
            >
              Ordered
            </Button>
          )}
        </Box>
      ))}
    </>
  );
}
