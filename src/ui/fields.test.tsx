import { act, render, screen, within } from '@testing-library/react';
import { userEvent } from '../../tests/user';
import { useState } from 'react';
import { Choices } from './Choices';
import { RangeFields } from './RangeFields';
import { READING_EVENT } from './readingEvent';
import { ReadingField, type ReadingFieldProps } from './ReadingField';

function Held({ start = null, ...props }: Partial<ReadingFieldProps> & { start?: number | null }) {
  const [value, setValue] = useState<number | null>(start);
  return (
    <div data-readings>
      <ReadingField
        label="Length"
        kind="length"
        unit="mm"
        {...props}
        value={value}
        onCommit={setValue}
        onClear={() => setValue(null)}
      />
      <ReadingField label="Next" kind="number" value={null} onCommit={() => undefined} />
      <output>{value === null ? 'nothing' : String(value)}</output>
    </div>
  );
}

const field = () => screen.getByLabelText('Length');
const saved = () => screen.getByRole('status').textContent;

describe('the reading field', () => {
  test.each([
    ['306.9', '306.9'],
    ['306,9', '306.9'],
    ['3/16', '4.7625'],
    ['0.25in', '6.35'],
    ['12.70 mm', '12.7'],
  ])('%s and Enter is %s mm', async (typed, value) => {
    render(<Held />);
    await userEvent.type(field(), `${typed}{Enter}`);
    expect(saved()).toBe(value);
  });

  test('a caliper types digits and Enter, and the next field is ready', async () => {
    render(<Held />);
    await userEvent.type(field(), '6.34{Enter}');
    expect(screen.getByLabelText('Next')).toHaveFocus();
  });

  test('what cannot be is refused in words, and what was saved stays', async () => {
    render(<Held start={5} />);
    await userEvent.clear(field());
    await userEvent.type(field(), 'about six{Enter}');
    expect(screen.getByRole('alert')).toHaveTextContent('is no reading: type digits');
    expect(saved()).toBe('5');
    expect(field()).toHaveFocus();
    expect(field()).toHaveAttribute('aria-invalid', 'true');
  });

  test('a field may refuse what its place cannot have', async () => {
    render(<Held refuse={(mm) => (mm > 10 ? 'balls are smaller' : null)} />);
    await userEvent.type(field(), '63.5{Enter}');
    expect(screen.getByRole('alert')).toHaveTextContent('balls are smaller');
    expect(saved()).toBe('nothing');
    await userEvent.clear(field());
    await userEvent.type(field(), '6.35{Enter}');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(saved()).toBe('6.35');
  });

  test('Escape takes back what was typed and not yet entered', async () => {
    render(<Held start={5} />);
    await userEvent.type(field(), '99');
    await userEvent.keyboard('{Escape}');
    expect(field()).toHaveValue('5');
    expect(saved()).toBe('5');
  });

  test('leaving the field enters what was typed, emptying it takes the reading back', async () => {
    render(<Held />);
    await userEvent.type(field(), '7');
    await userEvent.tab();
    expect(saved()).toBe('7');
    await userEvent.clear(field());
    await userEvent.tab();
    expect(saved()).toBe('nothing');
  });

  test('a digit typed into a filled field replaces it', async () => {
    render(<Held start={120} />);
    await userEvent.tab();
    expect(field()).toHaveFocus();
    await userEvent.keyboard('7{Enter}');
    expect(saved()).toBe('7');
  });

  test('Enter and the blur that follows it enter a reading once', async () => {
    const taken: number[] = [];
    render(
      <div data-readings>
        <ReadingField label="Torque" kind="number" value={null} onCommit={(value) => taken.push(value)} />
        <ReadingField label="Next" kind="number" value={null} onCommit={() => undefined} />
      </div>,
    );
    await userEvent.type(screen.getByLabelText('Torque'), '12{Enter}');
    expect(taken).toEqual([12]);
  });

  test('a row of readings empties its field and stays in it', async () => {
    const taken: number[] = [];
    render(<ReadingField label="Ball" kind="length" keepEmpty value={null} onCommit={(value) => taken.push(value)} />);
    await userEvent.type(screen.getByLabelText('Ball'), '6.34{Enter}6.35{Enter}6.35{Enter}');
    expect(taken).toEqual([6.34, 6.35, 6.35]);
    expect(screen.getByLabelText('Ball')).toHaveValue('');
    expect(screen.getByLabelText('Ball')).toHaveFocus();
  });

  test('money is shown as it is typed and never rounded', async () => {
    render(<Held kind="money" unit="EUR" start={14050} />);
    expect(field()).toHaveValue('140.50');
    await userEvent.clear(field());
    await userEvent.type(field(), '1.005{Enter}');
    expect(screen.getByRole('alert')).toHaveTextContent('is no amount');
    expect(saved()).toBe('14050');
  });
});

describe('the reading field at the bench', () => {
  test('arrow keys move the last digit that is shown', async () => {
    render(<Held start={6.34} />);
    await userEvent.click(field());
    await userEvent.keyboard('{ArrowUp}{ArrowUp}{ArrowDown}{Enter}');
    expect(saved()).toBe('6.35');
    await userEvent.clear(field());
    await userEvent.type(field(), '12{ArrowUp}{Enter}');
    expect(saved()).toBe('13');
  });
  test('it never goes below nothing', async () => {
    render(<Held start={0} />);
    await userEvent.click(field());
    await userEvent.keyboard('{ArrowDown}{Enter}');
    expect(saved()).toBe('0');
  });
  test('limit and verdict are told while typing, and go when it is entered', async () => {
    render(
      <Held
        judge={(mm) => (mm > 307 ? { state: 'replace', words: 'past 307' } : { state: 'fine', words: 'under 307' })}
      />,
    );
    await userEvent.type(field(), '306,9');
    expect(screen.getByText('under 307')).toBeInTheDocument();
    await userEvent.type(field(), '{Backspace}{Backspace}{Backspace}8');
    expect(screen.getByText('past 307')).toBeInTheDocument();
    await userEvent.keyboard('{Enter}');
    expect(screen.queryByText('past 307')).toBeNull();
  });
  test('earlier readings stand beside it as a trace', async () => {
    render(<Held earlier={[6.35, 6.34, 6.36]} />);
    expect(await screen.findByRole('img', { name: '3 readings from 6.34 to 6.36 mm' })).toBeInTheDocument();
  });
  test('an instrument may send to it; the next field is ready then', () => {
    render(<Held />);
    act(() => void field().dispatchEvent(new CustomEvent(READING_EVENT, { detail: '6.34' })));
    expect(saved()).toBe('6.34');
    expect(screen.getByLabelText('Next')).toHaveFocus();
  });
  test('what an instrument sends and cannot be is refused beside the field', () => {
    render(<Held start={5} />);
    act(() => void field().dispatchEvent(new CustomEvent(READING_EVENT, { detail: 'E-2' })));
    expect(screen.getByRole('alert')).toHaveTextContent('is no reading');
    expect(saved()).toBe('5');
  });
});

describe('a range', () => {
  function HeldRange({ start }: { start: { low: number; likely: number; high: number } }) {
    const [range, setRange] = useState(start);
    return (
      <div data-readings>
        <RangeFields label="Fetch" kind="money" unit="EUR" range={range} onCommit={setRange} />
        <output>{[range.low, range.likely, range.high].join(' ')}</output>
      </div>
    );
  }
  const end = (name: string) => screen.getByLabelText(`Fetch, ${name}`);

  test('an empty range follows its first figure and is then spread by the next two', async () => {
    render(<HeldRange start={{ low: 0, likely: 0, high: 0 }} />);
    await userEvent.type(end('low'), '260{Enter}');
    expect(screen.getByRole('status')).toHaveTextContent('26000 26000 26000');
    await userEvent.keyboard('300{Enter}340{Enter}');
    expect(screen.getByRole('status')).toHaveTextContent('26000 30000 34000');
  });

  test('a spread range refuses a figure out of order beside its field', async () => {
    render(<HeldRange start={{ low: 26000, likely: 30000, high: 34000 }} />);
    await userEvent.clear(end('low'));
    await userEvent.type(end('low'), '310{Enter}');
    expect(screen.getByRole('alert')).toHaveTextContent('low is over likely');
    await userEvent.clear(end('high'));
    await userEvent.type(end('high'), '290{Enter}');
    expect(screen.getAllByRole('alert').at(-1)).toHaveTextContent('likely is over high');
    expect(screen.getByRole('status')).toHaveTextContent('26000 30000 34000');
  });
});

describe('choices', () => {
  const options = [
    { id: 'firm', label: 'Firm' },
    { id: 'loose', label: 'Loose' },
  ] as const;

  test('one tap chooses, a second tap on the same takes nothing away', async () => {
    const chosen: string[] = [];
    const { rerender } = render(
      <Choices label="Left arm" options={options} value={null} onChoose={(id) => chosen.push(id)} />,
    );
    const group = screen.getByRole('group', { name: 'Left arm' });
    await userEvent.click(within(group).getByRole('button', { name: 'Loose' }));
    rerender(<Choices label="Left arm" options={options} value="loose" onChoose={(id) => chosen.push(id)} />);
    expect(within(group).getByRole('button', { name: 'Loose' })).toHaveAttribute('aria-pressed', 'true');
    await userEvent.click(within(group).getByRole('button', { name: 'Loose' }));
    expect(chosen).toEqual(['loose']);
  });

  test('a hidden question is still asked of a screen reader', () => {
    render(<Choices label="How sure is: tyres" hideLabel options={options} value={null} onChoose={() => undefined} />);
    expect(screen.getByRole('group', { name: 'How sure is: tyres' })).toBeInTheDocument();
  });
});
