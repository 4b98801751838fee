import { ThemeProvider } from '@mui/material/styles';
import { act, render } from '@testing-library/react';
import { useState, type ComponentType } from 'react';
import { SUBJECTS } from '@/features/allSubjects';
import { HandProvider } from '@/features/at-hand/hand';
import type { Form } from '@/features/at-hand/PartAtHand';
import { PartSheet } from '@/features/bike/PartSheet';
import { DeclaredContext, type StageViewProps } from '@/features/workshop/declared';
import { WorkshopContext, useWorkshop, useWorkshopState } from '@/features/workshop/WorkshopProvider';
import type { Command } from '@/model/commands';
import { newBicycle } from '@/model/fresh';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import type { Bicycle } from '@/model/record';
import type { WorkshopSettings } from '@/model/settings/settings';
import type { Workshop } from '@/store/workshop';
import { theme } from '@/ui/theme';
import { memoryBrowser } from './memoryBrowser';

const AT = '2026-11-25T10:00:00.000Z';

function Held({ Stage, form }: { Stage: ComponentType<StageViewProps>; form?: Form }) {
  const [place, onPlace] = useState(() => new URLSearchParams(window.location.search).get('tray'));
  const workshop = useWorkshop();
  const bicycle = useWorkshopState((state) => state.bicycles.b1);
  if (!bicycle) return null;
  const send = (command: Command) => workshop.send('b1', command);
  return (
    <HandProvider>
      {form && place && (
        <PartSheet
          bicycle={bicycle}
          place={place}
          form={form}
          stage="rebuild"
          phone={false}
          locator={null}
          otherwise={null}
        />
      )}
      <Stage bicycle={bicycle} send={send} place={place} onPlace={onPlace} lookOver={null} noting={false} />
    </HandProvider>
  );
}

/**
 * Draws one stage over a workshop in memory, after the commands given; gives the record as it stands. With a `form` the
 * part at hand is drawn beside it, as on the sheet.
 */
export async function drawStage(
  Stage: ComponentType<StageViewProps>,
  commands: Command[] = [],
  settings: Partial<WorkshopSettings> = {},
  form?: Form,
): Promise<{ record(): Bicycle; workshop: Workshop }> {
  const workshop = memoryBrowser().tab(1);
  await workshop.load(() => ({
    bicycles: [newBicycle('b1', AT, 'Green tourer')],
    settings: { ...USUAL_SETTINGS, ...settings },
  }));
  await workshop.open('b1');
  for (const command of commands) workshop.send('b1', command);
  await workshop.settled();
  const drawn = (
    <ThemeProvider theme={theme}>
      <DeclaredContext value={SUBJECTS}>
        <WorkshopContext value={{ name: 'own', workshop }}>
          <Held Stage={Stage} form={form} />
        </WorkshopContext>
      </DeclaredContext>
    </ThemeProvider>
  );
  // What suspends is drawn only where the drawing itself is waited for.
  await act(async () => Promise.resolve(render(drawn)));
  await act(() => workshop.settled());
  return { record: () => workshop.store.getState().bicycles.b1!, workshop };
}
