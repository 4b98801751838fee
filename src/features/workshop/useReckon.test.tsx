import { act, render, screen, waitFor } from '@testing-library/react';
import { useLayoutEffect } from 'react';
import { createRoot } from 'react-dom/client';
import { askOnce, keyOf } from './askOnce';
import { useReckon } from './useReckon';

const asked: { input: unknown; resolve(value: unknown): void; reject(reason: Error): void }[] = [];
jest.mock('@/worker/client', () => ({
  reckoner: () => ({
    reckon: (_caller: string, _id: string, input: unknown) =>
      new Promise((resolve, reject) => asked.push({ input, resolve, reject })),
    cancel: () => undefined,
  }),
}));

function Shown({ question }: { question: number }) {
  const { output, failed, pending } = useReckon('buy.age', { features: [], thisYear: question });
  // What it answers is what the test says.
  return <p>{failed ? 'failed' : pending && !output ? 'asking' : (output as unknown as string)}</p>;
}
const said = () => screen.getByText(/./).textContent;
const last = () => asked.at(-1)!;
/** The worker is started with the first question. */
const isAsked = (count: number) => waitFor(() => expect(asked).toHaveLength(count));

test('a question that failed does not stand for the next one, and an answer stands until the next is there', async () => {
  const { rerender } = render(<Shown question={1} />);
  expect(said()).toBe('asking');
  await isAsked(1);
  await act(() => Promise.resolve(last().reject(new Error('broke'))));
  expect(said()).toBe('failed');
  rerender(<Shown question={2} />);
  expect(said()).toBe('asking');
  await isAsked(2);
  await act(() => Promise.resolve(last().resolve({ ok: true, output: 'two' })));
  expect(said()).toBe('two');
  rerender(<Shown question={3} />);
  expect(said()).toBe('two');
  await isAsked(3);
  await act(() => Promise.resolve(last().resolve({ ok: true, output: 'three' })));
  expect(said()).toBe('three');
});

test('an answer that another view had between drawing and asking is shown', async () => {
  const theirs = askOnce('another view', keyOf('buy.age', { features: [], thisYear: 4 }));
  await waitFor(() => expect(last().input).toMatchObject({ thisYear: 4 }));
  const there = last();
  /** Answered once this is drawn, before what it asks is asked. */
  function Drawn() {
    useLayoutEffect(() => there.resolve({ ok: true, output: 'four' }), []);
    return <Shown question={4} />;
  }
  const acting = globalThis as { IS_REACT_ACT_ENVIRONMENT?: boolean };
  acting.IS_REACT_ACT_ENVIRONMENT = false;
  const into = document.body.appendChild(document.createElement('div'));
  const root = createRoot(into);
  try {
    root.render(<Drawn />);
    await theirs;
    await new Promise((resolve) => setTimeout(resolve, 50));
    expect(into.textContent).toBe('four');
  } finally {
    root.unmount();
    acting.IS_REACT_ACT_ENVIRONMENT = true;
  }
});
