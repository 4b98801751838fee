'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import type { AnswerOf } from '@/core/questions';
import type { BooksRow } from '@/model/books/books';
import { lessonsOf, type Lesson } from '@/model/books/learnt';
import { Disclosure } from '@/ui/Disclosure';
import { percent } from '@/ui/format';
import { RuledList } from '@/ui/RuledList';
import { Section } from '@/ui/Section';
import { Working } from '@/ui/Working';
import { useSettings, useWorkshop } from '../workshop/WorkshopProvider';

const TimesChart = dynamic(() => import('./TimesChart').then((module) => module.TimesChart), { ssr: false });

/** One lesson: asked once, then in use until it is undone, or let be. */
function LessonRow({ lesson: { key, words, answer } }: { lesson: Lesson }) {
  const workshop = useWorkshop();
  const say = (said: 'yes' | 'no') =>
    void workshop.changeSettings(({ learnt }) => ({ learnt: { ...learnt, [key]: said } }));
  return (
    <Box
      component="li"
      sx={{
        py: 1.25,
        display: 'flex',
        gap: 2,
        flexWrap: 'wrap',
        alignItems: 'center',
        justifyContent: 'space-between',
      }}
    >
      <Box
        sx={{
          flex: '1 1 280px',
          fontWeight: answer === 'no' ? 400 : 640,
          fontSize: answer === null ? '1.15rem' : undefined,
        }}
      >
        {words}
        {answer === 'yes' && (
          <Box sx={{ fontWeight: 400, color: 'text.secondary', fontSize: '0.94rem' }}>
            Used at Buy, Decide and Hand over.
          </Box>
        )}
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        {answer !== 'yes' && (
          <Button
            variant="outlined"
            color={answer === null ? 'primary' : 'inherit'}
            aria-label={`Use it from now on: ${words}`}
            onClick={() => say('yes')}
          >
            Use it from now on
          </Button>
        )}
        {answer === null && (
          <Button color="inherit" aria-label={`No: ${words}`} onClick={() => say('no')}>
            No
          </Button>
        )}
        {answer === 'yes' && (
          <Button variant="outlined" color="inherit" aria-label={`Undo: ${words}`} onClick={() => say('no')}>
            Undo
          </Button>
        )}
      </Box>
    </Box>
  );
}

/** What finished bicycles taught: hours, prices, what is found at the door; each is asked about once, and used only after a yes. */
export function Lessons({ learnt, rows }: { learnt: AnswerOf<'buy.learn'>; rows: readonly BooksRow[] }) {
  const settings = useSettings();
  const lessons = lessonsOf(learnt, settings);
  const open = lessons.filter(({ answer, isTold }) => answer === null && isTold);
  const used = lessons.filter(({ answer }) => answer === 'yes');
  const refused = lessons.filter(({ answer }) => answer === 'no');
  const early = lessons.filter(({ answer, isTold }) => answer === null && !isTold);
  const { minutesWithin, salesWithin } = learnt.calibration;
  return (
    <Section title="What it taught">
      {open.length + used.length > 0 ? (
        <RuledList aria-label="Lessons">
          {[...open, ...used].map((lesson) => (
            <LessonRow key={lesson.key} lesson={lesson} />
          ))}
        </RuledList>
      ) : (
        <Box>Nothing differs from your estimates clearly enough yet. A lesson needs five cases.</Box>
      )}
      {minutesWithin !== null && (
        <Box sx={{ color: 'text.secondary', my: 1 }}>
          {percent(minutesWithin)} of jobs took as long as estimated
          {salesWithin !== null && `; ${percent(salesWithin)} of bicycles fetched what was estimated`}.
        </Box>
      )}
      {learnt.minutes.length > 0 && (
        <Box sx={{ mt: 1.5 }}>
          <TimesChart rows={rows} minutes={learnt.minutes} />
        </Box>
      )}
      {refused.length > 0 && (
        <Disclosure summary={<>Not used, {refused.length}</>} wide>
          <RuledList aria-label="Lessons that are not used">
            {refused.map((lesson) => (
              <LessonRow key={lesson.key} lesson={lesson} />
            ))}
          </RuledList>
        </Disclosure>
      )}
      {early.length > 0 && (
        <Disclosure summary={<>Too early to say, {early.length}</>} wide>
          <RuledList aria-label="Too early to say">
            {early.map(({ key, words }) => (
              <Box component="li" key={key} sx={{ py: 0.75 }}>
                {words}
              </Box>
            ))}
          </RuledList>
        </Disclosure>
      )}
      <Working rows={learnt.working} />
    </Section>
  );
}
