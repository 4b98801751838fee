import { exportOf, MaliciousShop } from '../../../tests/maliciousShop';
import { runs } from '../../../tests/runs';
import { lawOf } from '../../../tests/wholeBicycle';

test('an engine that means ill, pages that die and a folder that is emptied: all that was entered is everywhere, exports are the same, nothing is asked twice, and the law says the same', async () => {
  for (let seed = 1; seed <= runs(200, 8); seed++) {
    const shop = new MaliciousShop(seed);
    await shop.begin(5);
    for (let step = 0; step < 70; step++) await shop.step();
    await shop.settle();
    const [first, ...others] = shop.members;
    for (const { device } of shop.members) {
      for (const [bicycle, note] of shop.written)
        expect(device.shown(bicycle)!.notes.map(({ id }) => id)).toContain(note);
      expect(device.workshop.store.getState().stock.pads!.quantity).toBe(shop.pads);
    }
    for (const each of others) expect(exportOf(each)).toBe(exportOf(first!));
    await shop.answerAll(first!);
    for (let again = 0; again < 2; again++) {
      await shop.settle();
      for (const each of shop.members) {
        expect(['b0', 'b1'].map((id) => each.device.shown(id)!.conflicts.length)).toEqual([0, 0]);
        expect(each.device.share().questions()).toEqual([]);
        expect(exportOf(each)).toBe(exportOf(first!));
      }
    }
    const laws = shop.members.map(({ device }) => lawOf(device.shown('b0')!, '2026-11-25').ready);
    for (const law of laws) expect(law).toEqual(laws[0]);
    expect(laws[0]!.ready).toBe(false);
  }
}, 600_000);
