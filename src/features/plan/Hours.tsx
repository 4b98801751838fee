'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { sessionsAhead, setSessions } from '@/model/plan/sessions';
import type { WeekSession } from '@/model/plan/sessionParts';
import { newId } from '@/store/browser';
import { Choices } from '@/ui/Choices';
import { ReadingField } from '@/ui/ReadingField';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { TextInput } from '@/ui/TextInput';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';
import { CalendarIn } from './CalendarIn';
import { dayWords, spanWords } from './planWords';

const DAYS = [
  { id: '1', label: 'Mon' },
  { id: '2', label: 'Tue' },
  { id: '3', label: 'Wed' },
  { id: '4', label: 'Thu' },
  { id: '5', label: 'Fri' },
  { id: '6', label: 'Sat' },
  { id: '7', label: 'Sun' },
] as const;
const MOST_SHOWN = 9;

function WallField({ label, value, onChange }: { label: string; value: string; onChange(value: string): void }) {
  return (
    <TextInput
      label={label}
      type="time"
      value={value}
      onChange={(event) => onChange(event.target.value)}
      sx={{ width: 130 }}
    />
  );
}

/** The usual week person by person, from Monday on. */
function weekInOrder(week: readonly WeekSession[], people: readonly { id: string }[]): WeekSession[] {
  const rank = (who: string) =>
    Math.max(
      0,
      people.findIndex(({ id }) => id === who),
    );
  return week.toSorted((a, b) => rank(a.who) - rank(b.who) || a.day - b.day || (a.from < b.from ? -1 : 1));
}

/** When somebody is here: the usual week, days of their own, what is cancelled, and what a calendar takes. */
export function Hours({ now }: { now: Date }) {
  const settings = useSettings();
  const workshop = useWorkshop();
  const [day, setDay] = useState<(typeof DAYS)[number]['id']>('2');
  const [on, setOn] = useState('');
  const [from, setFrom] = useState('18:30');
  const [to, setTo] = useState('20:30');
  const { people } = settings;
  const [chosenWho, setWho] = useState<string | null>(null);
  const who = people.some(({ id }) => id === chosenWho) ? chosenWho! : (people[0]?.id ?? '');
  const several = people.length > 1;
  const nameOf = (id: string) => (several ? `${(people.find((each) => each.id === id) ?? people[0])!.name}, ` : '');
  const wrong = from === '' || to === '' || to <= from;
  const coming = setSessions(settings, now).slice(0, MOST_SHOWN);
  return (
    <Section title="When somebody is here">
      <RuledList aria-label="The usual week" columns>
        {weekInOrder(settings.week, people).map((each) => (
          <Box component="li" key={each.id} sx={{ py: 0.5, display: 'flex', gap: 2, alignItems: 'center' }}>
            <Box sx={{ flex: 1, fontVariantNumeric: 'tabular-nums' }}>
              {nameOf(each.who)}
              {several ? 'every' : 'Every'} {DAYS[each.day - 1]!.label}, {each.from} to {each.to}
            </Box>
            <Button
              color="inherit"
              onClick={() =>
                void workshop.changeSettings(({ week }) => ({ week: week.filter(({ id }) => id !== each.id) }))
              }
            >
              Take it out
            </Button>
          </Box>
        ))}
      </RuledList>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'end', my: 1.5 }}>
        {several && (
          <Choices
            label="Who"
            options={people.map(({ id, name }) => ({ id, label: name }))}
            value={who}
            onChoose={setWho}
          />
        )}
        <Choices label="Every" options={DAYS} value={day} onChoose={(next) => setDay(next)} />
        <WallField label="From" value={from} onChange={setFrom} />
        <WallField label="To" value={to} onChange={setTo} />
        <Button
          variant="outlined"
          sx={{ minHeight: 48 }}
          disabled={wrong}
          onClick={() =>
            void workshop.changeSettings(({ week }) => ({
              week: [...week, { id: newId(), day: Number(day), from, to, who }],
            }))
          }
        >
          Add to the week
        </Button>
        <TextInput
          label="Or on one day"
          type="date"
          value={on}
          onChange={(event) => setOn(event.target.value)}
          sx={{ width: 170 }}
        />
        <Button
          variant="outlined"
          sx={{ minHeight: 48 }}
          disabled={wrong || on === ''}
          onClick={() =>
            void workshop.changeSettings(({ ownSessions }) => ({
              ownSessions: [...ownSessions, { id: newId(), on, from, to, who }],
            }))
          }
        >
          Add that day
        </Button>
      </Box>
      {wrong && <Box role="alert">It has to end after it begins.</Box>}
      {coming.length > 0 && (
        <RuledList aria-label="The next sessions" columns>
          {coming.map(({ key, fromMs, toMs, who: whose }) => {
            const isOff = settings.cancelled[key] === true;
            return (
              <Box component="li" key={key} sx={{ py: 0.25, display: 'flex', gap: 2, alignItems: 'center' }}>
                <Box
                  sx={{
                    flex: 1,
                    fontVariantNumeric: 'tabular-nums',
                    textDecoration: isOff ? 'line-through' : 'none',
                  }}
                >
                  {nameOf(whose)}
                  {dayWords(fromMs)}, {spanWords(fromMs, toMs)}
                </Box>
                <Button
                  color="inherit"
                  aria-label={`${isOff ? 'It takes place after all' : 'Cancel'}: ${nameOf(whose)}${dayWords(fromMs)}`}
                  onClick={() =>
                    void workshop.changeSettings(({ cancelled }) => ({ cancelled: { ...cancelled, [key]: !isOff } }))
                  }
                >
                  {isOff ? 'It takes place after all' : 'Cancel'}
                </Button>
              </Box>
            );
          })}
        </RuledList>
      )}
      <Box data-readings sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'start', mt: 1.5 }}>
        <ReadingField
          label="Stands"
          kind="number"
          width={120}
          value={settings.stands}
          refuse={(value) => (value % 1 !== 0 || value < 1 || value > 50 ? '1 to 50' : null)}
          onCommit={(stands) => void workshop.changeSettings({ stands })}
        />
        <CalendarIn taken={settings.busy.length} ahead={sessionsAhead(settings, now).length} />
      </Box>
    </Section>
  );
}
