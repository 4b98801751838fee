import { registry } from '@/core/registry';
import { reckonIn, SUBJECTS } from './subjects';

const ask = (id: string, input: unknown) => reckonIn(id, input, 'long');

test('the worker knows every calculator of the registry, each by the first word of its id, and no other', async () => {
  const known = await Promise.all(
    Object.entries(SUBJECTS).map(async ([name, load]) =>
      ((await load()).calculators as { id: string }[]).map(({ id }) => `${name}: ${id}`),
    ),
  );
  expect(known.flat().sort()).toEqual(registry.map(({ id }) => `${id.split('.')[0]}: ${id}`).sort());
});

test('a question is answered or refused as everywhere, and an id that nobody has is an error', async () => {
  await expect(ask('strip.turn', { fastener: 'pedal', side: 'left', action: 'loosen' })).resolves.toMatchObject({
    ok: true,
    output: { hand: 'left' },
  });
  await expect(ask('strip.turn', {})).resolves.toMatchObject({ ok: false });
  await expect(ask('strip.nothing', {})).rejects.toThrow('no calculator');
  await expect(ask('toString', {})).rejects.toThrow();
});

test('one that may take long is not begun among the quick ones', async () => {
  await expect(reckonIn('money.appraise', {}, 'quick')).resolves.toEqual({ lane: 'long' });
  await expect(reckonIn('strip.turn', {}, 'quick')).resolves.toMatchObject({ ok: false });
});
