import told from '@/model/demo/lantern.json';
import { demoWorkshop } from '@/model/demo/workshop';
import { changedSince } from '@/model/prove/paper';
import { agreesWithItsSum } from '@/model/prove/sum';
import { lawOf } from '../tests/wholeBicycle';
import { linesOf, signedDemo } from './signedDemo';

const now = new Date('2027-03-01T09:00:00.000Z');
const signed = demoWorkshop(now).bicycles.find((bicycle) => bicycle.signed.length > 0)!;
const today = '2027-03-01';

test('what stands in the file is what the calculators tell', () => expect(told).toEqual(signedDemo()));

test('one bicycle of the demonstration is proved, signed and ready, on whatever day it is looked at', () => {
  expect(lawOf(signed, today).ready.missing.filter(({ blocks }) => blocks)).toEqual([]);
  expect(signed.signed.map(agreesWithItsSum)).toEqual([true]);
  expect(changedSince(signed.signed[0]!.lines, linesOf(signed, today))).toEqual([]);
});
