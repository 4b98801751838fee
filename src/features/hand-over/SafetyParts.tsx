import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { Bicycle } from '@/model/record';
import { dayOf } from '@/ui/format';

const LINES: Record<Bicycle['alignments'][number]['line'], string> = {
  string: 'String from dropout to dropout',
  fork: 'Fork ends',
  dropouts: 'Dropouts',
  'head-tube': 'Head tube',
  hanger: 'Hanger',
  'pedal-threads': 'Pedal threads',
};
const RESULTS = {
  none: 'none found',
  recalled: 'recalled: not to be ridden',
  remedied: 'recalled, and remedied',
} as const;
const WAYS = { 'without-drive': 'sold without its drive', referred: 'referred to a qualified person' } as const;

/** The last row of each kind. */
function lastOf<Row>(rows: readonly Row[], keyOf: (row: Row) => string): Row[] {
  return [...new Map(rows.map((row) => [keyOf(row), row])).values()];
}

/** What the sheet says of recalls, of a crash, and of an electric drive; nothing where none of it was asked. */
export function SafetyParts({
  bicycle,
  Part,
}: {
  bicycle: Bicycle;
  Part(props: { title: string; children: ReactNode }): ReactNode;
}) {
  const { electricDrive: drive, kind } = bicycle;
  const recalls = lastOf(bicycle.recalls, ({ of, place }) => `${of} ${place}`);
  const lines = lastOf(bicycle.alignments, ({ line }) => line);
  return (
    <>
      {kind.electric && (
        <Part title="The electric drive">
          <Box>
            {drive.way ? `Declared: ${WAYS[drive.way]}.` : 'Not declared.'} Battery {drive.battery ?? 'not judged'}, key{' '}
            {drive.key ?? 'not said'}, charger {drive.charger ?? 'not said'}
            {drive.faults && `; faults: ${drive.faults}`}. The battery is judged and opened by qualified people only,
            and the bicycle is never washed with a jet.
          </Box>
        </Part>
      )}
      {lines.length > 0 && (
        <Part title="In line, after a crash">
          {lines.map((row) => (
            <Box key={row.id}>
              {LINES[row.line]}: {row.result === 'true' ? 'in line' : 'out of line'}
              {row.offMm !== null && `, ${Math.abs(row.offMm)} mm`}
              {row.coldSet && ', bent back cold'} ({[dayOf(row.at), row.by].filter(Boolean).join(', ')})
            </Box>
          ))}
        </Part>
      )}
      {recalls.length > 0 && (
        <Part title="Recalls looked up">
          {recalls.map((row) => (
            <Box key={row.id}>
              {row.of.charAt(0).toUpperCase() + row.of.slice(1)}: {RESULTS[row.result]} (
              {[dayOf(row.on), row.where, row.by].filter(Boolean).join(', ')})
            </Box>
          ))}
        </Part>
      )}
    </>
  );
}
