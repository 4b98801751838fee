import { harmedFolder, pads, shareDevice, type ShareDevice } from '../../../tests/shareDevice';

const AT = '2026-11-25T10:00:00.000Z';
const stockOf = ({ workshop }: ShareDevice) => workshop.store.getState().stock;
const settingsOf = ({ workshop }: ShareDevice) => workshop.store.getState().settings;
async function rounds(...devices: ShareDevice[]): Promise<void> {
  for (let round = 0; round < 2; round++)
    for (const each of devices) {
      await each.turn();
      await each.workshop.reload();
    }
}
async function three() {
  const folder = harmedFolder();
  const all = [
    await shareDevice('laptop', folder),
    await shareDevice('phone', folder),
    await shareDevice('bench', folder),
  ] as const;
  return { folder, all };
}
/** Takes so many out of the drawer on one device. */
const take = async (device: ShareDevice, count: number, at: string) => {
  const row = stockOf(device).pads!;
  const quantity = row.quantity - count;
  const cost = Math.round(row.cost! - (row.cost! * count) / row.quantity);
  await device.workshop.putStock([{ ...row, quantity, cost, at, goneAt: quantity === 0 ? at : null }]);
};

describe('the drawer among several hands', () => {
  test('two who each take a pair have taken two, and their cost; a third who joins sees what is left', async () => {
    const { all } = await three();
    const [a, b, c] = all;
    await a.workshop.putStock([pads()]);
    await rounds(a, b);
    await take(a, 1, '2026-11-26T10:00:00.000Z');
    await take(b, 1, '2026-11-26T09:00:00.000Z');
    await rounds(a, b, c);
    for (const each of all) expect(stockOf(each).pads).toMatchObject({ quantity: 2, cost: 1000, goneAt: null });
    expect(JSON.stringify(b.database.settings.get('stock'))).toBe(JSON.stringify(a.database.settings.get('stock')));
    expect(a.share().questions()).toEqual([]);
  });

  test('more was taken than was there: it stands at none, and somebody is asked to count once', async () => {
    const { all } = await three();
    const [a, b] = all;
    await a.workshop.putStock([pads({ quantity: 2, cost: 1000 })]);
    await rounds(a, b);
    await take(a, 2, '2026-11-26T10:00:00.000Z');
    await take(b, 1, '2026-11-26T09:00:00.000Z');
    await rounds(a, b);
    for (const each of [a, b]) {
      expect(stockOf(each).pads).toMatchObject({ quantity: 0 });
      expect(each.share().questions()).toEqual([{ is: 'short', item: 'pads', label: 'Brake pads, pair', by: 1 }]);
    }
    // Counting answers it too: one was found behind the drawer.
    await a.workshop.putStock([{ ...stockOf(a).pads!, quantity: 1, at: '2026-11-27T10:00:00.000Z', goneAt: null }]);
    await rounds(a, b);
    for (const each of [a, b]) {
      expect(stockOf(each).pads).toMatchObject({ quantity: 1, goneAt: null });
      expect(each.share().questions()).toEqual([]);
    }
  });

  test('none is left, says whoever is asked, and it is so everywhere', async () => {
    const { all } = await three();
    const [a, b] = all;
    await a.workshop.putStock([pads({ quantity: 1, cost: 500 })]);
    await rounds(a, b);
    await take(a, 1, '2026-11-26T10:00:00.000Z');
    await take(b, 1, '2026-11-26T09:00:00.000Z');
    await rounds(a, b);
    await b.share().answer(b.share().questions()[0]!, null);
    await rounds(b, a);
    expect([a, b].map((each) => each.share().questions())).toEqual([[], []]);
    expect([a, b].map((each) => stockOf(each).pads!.quantity)).toEqual([0, 0]);
    // From then on it is counted from nought.
    await b.workshop.putStock([{ ...stockOf(b).pads!, quantity: 3, at: '2026-11-28T10:00:00.000Z', goneAt: null }]);
    await rounds(b, a);
    expect(stockOf(a).pads!.quantity).toBe(3);
  });

  test('a page that dies between telling and writing counts nothing twice', async () => {
    const { folder, all } = await three();
    const [a, b] = all;
    await a.workshop.putStock([pads()]);
    await rounds(a, b);
    folder.away = true;
    await take(a, 1, '2026-11-26T10:00:00.000Z');
    await a.turn();
    await a.reopen();
    await take(a, 1, '2026-11-26T11:00:00.000Z');
    await a.turn();
    folder.away = false;
    await rounds(a, b);
    expect(stockOf(b).pads).toMatchObject({ quantity: 2 });
  });

  test('what was thrown away stays thrown away, with how many there were', async () => {
    const { all } = await three();
    const [a, b] = all;
    await a.workshop.putStock([pads()]);
    await rounds(a, b);
    await b.workshop.putStock([{ ...stockOf(b).pads!, at: '2026-11-26T10:00:00.000Z', goneAt: AT }]);
    await rounds(b, a);
    expect(stockOf(a).pads).toMatchObject({ quantity: 4, goneAt: AT });
  });
});

describe('house rules among several hands', () => {
  test('each adds somebody who works here: both do; what one changed the others have', async () => {
    const { all } = await three();
    const [a, b] = all;
    await rounds(a, b);
    const add =
      (id: string, name: string) =>
      ({ people }: { people: { id: string; name: string }[] }) => ({
        people: [...people, { id, name }],
      });
    await a.workshop.changeSettings(add('ada', 'Ada'));
    await b.workshop.changeSettings(add('bo', 'Bo'));
    await a.workshop.changeSettings({ secondEyes: true, labourPerHour: 1200 });
    await rounds(...all);
    for (const each of all) {
      expect(
        settingsOf(each)
          .people.map(({ name }) => name)
          .toSorted(),
      ).toEqual(['Ada', 'Bo', 'The mechanic']);
      expect(settingsOf(each)).toMatchObject({ secondEyes: true, labourPerHour: 1200 });
      expect(settingsOf(each)).toEqual(settingsOf(a));
    }
    // Whoever leaves is gone everywhere, and the first stays the first.
    await b.workshop.changeSettings(({ people }) => ({ people: people.filter(({ id }) => id !== 'ada') }));
    await rounds(...all);
    expect(settingsOf(a).people.map(({ id }) => id)).toEqual(['one', 'bo']);
  });

  test('one figure changed by two without knowing: the later stands, it is asked once, and the answer goes to all', async () => {
    const { all } = await three();
    const [a, b] = all;
    await rounds(a, b);
    await a.workshop.changeSettings({ customerPerHour: 3000 });
    await b.workshop.changeSettings({ customerPerHour: 3600 });
    await rounds(...all);
    const asked = a.share().questions();
    expect(asked).toMatchObject([{ is: 'differs', record: 'settings', leaf: 'customerPerHour' }]);
    expect(b.share().questions()).toEqual(asked);
    await b.share().answer(asked[0]!, 3000);
    await rounds(b, a, all[2]);
    for (const each of all) {
      expect(settingsOf(each).customerPerHour).toBe(3000);
      expect(each.share().questions()).toEqual([]);
    }
  });

  test('a pin that two put stands as it was put later, and nobody is asked', async () => {
    const { all } = await three();
    const [a, b] = all;
    await rounds(a, b);
    await a.workshop.changeSettings({ pins: { 'b/job:x': AT } });
    await b.workshop.changeSettings({ pins: { 'b/job:x': '2026-12-01T10:00:00.000Z' } });
    await rounds(a, b);
    expect(a.share().questions()).toEqual([]);
    expect(settingsOf(a).pins).toEqual(settingsOf(b).pins);
  });

  test('settings that a newer release wrote are left as they are here', async () => {
    const { folder, all } = await three();
    const [a] = all;
    await a.workshop.changeSettings({ labourPerHour: 900 });
    await rounds(a);
    const { shareText } = await import('@/model/share/shareText');
    const { sumOf } = await import('../../../tests/maliciousFolder');
    const { bytesOf } = await import('./folder');
    const changes = [
      { record: 'settings', leaf: 'labourPerHour', value: 'much', stamp: '2040-01-01T00:00:00.000Z z', over: [] },
    ];
    folder.files.set('z.json', bytesOf(shareText({ kind: 'batch', writer: 'z.1', number: 1, changes }, sumOf)));
    await rounds(a);
    expect(settingsOf(a).labourPerHour).toBe(900);
  });
});
