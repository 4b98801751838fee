import { act, fireEvent, render, screen, within } from '@testing-library/react';
import { userEvent } from '../../tests/user';
import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { newBicycle } from '@/model/fresh';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import type { Bicycle } from '@/model/record';
import { theme } from '@/ui/theme';
import { memoryBrowser } from '../../tests/memoryBrowser';
import { drawStage } from '../../tests/stage';
import { Conflicts } from './bike/Conflicts';
import { UndoButtons } from './top-bar/UndoButtons';
import { Deliveries } from './decide/Deliveries';
import { Notes } from './notes/Notes';
import { LooseEnds } from './rebuild/LooseEnds';
import { HeldReading } from './shell/HeldReading';
import { Shortcuts } from './shell/Shortcuts';
import { WorkshopContext, type StageProps } from './workshop/WorkshopProvider';

const AT = '2026-11-25T10:00:00.000Z';
const button = (name: string | RegExp) => screen.getByRole('button', { name });

async function inWorkshop(children: ReactNode, changes: Partial<Bicycle> = {}) {
  const workshop = memoryBrowser().tab(1);
  await workshop.load(() => ({
    bicycles: [{ ...newBicycle('b1', AT, 'Green tourer'), ...changes }],
    settings: USUAL_SETTINGS,
  }));
  await workshop.open('b1');
  render(
    <ThemeProvider theme={theme}>
      <WorkshopContext value={{ name: 'own', workshop }}>{children}</WorkshopContext>
    </ThemeProvider>,
  );
  return { workshop, record: () => workshop.store.getState().bicycles.b1! };
}

describe('notes', () => {
  const General = (props: StageProps) => <Notes {...props} place="chain" />;
  test('a typed note is kept by Enter and by leaving the field, and taken back without being lost', async () => {
    const { record } = await drawStage(General);
    await userEvent.type(screen.getByLabelText('Note, then Enter'), 'Link is stiff{Enter}');
    await userEvent.type(screen.getByLabelText('Note, then Enter'), 'And rusty');
    await userEvent.tab();
    expect(record().notes.map((note) => [note.place, note.text])).toEqual([
      ['chain', 'Link is stiff'],
      ['chain', 'And rusty'],
    ]);
    await userEvent.click(screen.getAllByRole('button', { name: 'Undo' })[0]!);
    expect(within(screen.getByRole('list', { name: 'Notes' })).queryByText('Link is stiff')).toBeNull();
    expect(record().notes).toHaveLength(2);
  });
  test('what is typed is text, whatever it looks like', async () => {
    await drawStage(General);
    await userEvent.type(screen.getByLabelText('Note, then Enter'), '<img src=x onerror=alert(1)>{Enter}');
    expect(screen.getByText('<img src=x onerror=alert(1)>')).toBeInTheDocument();
    expect(document.querySelector('img')).toBeNull();
  });
  test('without a microphone it says to type instead', async () => {
    await drawStage(General);
    fireEvent.pointerDown(button('Hold to speak a note'));
    expect(await screen.findByRole('alert')).toHaveTextContent('Type the note instead');
  });
});

describe('taking back', () => {
  test('the button names the last change, and the keys do the same', async () => {
    const { workshop, record } = await inWorkshop(<UndoButtons bicycleId="b1" />);
    act(() => workshop.send('b1', { type: 'setAppraisal', changes: { asking: 12000 } }));
    act(() => workshop.send('b1', { type: 'setBrief', brief: 'donor' }));
    await userEvent.click(button('Undo: brief donor'));
    expect(record().brief).toBe('rideable');
    await userEvent.keyboard('{Control>}z{/Control}');
    expect(record().appraisal.asking).toBeNull();
    expect(screen.queryByRole('button', { name: /^Undo/ })).toBeNull();
    await userEvent.click(button('Do again: asked 120'));
    expect(record().appraisal.asking).toBe(12000);
  });
});

describe('entered twice', () => {
  test('both values stand in words, and one tap chooses', async () => {
    const { record } = await drawStage(() => null);
    const conflict = { id: 'c1', leaf: 'appraisal/asking', kept: 12000, other: 13000, at: AT };
    const Held = (props: StageProps) => <Conflicts {...props} bicycle={{ ...props.bicycle, conflicts: [conflict] }} />;
    const sent: unknown[] = [];
    render(
      <WorkshopContext value={{ name: 'own', workshop: (await inWorkshop(null)).workshop }}>
        <Held bicycle={record()} send={(command) => sent.push(command)} />
      </WorkshopContext>,
    );
    expect(screen.getByRole('region', { name: 'Entered twice' })).toHaveTextContent('asked for it: it stands as €120');
    await userEvent.click(button('Take €130'));
    expect(sent).toEqual([{ type: 'settleConflict', conflict: 'c1', take: 'other' }]);
  });
});

describe('loose ends and deliveries', () => {
  test('what is loose is told until it is tightened', async () => {
    const { record } = await drawStage(LooseEnds, [
      { type: 'putLooseEnd', looseEnd: { id: 'l1', place: 'stem', label: 'Stem', at: AT, closedAt: null } },
    ]);
    expect(screen.getByText('not ready while one stands here')).toBeInTheDocument();
    await userEvent.click(button('Tightened now'));
    expect(record().looseEnds[0]!.closedAt).not.toBeNull();
    expect(screen.queryByText('Stem')).toBeNull();
  });
  test('an order is waited for until it has arrived, and stays in the record', async () => {
    const { record } = await drawStage(Deliveries);
    await userEvent.type(screen.getByLabelText('What is ordered'), 'Cotter pins{Enter}');
    expect(screen.getByText('1 waited for')).toBeInTheDocument();
    await userEvent.click(button('It has arrived: Cotter pins'));
    expect(record().deliveries).toMatchObject([
      { label: 'Cotter pins', dueOn: null, arrivedAt: expect.any(String) as string },
    ]);
    expect(screen.queryByText('1 waited for')).toBeNull();
  });
});

describe('keys', () => {
  test('the page of keys tells every one, and letters can be switched off', async () => {
    const { workshop } = await inWorkshop(<Shortcuts onClose={() => undefined} />);
    expect(screen.getByText('Done, next step (a foot switch)')).toBeInTheDocument();
    await userEvent.click(screen.getByRole('switch', { name: 'Single-letter keys' }));
    expect(workshop.store.getState().settings.letterKeys).toBe(false);
  });
});

describe('a reading with no field open', () => {
  test('it is held and asked about; Enter at its end presses nothing', async () => {
    const pressed: string[] = [];
    await inWorkshop(
      <>
        <button onClick={() => pressed.push('pressed')}>Sell it</button>
        <HeldReading />
      </>,
    );
    act(() => button('Sell it').focus());
    act(() => {
      for (const key of ['3', '0', '6', '.', '9', 'Enter']) fireEvent.keyDown(document.activeElement!, { key });
    });
    expect(await screen.findByRole('heading', { name: '306.9' })).toBeInTheDocument();
    expect(pressed).toEqual([]);
    await userEvent.click(button('Drop it'));
    expect(screen.queryByRole('dialog')).toBeNull();
  });
});
