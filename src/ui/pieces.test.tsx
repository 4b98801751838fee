import { act, render, screen } from '@testing-library/react';
import type React from 'react';
import { userEvent } from '../../tests/user';
import { bicycleKind } from '@/core/bicycle';
import { minorUnit, row } from '@/core/verdict';
import { STATES, stateLabel } from '@/core/vocabulary/vocabulary';
import { BicycleDrawing } from './drawing/BicycleDrawing';
import { hours, limit, money, moneyInFull, moneyTyped, percent } from './format';
import { SpreadChart } from './SpreadChart';
import { StateGlyph, StateMark } from './StateMark';
import { Working } from './Working';

describe('how figures are written', () => {
  test('money keeps its pennies unless there are none', () => {
    expect(money(14050, 'EUR')).toBe('€140.50');
    expect(money(14000, 'EUR')).toBe('€140');
    expect(moneyInFull(14000, 'EUR')).toBe('€140.00');
    expect(money(14001, 'EUR')).toBe('€140.01');
    // A limit is never said higher than it was reckoned.
    expect(limit(13499, 'EUR')).toBe('€134');
    expect(money(-250, 'GBP')).toBe('-£2.50');
    expect(moneyTyped(14050)).toBe('140.50');
  });
  test('minutes are hours once there are sixty', () => {
    expect([0, 59, 60, 65, 135].map(hours)).toEqual(['0 min', '59 min', '1 h', '1 h 05', '2 h 15']);
  });
  test('a small chance is never written as none, nor a great one as certain', () => {
    expect([0, 0.002, 0.31, 0.998, 1].map(percent)).toEqual(['0 %', 'under 1 %', '31 %', 'over 99 %', '100 %']);
  });
});

describe('states', () => {
  test('each is told by a word as well as by colour', () => {
    for (const state of STATES) {
      const { unmount } = render(<StateMark state={state} />);
      expect(screen.getByText(stateLabel(state))).toBeInTheDocument();
      unmount();
    }
  });
  test('without its word the sign is named for a screen reader', () => {
    render(<StateMark state="unsafe" word={false} />);
    expect(screen.getByRole('img', { name: 'Unsafe' })).toBeInTheDocument();
  });
  test('no two states have the same shape', () => {
    const shapes = STATES.map((state) => {
      const { container, unmount } = render(
        <svg>
          <StateGlyph state={state} />
        </svg>,
      );
      const drawn = [...container.querySelectorAll('path, circle, rect')]
        .map(
          (shape) => `${shape.tagName}${shape.getAttribute('d') ?? ''}${shape.getAttribute('stroke-dasharray') ?? ''}`,
        )
        .join();
      unmount();
      return drawn;
    });
    expect(new Set(shapes).size).toBe(STATES.length);
  });
});

describe('the working', () => {
  test('lays symbol, meaning and value open; money as money', async () => {
    render(<Working rows={[row('w', 'wear', 0.689, '%'), row('Q', 'payable', 7958, minorUnit('EUR'))]} />);
    await userEvent.click(screen.getByText('Show the working'));
    expect(screen.getByText('0.689 %')).toBeInTheDocument();
    expect(screen.getByText('€79.58')).toBeInTheDocument();
  });
  test('nothing to show shows nothing', () => {
    const { container } = render(<Working rows={[]} />);
    expect(container).toBeEmptyDOMElement();
  });
});

describe('the drawing', () => {
  const kind = bicycleKind.parse({});
  const draw = (changes: Partial<React.ComponentProps<typeof BicycleDrawing>> = {}) =>
    render(<BicycleDrawing kind={kind} label="Green tourer" {...changes} />);

  test('a place is a button that says its name and state, and is opened by Enter and Space', async () => {
    const opened: string[] = [];
    draw({ signs: [{ place: 'hub.front', sign: 'service' }], onOpen: (place) => opened.push(place) });
    const mark = screen.getByRole('button', { name: 'Front hub: service' });
    act(() => mark.focus());
    await userEvent.keyboard('{Enter} ');
    expect(opened).toEqual(['hub.front', 'hub.front']);
    expect(screen.getByRole('button', { name: 'Saddle' })).toBeInTheDocument();
  });
  test('arrow keys go to the nearest place, and one place at a time is in the tab order', async () => {
    draw({ onOpen: () => undefined });
    const tabbable = () => screen.getAllByRole('button').filter((each) => each.getAttribute('tabindex') === '0');
    expect(tabbable()).toHaveLength(1);
    act(() => screen.getByRole('button', { name: 'Bottom bracket' }).focus());
    await userEvent.keyboard('{ArrowUp}');
    expect(document.activeElement).not.toBe(screen.getByRole('button', { name: 'Bottom bracket' }));
    expect(document.activeElement).toHaveAttribute('data-place');
    expect(tabbable()).toEqual([document.activeElement]);
  });
  test('a sign of a place that this bicycle has not is left out', () => {
    draw({ signs: [{ place: 'disc.front', sign: 'unsafe' }], onOpen: () => undefined });
    expect(screen.queryByRole('button', { name: /disc/ })).toBeNull();
  });
  test('a picture without words is passed over by a screen reader', () => {
    const { container } = draw({ label: '', quiet: true });
    expect(container.querySelector('svg')).toHaveAttribute('aria-hidden', 'true');
  });
  test('what is off the bicycle is drawn as a dashed ghost', () => {
    const { container } = draw({ signs: [{ place: 'hub.front', sign: 'off' }] });
    expect(container.querySelectorAll('path[stroke-dasharray="9 8"]').length).toBeGreaterThan(0);
  });
});

describe('the spread of outcomes', () => {
  const bins = [
    { from: -2000, to: -1000, count: 3 },
    { from: -1000, to: 0, count: 5 },
    { from: 0, to: 1000, count: 9 },
  ];
  test('losses are hatched and the middle is named', () => {
    const { container } = render(<SpreadChart bins={bins} middle={200} currency="EUR" label="Profit" />);
    const fills = [...container.querySelectorAll('rect')].map((bar) => bar.getAttribute('fill'));
    expect(fills.filter((fill) => fill === 'url(#loss)')).toHaveLength(2);
    expect(screen.getByText('middle €2')).toBeInTheDocument();
  });
  test('a certain outcome is one bar with a width', () => {
    const { container } = render(
      <SpreadChart bins={[{ from: 500, to: 500, count: 10 }]} middle={500} currency="EUR" label="Profit" />,
    );
    expect(Number(container.querySelector('rect')!.getAttribute('width'))).toBeGreaterThan(0);
    expect(container.innerHTML).not.toMatch(/NaN|Infinity/);
  });
});
