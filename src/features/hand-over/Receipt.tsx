'use client';
import Box from '@mui/material/Box';
import { dealerTax } from '@/core/sell/dealerTax';
import { billLines } from '@/model/sell/billLines';
import { taxInput } from '@/model/sell/saleLines';
import { lastWayOut } from '@/model/prove/proving';
import type { Bicycle } from '@/model/record';
import { dayOf, moneyInFull } from '@/ui/format';
import { PrintAlone } from '@/ui/PrintAlone';
import { useSettings } from '../workshop/WorkshopProvider';

/** The receipt of a sale or of a customer’s work: number, day, what, serial number, price, tax as the scheme has it, warranty. */
export function Receipt({ bicycle, today, onClose }: { bicycle: Bicycle; today: string; onClose(): void }) {
  const { name, currency, customerPerHour } = useSettings();
  const { dealing, provenance, sale } = bicycle;
  const isCustomers = bicycle.purpose === 'customer';
  const question = taxInput(bicycle);
  const tax = question && question.scheme === 'all' ? dealerTax(question).tax : null;
  const to = isCustomers ? bicycle.customer : (lastWayOut(bicycle)?.to ?? '');
  const rows = isCustomers ? billLines(bicycle, customerPerHour).lines.filter(({ isDone }) => isDone) : [];
  return (
    <PrintAlone label={`Receipt for ${bicycle.name}`} onClose={onClose}>
      <Box sx={{ fontSize: '1.1rem' }}>{name}</Box>
      <Box sx={{ fontSize: '1.7rem', fontWeight: 680, lineHeight: 1.15, my: 1 }}>
        Receipt{dealing.receipt && ` ${dealing.receipt}`}
      </Box>
      <Box>{dayOf(sale.on ?? today)}</Box>
      {to && <Box>For {to}</Box>}
      <Box sx={{ my: 2, borderTop: '1.5px solid', borderBottom: '1.5px solid', py: 1 }}>
        <b>{bicycle.name}</b>
        {provenance.serial && <Box>Serial number {provenance.serial}</Box>}
        {rows.map(({ id, title, came }) => (
          <Box key={id} sx={{ display: 'flex', justifyContent: 'space-between', gap: 2 }}>
            <span>{title}</span>
            <span>{moneyInFull(came, currency)}</span>
          </Box>
        ))}
        <Box sx={{ display: 'flex', justifyContent: 'space-between', fontSize: '1.3rem', fontWeight: 680, mt: 1 }}>
          <span>{isCustomers ? 'Billed' : 'Paid'}</span>
          <span>{sale.price === null ? '–' : moneyInFull(sale.price, currency)}</span>
        </Box>
        {tax !== null && (
          <Box>
            of which tax, {dealing.percent} %: {moneyInFull(tax, currency)}
          </Box>
        )}
        {dealing.scheme === 'margin' && <Box>Taxed on the margin; no tax is shown.</Box>}
      </Box>
      {dealing.warranty && <Box>Warranty: {dealing.warranty}</Box>}
    </PrintAlone>
  );
}
