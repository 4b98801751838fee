import { newBicycle } from '@/model/fresh';
import { USUAL_SETTINGS } from '@/model/settings/usual';
import { memoryBrowser } from '../../tests/memoryBrowser';

const AT = '2026-11-25T10:00:00.000Z';

async function shelf() {
  const browser = memoryBrowser();
  const workshop = browser.tab(1);
  await workshop.load(() => ({ bicycles: [newBicycle('b1', AT, 'Green tourer')], settings: USUAL_SETTINGS }));
  return { browser, workshop };
}

test('a bicycle that is only glanced at is read whole, and nothing of it is kept open', async () => {
  const { workshop } = await shelf();
  expect(await workshop.peek('b1')).toMatchObject({ name: 'Green tourer' });
  expect(workshop.store.getState().bicycles).toEqual({});
  expect(await workshop.peek('nobody')).toBeNull();
});

test('nothing is changed before a bicycle was opened, and all of it after', async () => {
  const { browser, workshop } = await shelf();
  workshop.send('b1', { type: 'renameBicycle', name: 'Blue tourer' });
  await workshop.settled();
  expect(browser.database.records.get('b1')).toMatchObject({ name: 'Green tourer' });
  await workshop.open('b1');
  workshop.send('b1', { type: 'renameBicycle', name: 'Blue tourer' });
  expect(workshop.store.getState().bicycles.b1).toMatchObject({ name: 'Blue tourer' });
  await workshop.settled();
  expect(browser.database.records.get('b1')).toMatchObject({ name: 'Blue tourer' });
});

test('what an earlier page left in the journal is written when the next one starts, though nobody opens the bicycle', async () => {
  const { browser, workshop } = await shelf();
  await workshop.open('b1');
  const failing = jest.spyOn(browser.database, 'writeBicycle').mockRejectedValue(new Error('full'));
  workshop.send('b1', { type: 'renameBicycle', name: 'Blue tourer' });
  await workshop.settled();
  failing.mockRestore();
  const next = browser.tab(2);
  await next.load();
  await next.settled();
  expect(browser.database.records.get('b1')).toMatchObject({ name: 'Blue tourer' });
  expect(next.store.getState().bicycles).toEqual({});
});
