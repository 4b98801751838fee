import fc from 'fast-check';
import { runs } from '../../../tests/runs';
import { fromSchema } from '../../../tests/fromSchema';
import { answer } from '../calculator';
import { moneyAsk } from '../money/ask';
import { dealerTax, sellTax } from './dealerTax';
import { sellListing, type Listing } from './listing';
import { mayNotSay } from './mayNotSay';
import { daysBetween, daysLater } from '../days';
import { sellOffers } from './offersSay';
import { staleOn, USUAL_STALE_PRICE } from './staleRule';

function list(of: object): Listing {
  const said = answer(sellListing, { name: 'Green tourer', ...of });
  if (!said.ok) throw new Error(JSON.stringify(said.errors));
  return said.output;
}
const textOf = ({ sentences }: Listing) => sentences.map(({ text }) => text).join(' ');
const idsOf = ({ sentences }: Listing) => sentences.map(({ id }) => id);

describe('what a seller may not say', () => {
  test.each([
    ['Safe to ride', 'safe'],
    ['rides like  NEW', 'like new'],
    ['a perfect, mint frame', 'mint'],
    ['brakes are SAFE.', 'safe'],
    ['accident-free', 'accident free'],
  ])('%s', (text, word) => expect(mayNotSay(text)).toBe(word));
  test.each(['unsafe', 'safeguard', 'newly painted, like other tourers', 'minted in 1987? no: made', 'imperfect'])(
    '%s may stand',
    (text) => expect(mayNotSay(text)).toBeNull(),
  );
});

describe('the listing', () => {
  test('of a bicycle of which nothing is known but what it is: one sentence, and what a buyer will ask', () => {
    const bare = list({});
    expect(idsOf(bare)).toEqual(['what']);
    expect(bare.missing.join(' ')).toMatch(/size.*How old.*price.*done/s);
  });

  test('says each thing that the record knows, in both tones', () => {
    const whole = {
      sizeMm: 560,
      use: 'touring',
      riderMm: { low: 1700, high: 1820 },
      age: { from: 1984, to: 1988, by: ['Indexed shifters'] },
      done: ['Overhaul the front hub'],
      renewed: ['Brake cables'],
      measured: [{ label: 'Rear rim, runout', before: '1.4 mm', after: '0.3 mm' }],
      flaws: ['Paint: chipped at the fork'],
      notOriginal: ['Saddle'],
      way: 'ready',
      provedOn: '2026-11-20',
      forWhom: 'Good for a first tour',
      options: [{ label: 'Pedals', price: '+ €20' }],
      answers: [{ asked: 'Does it take 35 mm tyres?', answer: 'Yes, with 4 mm beside them' }],
      price: '€290',
    };
    for (const tone of ['plain', 'warm']) {
      const text = textOf(list({ ...whole, tone }));
      for (const word of [
        '56 cm',
        '1.70 m',
        '1984',
        'indexed shifters',
        'overhaul the front hub',
        'brake cables',
        '0.3 mm (was 1.4 mm)',
        'chipped',
        'saddle',
        '20 November 2026',
        'first tour',
        '+ €20',
        '4 mm beside',
        '€290',
      ])
        expect(text).toContain(word);
    }
    expect(idsOf(list({ ...whole, length: 'short' }))).not.toContain('measured');
    expect(
      list({ ...whole, way: 'as-it-is', provedOn: null, open: ['Rear brake: unsafe'] }).sentences.find(
        ({ id }) => id === 'state',
      )!.text,
    ).toMatch(/not roadworthy, not to be ridden. Open: rear brake/);
    expect(textOf(list({ ...whole, way: null, provedOn: null }))).not.toMatch(/proved|signed/);
  });

  test('never says what the record does not know, nor what a seller may not say: whatever the record holds', () => {
    const words = fc.oneof(
      fc.string({ minLength: 1, maxLength: 30 }),
      fc.constantFrom('safe as a house', 'Like New', 'perfect', 'a plain word', 'mint green', 'guaranteed'),
    );
    const any = fromSchema(sellListing.input).filter((made) => sellListing.input.safeParse(made).success);
    fc.assert(
      fc.property(any, fc.array(words, { maxLength: 4 }), words, (made, items, word) => {
        const question = { ...(made as object), done: items.filter((each) => each.trim()), forWhom: word };
        const said = answer(sellListing, question);
        if (!said.ok) return;
        const listing = said.output;
        const known = sellListing.input.parse(question);
        expect(mayNotSay(textOf(listing))).toBeNull();
        expect(mayNotSay(listing.title)).toBeNull();
        const has = new Set(idsOf(listing));
        const never = (id: string, unknown: boolean) => unknown && expect(has.has(id as never)).toBe(false);
        never('fit', known.sizeMm === null);
        never('age', known.age === null);
        never('done', known.done.length === 0);
        never('renewed', known.renewed.length === 0);
        never('flaws', known.flaws.length === 0);
        never('price', known.price === null);
        never('options', known.options.length === 0);
        never('state', known.provedOn === null && known.way !== 'as-it-is' && known.way !== 'parts');
        // What was left out is told, and each thing that may be said is there.
        for (const each of known.flaws)
          if (mayNotSay(each) === null) expect(textOf(listing).toLowerCase()).toContain(each.toLowerCase());
        for (const { text, word: why } of listing.leftOut) expect(mayNotSay(text)).toBe(why);
      }),
      { numRuns: runs(1500, 250) },
    );
  });
});

describe('the price to ask', () => {
  const ask = (more: object = {}) => {
    const said = answer(moneyAsk, {
      usual: 30_000,
      soldPerDay: 1 / 14,
      steepness: 10,
      fee: { percent: 0 },
      heldPerDay: 100,
      ...more,
    });
    if (!said.ok) throw new Error(JSON.stringify(said.errors));
    return said.output;
  };
  test('300.00, one in fourteen days, a day at 1.00: 322.9', () => {
    expect(ask().ask / 100).toBeCloseTo(322.9, 1);
  });

  test('no other price leaves more; a dearer place and a fee bring it down', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2000, max: 500_000 }),
        fc.integer({ min: 1, max: 90 }),
        fc.integer({ min: 2, max: 30 }),
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 0, max: 30 }),
        (usual, days, steepness, heldPerDay, percent) => {
          const found = ask({ usual, soldPerDay: 1 / days, steepness, heldPerDay, fee: { percent } });
          for (const { net } of found.curve) expect(net).toBeLessThanOrEqual(found.expectedNet + 1);
          expect(
            ask({ usual, soldPerDay: 1 / days, steepness, heldPerDay: 2 * heldPerDay, fee: { percent } }).ask,
          ).toBeLessThanOrEqual(found.ask);
        },
      ),
      { numRuns: runs(300, 60) },
    );
    expect(answer(moneyAsk, { usual: 30_000, soldPerDay: 1, heldPerDay: 0 }).ok).toBe(false);
  });

  test('two at the full price within a day: too low; none as long as the house lets it stand: stale', () => {
    const at = (hours: number, amount: number) => ({
      at: new Date(Date.UTC(2026, 10, 20, hours)).toISOString(),
      amount,
    });
    const said = (offers: object[], askedOn: string, today: string, rule: object = {}) => {
      const asked = { offers, ask: 30_000, askedOn, today, stalePrice: { ...USUAL_STALE_PRICE, ...rule } };
      const told = answer(sellOffers, asked);
      if (!told.ok) throw new Error(JSON.stringify(told.errors));
      return told.output;
    };
    expect(said([at(8, 30_000), at(20, 30_000)], '2026-11-20', '2026-11-21').verdict).toBe('too-low');
    expect(said([at(8, 30_000), at(40, 30_000)], '2026-11-20', '2026-11-23').verdict).toBe('open');
    expect(said([at(8, 25_000), at(9, 25_000)], '2026-11-20', '2026-11-21').verdict).toBe('open');
    // Two weeks in season, four out of it.
    expect(said([], '2026-05-01', '2026-05-14').verdict).toBe('open');
    expect(said([], '2026-05-01', '2026-05-15').verdict).toBe('stale');
    expect(said([], '2026-11-01', '2026-11-28').verdict).toBe('open');
    expect(said([], '2026-11-01', '2026-11-29').verdict).toBe('stale');
    // Half of it out of season, half in: seven days of fourteen, fourteen of twenty-eight.
    expect(said([], '2026-02-15', '2026-02-20').staleOn).toBe('2026-03-08');
    // A season over the new year, as in the south.
    expect(said([], '2026-12-25', '2027-01-01', { fromMonth: 9, toMonth: 2 }).staleOn).toBe('2027-01-08');
  });
  test('a price named later is never stale sooner, and no price is stale on its first day', () => {
    const day = fc.integer({ min: 0, max: 800 }).map((days) => daysLater('2026-01-01', days));
    const days = fc.integer({ min: 1, max: 90 });
    const month = fc.integer({ min: 1, max: 12 });
    const rule = fc.record({ inSeasonDays: days, outOfSeasonDays: days, fromMonth: month, toMonth: month });
    fc.assert(
      fc.property(day, rule, (from, stale) => {
        const on = staleOn(from, stale);
        expect(on > from).toBe(true);
        expect(staleOn(daysLater(from, 1), stale) >= on).toBe(true);
        const least = Math.min(stale.inSeasonDays, stale.outOfSeasonDays);
        const most = Math.max(stale.inSeasonDays, stale.outOfSeasonDays);
        expect(daysBetween(from, on)).toBeGreaterThanOrEqual(least);
        expect(daysBetween(from, on)).toBeLessThanOrEqual(most);
      }),
      { numRuns: runs(300, 60) },
    );
  });
});

describe('dealer’s tax', () => {
  test('on all of 300.00 at 20 %: 50.00; on the margin over 180.00: 20.00; none: nothing', () => {
    expect(dealerTax({ scheme: 'all', percent: 20, price: 30_000, bought: 18_000 })).toEqual({
      tax: 5000,
      net: 25_000,
    });
    expect(dealerTax({ scheme: 'margin', percent: 20, price: 30_000, bought: 18_000 })).toEqual({
      tax: 2000,
      net: 28_000,
    });
    expect(dealerTax({ scheme: 'none', percent: 20, price: 30_000 })).toEqual({ tax: 0, net: 30_000 });
  });
  test('sums agree to the cent, and sold under what was paid there is no margin to tax', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('none' as const, 'all' as const, 'margin' as const),
        fc.integer({ min: 0, max: 99 }),
        fc.integer({ min: 0, max: 1_000_000 }),
        fc.integer({ min: 0, max: 1_000_000 }),
        (scheme, percent, price, bought) => {
          const said = answer(sellTax, { scheme, percent, price, bought });
          if (!said.ok) throw new Error('refused');
          const { tax, net } = said.output;
          expect(tax + net).toBe(price);
          expect(Number.isInteger(tax) && tax >= 0).toBe(true);
          if (scheme === 'margin' && price <= bought) expect(tax).toBe(0);
        },
      ),
      { numRuns: runs(300, 80) },
    );
  });
});
