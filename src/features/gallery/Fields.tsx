'use client';
import { useState } from 'react';
import { minorUnit, row } from '@/core/verdict';
import { Choices } from '@/ui/Choices';
import { RangeFields } from '@/ui/RangeFields';
import { ReadingField } from '@/ui/ReadingField';
import { BigNumber, Section } from '@/ui/Section';
import { Paper } from '@/ui/Paper';
import { SpreadChart } from '@/ui/SpreadChart';
import { TimeAxis } from '@/ui/TimeAxis';
import { stateColour } from '@/ui/StateMark';
import { Working } from '@/ui/Working';
import { BallCounter } from '../strip/BallCounter';
import { WhichWay } from '../workshop/WhichWay';
import { Row } from './Row';

const HOUR_MS = 3_600_000;
const NOON = new Date(2026, 10, 29, 12).getTime();

/** What takes something down, and what shows figures. */
export function Fields() {
  const [choice, setChoice] = useState<'firm' | 'loose'>('firm');
  const [range, setRange] = useState({ low: 1200, likely: 2000, high: 3200 });
  const [reading, setReading] = useState<number | null>(306.9);
  const [count, setCount] = useState<number | null>(9);
  return (
    <>
      <Section title="Readings">
        <Row>
          <ReadingField
            label="Empty"
            kind="length"
            unit="mm"
            value={null}
            onCommit={() => undefined}
            help="Type, or let the caliper type"
          />
          <ReadingField
            label="With a value"
            kind="length"
            unit="mm"
            large
            width={200}
            value={reading}
            onCommit={setReading}
            onClear={() => setReading(null)}
            judge={(mm) =>
              mm > 307
                ? { state: 'replace', words: 'past its limit of 307' }
                : { state: 'fine', words: 'under its limit of 307' }
            }
            refuse={(mm) => (mm > 400 ? 'longer than any chain here' : null)}
          />
          <ReadingField
            label="Wrong"
            kind="length"
            unit="mm"
            value={6.35}
            error="no ball of that size"
            onCommit={() => undefined}
          />
          <ReadingField
            label="With a trace"
            kind="length"
            unit="mm"
            value={6.34}
            earlier={[6.35, 6.34, 6.36, 6.34]}
            onCommit={() => undefined}
          />
          <RangeFields label="Parts" kind="money" unit="EUR" range={range} onCommit={setRange} />
        </Row>
      </Section>
      <Section title="Choices and counts">
        <Row>
          <Choices<'firm' | 'loose'>
            label="Left arm"
            options={[
              { id: 'firm', label: 'Firm' },
              { id: 'loose', label: 'Loose' },
            ]}
            value={choice}
            onChoose={setChoice}
          />
          <BallCounter label="out, left" count={count} onCount={setCount} />
          <BallCounter label="not counted yet" count={null} onCount={() => undefined} />
        </Row>
        <WhichWay question={{ fastener: 'pedal', side: 'left', action: 'loosen' }} />
      </Section>
      <Section title="Figures and working" aside="an aside">
        <TimeAxis span={{ fromMs: NOON, toMs: NOON + 20 * HOUR_MS }} nowMs={NOON + 3 * HOUR_MS} label="Time to scale">
          <br />
        </TimeAxis>
        <Paper>
          <b>A sheet of paper</b>, white in the dark too, and printed alone.
        </Paper>
        <Row>
          <BigNumber value="€79.58" label="the most to pay" />
          <BigNumber value="Walk away" label="at the asking price" tone={stateColour('replace')} />
        </Row>
        <SpreadChart
          label="Profit"
          currency="EUR"
          middle={1200}
          bins={[-2000, -1000, 0, 1000, 2000, 3000].map((from, i) => ({
            from,
            to: from + 1000,
            count: [2, 5, 9, 12, 6, 3][i]!,
          }))}
        />
        <Working rows={[row('w', 'wear', 0.689, '%'), row('Q', 'payable', 7958, minorUnit('EUR'))]} />
      </Section>
    </>
  );
}
