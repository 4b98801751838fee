import { fireEvent, screen, within } from '@testing-library/react';
import { drawStage } from '../../../tests/stage';
import { userEvent } from '../../../tests/user';
import type { Command } from '@/model/commands';
import { HandOver } from './HandOver';
import { printable, sheetPdf } from './sheetPdf';
import { sheetText } from './sheetText';

jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(window.location.search) }));
jest.mock('@/worker/client', () =>
  jest.requireActual<typeof import('../../../tests/reckonHere')>('../../../tests/reckonHere'),
);

const AT = '2026-11-25T10:00:00.000Z';
const button = (name: string | RegExp) => screen.getByRole('button', { name });
const view = (name: string) => userEvent.click(button(name));
const sized: Command = { type: 'measureFrame', changes: { sizeMm: 560 } };

describe('the listing', () => {
  test('is there from the record; a sentence is written over in place, refused where a seller may not say it, and goes back', async () => {
    const { record } = await drawStage(HandOver, [
      sized,
      { type: 'answerDoor', line: 'post', answer: 'bad', at: AT, by: '' },
    ]);
    await view('Listing');
    const fit = () => screen.getByRole('textbox', { name: 'Whom it fits' });
    await screen.findByRole('textbox', { name: 'Whom it fits' });
    expect((fit() as HTMLTextAreaElement).value).toContain('Seat tube 56 cm');
    fireEvent.change(fit(), { target: { value: 'Fits tall riders, and is safe.' } });
    fireEvent.blur(fit());
    expect(await screen.findByText('a seller may not say “safe”')).toBeInTheDocument();
    expect(record().listingEdits).toEqual({});
    fireEvent.change(fit(), { target: { value: 'Fits riders of about 1.76 m.' } });
    fireEvent.blur(fit());
    expect(record().listingEdits.fit!.text).toBe('Fits riders of about 1.76 m.');
    expect(await screen.findByText('Your own words.')).toBeInTheDocument();
    await view('Warm');
    expect(await screen.findByText('The record has moved on since this was written.')).toBeInTheDocument();
    await userEvent.click(button(/^As the record has it/));
    expect(record().listingEdits).toEqual({});
    expect(screen.getByText(/How old it is: no feature/)).toBeInTheDocument();
  });

  test('a question that came back is answered into it; an option has its surcharge', async () => {
    const { record } = await drawStage(HandOver, [sized]);
    await view('Listing');
    await userEvent.click(await screen.findByText(/^Questions that came back/));
    await userEvent.type(screen.getByLabelText('What was asked'), 'Does it take mudguards?{Enter}');
    await userEvent.type(await screen.findByLabelText('The answer'), 'Yes, there are eyes{Enter}');
    expect(record().buyersQuestions).toMatchObject([
      { asked: 'Does it take mudguards?', answer: 'Yes, there are eyes' },
    ]);
    expect(await screen.findByRole('textbox', { name: 'Asked and answered' })).toHaveValue(
      'Does it take mudguards? Yes, there are eyes.',
    );
    await userEvent.click(screen.getByText(/^Options/));
    await userEvent.type(screen.getByLabelText('An option, such as pedals'), 'Pedals{Enter}');
    await userEvent.type(await screen.findByLabelText('Surcharge'), '{Backspace}20{Enter}');
    expect(await screen.findByRole('textbox', { name: 'Options' })).toHaveValue('On request: pedals (+ €20).');
  });
});

test('the price: from what such a one fetches; asked, offered, too low, and sold', async () => {
  const { record } = await drawStage(HandOver, []);
  await view('Price');
  await userEvent.type(await screen.findByLabelText('Such a one fetches'), '300{Enter}');
  expect(await screen.findByText('€322.86')).toBeInTheDocument();
  fireEvent.change(screen.getByRole('slider', { name: 'Another price' }), { target: { value: 30 } });
  expect(screen.getByRole('status', { name: 'At that price' })).toHaveTextContent(/At €375: \d+ days/);
  await userEvent.click(button(/^Ask €322/));
  expect(record().listing.ask).toBe(32_286);
  const offer = () => screen.getByLabelText('An offer of');
  await userEvent.type(offer(), '330{Enter}');
  await userEvent.type(offer(), '325{Enter}');
  expect(screen.getByRole('status', { name: 'What the offers say' })).toHaveTextContent('it was too low');
  await userEvent.click(
    within(screen.getByRole('list', { name: 'Offers' })).getAllByRole('button', { name: 'Sold for it' })[0]!,
  );
  expect(record().sale).toMatchObject({ price: 32_500 });
  await userEvent.type(screen.getByLabelText('A step down to'), '400{Enter}');
  expect(await screen.findByText('less than is asked')).toBeInTheDocument();
});

test('papers: no tax is guessed; what came back is charged to it', async () => {
  const { record } = await drawStage(HandOver, [
    { type: 'recordPurchase', paid: 18_000, at: AT },
    { type: 'setSale', changes: { price: 30_000, on: '2026-11-25' } },
  ]);
  await view('Papers');
  expect(await screen.findByText(/none is guessed/)).toBeInTheDocument();
  await userEvent.click(button('On the margin'));
  await userEvent.clear(await screen.findByLabelText('Its rate'));
  await userEvent.type(screen.getByLabelText('Its rate'), '20{Enter}');
  expect(await screen.findByText('€20')).toBeInTheDocument();
  await userEvent.type(screen.getByLabelText('It came back, because'), 'A spoke{Enter}');
  await userEvent.clear(await screen.findByLabelText('Given back'));
  await userEvent.type(screen.getByLabelText('Given back'), '10{Enter}');
  expect(record().comebacks).toMatchObject([{ cause: 'A spoke', refund: 1000 }]);
  await userEvent.click(button('Somebody rides it now'));
  expect(record().testRides).toMatchObject([{ backAt: null }]);
  await view('What it earned');
  expect(await screen.findByText('€90')).toBeInTheDocument();
});

describe('the sheet elsewhere', () => {
  test('as text: its head, its sections, a row of a table a line', () => {
    const sheet = document.createElement('div');
    sheet.innerHTML =
      '<div><div><div>Grey racer</div><div>Hall, today</div></div><svg></svg></div><div><h3>Found</h3><table><tbody><tr><td>Chain</td><td><b>Worn</b></td></tr></tbody></table><div><b>Fine:</b> bars.</div></div><div><h3>Empty</h3></div><div><h3>Watch</h3>Look again. And then.</div>';
    expect(sheetText(sheet)).toEqual({
      title: 'Grey racer',
      head: ['Hall, today'],
      sections: [
        { title: 'Found', lines: ['Chain · Worn', 'Fine: bars.'] },
        { title: 'Watch', lines: ['Look again. And then.'] },
      ],
    });
  });

  test('as a PDF of as many pages as it takes; letters that its type has not are told as such', () => {
    expect(printable('a → b, 3 N·m, €5, “x”, Ж')).toBe('a to b, 3 N·m, €5, “x”, ?');
    const long = Array.from(
      { length: 400 },
      (_, i) => `Line ${i} of what was done to it, in a sentence that is longer than a column is wide`,
    );
    const file = sheetPdf({ title: 'Grey racer', head: ['Proved.'], sections: [{ title: 'Done', lines: long }] });
    const text = new TextDecoder('latin1').decode(file);
    expect(text.slice(0, 5)).toBe('%PDF-');
    expect([...text.matchAll(/\/Type \/Page\b/g)].length).toBeGreaterThan(2);
  });
});
