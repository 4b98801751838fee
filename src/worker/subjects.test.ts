import { registry } from '@/core/registry';
import { reckonIn, SUBJECTS } from './subjects';

test('the worker knows every calculator of the registry, each by the first word of its id, and no other', async () => {
  const known = await Promise.all(
    Object.entries(SUBJECTS).map(async ([name, load]) =>
      ((await load()).calculators as { id: string }[]).map(({ id }) => `${name}: ${id}`),
    ),
  );
  expect(known.flat().sort()).toEqual(registry.map(({ id }) => `${id.split('.')[0]}: ${id}`).sort());
});

test('a question is answered or refused as everywhere, and an id that nobody has is an error', async () => {
  await expect(reckonIn('strip.turn', { fastener: 'pedal', side: 'left', action: 'loosen' })).resolves.toMatchObject({
    ok: true,
    output: { hand: 'left' },
  });
  await expect(reckonIn('strip.turn', {})).resolves.toMatchObject({ ok: false });
  await expect(reckonIn('strip.nothing', {})).rejects.toThrow('no calculator');
  await expect(reckonIn('toString', {})).rejects.toThrow();
});
