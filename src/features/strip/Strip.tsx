'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import IconButton from '@mui/material/IconButton';
import ArrowDownward from '@mui/icons-material/ArrowDownward';
import ArrowUpward from '@mui/icons-material/ArrowUpward';
import Typography from '@mui/material/Typography';
import type { BicycleKind } from '@/core/bicycle';
import { frontHub, type Assembly } from '@/core/strip/assembly';
import type { TurnInput } from '@/core/strip/turn';
import { trayFor } from '@/model/selectors';
import { Section } from '@/ui/Section';
import type { StageProps } from '../workshop/WorkshopProvider';
import { BallCounter } from './BallCounter';
import { StepPhotos } from '../photos/StepPhotos';
import { WhichWay } from './WhichWay';
import { RuledList } from '@/ui/RuledList';

type Step = Assembly['steps'][number];

function turnQuestion(step: Step, kind: BicycleKind): TurnInput | null {
  if (!step.turn || (step.turn.nuttedOnly && kind.wheels !== 'nutted')) return null;
  return { fastener: step.turn.fastener as TurnInput['fastener'], side: step.turn.side, action: 'loosen' };
}

function partLabel(assembly: Assembly, id: string): string {
  const part = assembly.parts.find((candidate) => candidate.id === id);
  return part ? `${part.label}${part.side ? `, ${part.side}` : ''}` : id;
}

function StepRow({
  bicycle,
  send,
  assembly,
  step,
  number,
  current,
}: StageProps & { assembly: Assembly; step: Step; number: number; current: boolean }) {
  const tray = trayFor(bicycle, assembly.place);
  const done = tray.doneSteps.includes(step.id);
  const question = turnQuestion(step, bicycle.kind);
  const mark = (to: boolean) =>
    send({ type: 'markStep', place: assembly.place, step: step.id, done: to, takes: step.takes });
  const { count } = step;
  return (
    <Box
      component="li"
      sx={{
        py: 1,
        color: done && !current ? 'text.secondary' : 'text.primary',
      }}
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: '44px minmax(0, 1fr)', gap: 1 }}>
        <Checkbox
          checked={done}
          onChange={(event) => mark(event.target.checked)}
          slotProps={{ input: { 'aria-label': `Step ${number}: ${step.title}` } }}
          sx={{ alignSelf: 'start', width: 44, height: 44 }}
        />
        <Box sx={{ pt: 1 }}>
          <Box sx={{ fontWeight: 620, fontSize: current ? '1.25rem' : '1rem' }}>{step.title}</Box>
          {current && (
            <>
              <Box sx={{ color: 'text.secondary', mt: 0.5 }}>Tool: {step.tool}</Box>
              {question && <WhichWay question={question} />}
              <Box sx={{ mt: 0.5, maxWidth: '58ch' }}>
                <b>Often forgotten:</b> {step.forget}
              </Box>
              {step.photo && (
                <StepPhotos bicycle={bicycle} send={send} place={assembly.place} step={step.id} title={step.title} />
              )}
            </>
          )}
          {count && (
            <Box sx={{ mt: 1 }}>
              <BallCounter
                label={`out, ${count}`}
                count={tray.balls[count].out}
                onCount={(out) => send({ type: 'countBalls', place: assembly.place, side: count, changes: { out } })}
              />
            </Box>
          )}
          {current && (
            <Button
              variant="contained"
              sx={{ mt: 2, mb: 1 }}
              disabled={count !== null && tray.balls[count].out === null}
              onClick={() => mark(true)}
            >
              Done, next step
            </Button>
          )}
          {current && count !== null && tray.balls[count].out === null && (
            <Typography variant="caption" component="div">
              Count them out first.
            </Typography>
          )}
        </Box>
      </Box>
    </Box>
  );
}

/** The tray: parts in the order in which they came off, read backwards at assembly. */
export function TrayLine({ bicycle, send, assembly }: StageProps & { assembly: Assembly }) {
  const tray = trayFor(bicycle, assembly.place);
  const move = (at: number, by: number) => {
    const order = [...tray.order];
    const [part] = order.splice(at, 1);
    order.splice(at + by, 0, part!);
    send({ type: 'orderTray', place: assembly.place, order });
  };
  if (tray.order.length === 0)
    return (
      <Typography sx={{ color: 'text.secondary' }}>
        Nothing in the tray yet. Parts lie down here as the steps are ticked.
      </Typography>
    );
  return (
    <Box component="ol" sx={{ p: 0, m: 0 }}>
      {tray.order.map((id, i) => {
        const part = assembly.parts.find((candidate) => candidate.id === id);
        const side = id === 'balls.left' ? 'left' : id === 'balls.right' ? 'right' : null;
        const out = side ? tray.balls[side].out : null;
        return (
          <Box
            key={id}
            component="li"
            sx={{
              display: 'grid',
              gridTemplateColumns: '28px minmax(0, 1fr) auto',
              gap: 1,
              alignItems: 'center',
              borderTop: '1px solid',
              borderColor: 'divider',
              minHeight: 50,
              '&:first-of-type': { borderTop: 0 },
            }}
          >
            <Box sx={{ color: 'text.secondary' }}>{i + 1}</Box>
            <Box>
              <b>{partLabel(assembly, id)}</b>
              {out !== null && `, ${out} counted out`}
              {part?.facing && <Box sx={{ fontSize: '0.86rem', color: 'text.secondary' }}>{part.facing}</Box>}
            </Box>
            <Box sx={{ whiteSpace: 'nowrap' }}>
              <IconButton
                aria-label={`${partLabel(assembly, id)}: came off earlier`}
                disabled={i === 0}
                onClick={() => move(i, -1)}
              >
                <ArrowUpward fontSize="small" />
              </IconButton>
              <IconButton
                aria-label={`${partLabel(assembly, id)}: came off later`}
                disabled={i === tray.order.length - 1}
                onClick={() => move(i, 1)}
              >
                <ArrowDownward fontSize="small" />
              </IconButton>
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

/** The front hub, apart step by step. */
export function Strip({ bicycle, send }: StageProps) {
  const tray = trayFor(bicycle, frontHub.place);
  const current = frontHub.steps.find((step) => !tray.doneSteps.includes(step.id));
  return (
    <>
      <Section title={frontHub.title} aside={`${tray.doneSteps.length} of ${frontHub.steps.length} steps`}>
        <RuledList ordered>
          {frontHub.steps.map((step, i) => (
            <StepRow
              key={step.id}
              bicycle={bicycle}
              send={send}
              assembly={frontHub}
              step={step}
              number={i + 1}
              current={step.id === current?.id}
            />
          ))}
        </RuledList>
        {!current && (
          <Typography sx={{ mt: 2 }}>
            The hub is apart. Its parts go to Clean next; put back, they are read from the other end.
          </Typography>
        )}
      </Section>
      <Section title="In the tray" aside="in the order they came off">
        <TrayLine bicycle={bicycle} send={send} assembly={frontHub} />
      </Section>
      <Typography variant="body2" sx={{ color: 'text.secondary', mt: 3, maxWidth: '62ch' }}>
        {frontHub.stuck} Springs and clips fly: wear eye protection.
      </Typography>
    </>
  );
}
