import { answer } from '../calculator';
import { proveProofs } from './proofs';

function proofsOf(kind: object) {
  const result = answer(proveProofs, { kind });
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.output.proofs;
}

test('one without gears is not asked whether it shifts, and brakes and steering are proved on every bicycle', () => {
  const geared = proofsOf({ gears: 'derailleur' });
  const single = proofsOf({ gears: 'single' });
  expect(single.length).toBeLessThan(geared.length);
  for (const proofs of [geared, single])
    expect(proofs.map(({ id }) => id)).toEqual(expect.arrayContaining(['brakes-anchor', 'steering', 'play']));
});

test('what is of safety at the stand leans on places, since work on these reopens it', () => {
  for (const proof of proofsOf({}))
    if (proof.safety && proof.kind === 'stand') expect([proof.id, proof.leansOn.length > 0]).toEqual([proof.id, true]);
});

test('brakes and steering are signed by another person where the house asks', () => {
  const second = proofsOf({}).filter((proof) => proof.second);
  expect(second.map(({ id }) => id)).toEqual(expect.arrayContaining(['brakes-anchor', 'steering']));
});

test('a kind that nobody knows is refused', () =>
  expect(answer(proveProofs, { kind: { gears: 'belt' } })).toMatchObject({ ok: false }));
