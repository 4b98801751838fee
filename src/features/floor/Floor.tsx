'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import type { Bicycle } from '@/model/record';
import { nextThing, runningTimers, spent, workedMinutes } from '@/model/selectors';
import { BicycleDrawing } from '@/ui/BicycleDrawing';
import { clockTime, hours, money } from '@/ui/format';
import { TopBar } from '../bike/TopBar';
import { STAGE_LABELS } from '../bike/stages';
import { useNow } from '../workshop/useNow';
import { useSettings, useWorkshopName, useWorkshopState } from '../workshop/WorkshopProvider';
import { AddBicycle } from './AddBicycle';

function EmptyFloor() {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' },
        gap: { xs: 4, md: 8 },
        alignItems: 'center',
        maxWidth: 1040,
        mx: 'auto',
        py: { xs: 4, md: 9 },
      }}
    >
      <Box>
        <Typography variant="h1" sx={{ fontSize: '2.1rem', mb: 2 }}>
          The stand is empty
        </Typography>
        <Typography sx={{ mb: 1.5 }}>
          Put a bicycle on the floor and take it through nine stages: what it may cost, what is wrong with it, what is
          done, apart, clean, overhauled, together again, proved, sold.
        </Typography>
        <Typography sx={{ mb: 3, color: 'text.secondary' }}>
          Everything is kept in this browser, as you enter it. Nothing leaves this machine.
        </Typography>
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
          <AddBicycle label="Put a bicycle on the floor" />
          <Button component="a" href="/?workshop=demo" variant="outlined">
            Look round a made-up workshop
          </Button>
        </Box>
      </Box>
      <BicycleDrawing
        kind={{
          frame: 'diamond',
          frameMaterial: 'steel',
          beadSeatMm: 622,
          tyreWidthMm: 32,
          bars: 'drop',
          stem: 'quill',
          brakes: 'rim',
          chain: '5-8-speed',
          cranks: 'square-taper',
          bottomBracket: null,
          wheels: 'quick-release',
          mudguards: false,
          rack: false,
        }}
        label="A bicycle, drawn"
      />
    </Box>
  );
}

function BicycleRow({ bicycle, now }: { bicycle: Bicycle; now: Date }) {
  const { currency } = useSettings();
  const next = nextThing(bicycle);
  const timers = runningTimers(bicycle);
  const worked = workedMinutes(bicycle);
  return (
    <Box component="li" sx={{ listStyle: 'none', borderTop: '1px solid', borderColor: 'divider' }}>
      <Box
        component={Link}
        href={`/bike?id=${encodeURIComponent(bicycle.id)}&stage=${next.stage}`}
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '108px 1fr', md: '170px minmax(0, 1.1fr) minmax(0, 1fr) 130px' },
          gap: { xs: 2, md: 3 },
          alignItems: 'center',
          py: 2,
          color: 'inherit',
          textDecoration: 'none',
          '&:hover': { bgcolor: 'background.paper' },
        }}
      >
        <BicycleDrawing kind={bicycle.kind} label="" quiet />
        <Box sx={{ minWidth: 0 }}>
          <Box sx={{ fontSize: '1.2rem', fontWeight: 640 }}>{bicycle.name}</Box>
          <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>{bicycle.note}</Box>
        </Box>
        <Box sx={{ gridColumn: { xs: '1 / -1', md: 'auto' } }}>
          <Box sx={{ color: 'primary.main', fontWeight: 640 }}>
            {STAGE_LABELS[next.stage]} · {next.words}
          </Box>
          {timers.map(({ timer, dueAtMs }) => (
            <Box key={timer.id} sx={{ fontSize: '0.9rem' }}>
              {dueAtMs > now.getTime()
                ? `${timer.label}: out by ${clockTime(new Date(dueAtMs))}`
                : `${timer.label}: time is up since ${clockTime(new Date(dueAtMs))}`}
            </Box>
          ))}
        </Box>
        <Box
          sx={{
            textAlign: { md: 'right' },
            gridColumn: { xs: '1 / -1', md: 'auto' },
            fontSize: '0.9rem',
            color: 'text.secondary',
          }}
        >
          <Box
            component="span"
            sx={{
              color: 'text.primary',
              fontWeight: 640,
              fontSize: '1.1rem',
              mr: { xs: 1, md: 0 },
              display: { md: 'block' },
            }}
          >
            {bicycle.purchase ? money(spent(bicycle), currency, true) : 'Not bought'}
          </Box>
          {bicycle.purchase
            ? `spent, ${worked ? hours(worked) : 'no time yet'}`
            : `asked ${money(bicycle.appraisal.asking, currency, true)}`}
        </Box>
      </Box>
    </Box>
  );
}

/** The first screen: what can be done now, bicycle by bicycle. */
export function Floor() {
  const bicycles = useWorkshopState((state) => state.bicycles);
  const status = useWorkshopState((state) => state.status);
  const { name } = useSettings();
  const demo = useWorkshopName() === 'demo';
  const now = useNow(20_000);
  const list = Object.values(bicycles).sort((a, b) => (a.updatedAt < b.updatedAt ? 1 : -1));
  return (
    <>
      <TopBar />
      <Box component="main" sx={{ px: { xs: 2, md: 5 }, py: { xs: 2, md: 4 }, maxWidth: 1240, mx: 'auto' }}>
        {status === 'ready' && list.length === 0 ? (
          <EmptyFloor />
        ) : (
          <>
            <Box
              sx={{
                display: 'flex',
                justifyContent: 'space-between',
                alignItems: 'end',
                gap: 2,
                flexWrap: 'wrap',
                mb: 2.5,
              }}
            >
              <Box>
                <Typography variant="h1">On the floor</Typography>
                <Typography sx={{ color: 'text.secondary' }}>
                  {name}, {list.length === 1 ? 'one bicycle' : `${list.length} bicycles`}
                </Typography>
              </Box>
              <AddBicycle label="A bicycle comes in" />
            </Box>
            <Box component="ul" sx={{ p: 0, m: 0, borderBottom: '1px solid', borderColor: 'divider' }}>
              {list.map((bicycle) => (
                <BicycleRow key={bicycle.id} bicycle={bicycle} now={now} />
              ))}
            </Box>
          </>
        )}
        {demo && (
          <Typography sx={{ mt: 3, color: 'text.secondary', fontSize: '0.9rem' }}>
            This is a made-up workshop with a database of its own.{' '}
            <Box component="a" href="/?workshop=own" sx={{ color: 'inherit' }}>
              Go to your own workshop
            </Box>
            .
          </Typography>
        )}
      </Box>
    </>
  );
}
