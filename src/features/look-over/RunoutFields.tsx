'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Check } from '@/core/inspect/check';
import type { Evidence } from '@/core/inspect/evidence';
import { runoutOf } from '@/core/inspect/questions';
import type { BicycleKind } from '@/core/bicycle';
import { dialTurn } from '@/sim/dialGauge';
import { TurnTrace } from '@/ui/TurnTrace';
import { useWorkshopName } from '../workshop/WorkshopProvider';
import { Readings } from './Readings';

const TURN_STEPS = 12;

/** Runout round one turn: by a pointer, reading by reading, or by the dial gauge in one go; drawn as a trace. */
export function RunoutFields({
  check,
  kind,
  seen,
  error,
  note,
}: {
  check: Check;
  kind: BicycleKind;
  seen: Evidence;
  error: string | null;
  note(changes: Evidence): void;
}) {
  const demo = useWorkshopName() === 'demo';
  const list = seen.readingsMm ?? [];
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Readings
        calculator="inspect.runout"
        question={(value) => ({
          of: runoutOf(check, kind),
          readingsMm: [...list, value, ...(list.length ? [] : [value])],
        })}
        label="At each step round the turn"
        unit="mm"
        list={list}
        most={144}
        signed
        note={(readingsMm) => note({ readingsMm })}
        error={error}
        help="Outwards more, inwards less; Enter after each"
      />
      <TurnTrace readings={list} unit="mm" label={check.label} />
      {demo && (
        <Box>
          <Button
            size="small"
            variant="outlined"
            color="inherit"
            onClick={() => note({ readingsMm: dialTurn(TURN_STEPS, check.id.length * 131 + list.length) })}
          >
            One turn of the dial gauge (stand-in)
          </Button>
        </Box>
      )}
    </Box>
  );
}
