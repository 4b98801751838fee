import Ajv2020 from 'ajv/dist/2020';
import addFormats from 'ajv-formats';
import { answer } from '@/core/calculator';
import { moneyResult } from '@/core/money/result';
import { applyCommand, type Command } from '../commands';
import { readPassport, passportHtml, passportRecord } from '../exchange/passport';
import { readWorkshopFile, workshopJsonSchema } from '../exchange/bundle';
import { newBicycle } from '../fresh';
import { mergeBicycles } from '../merge';
import { resultInput, spent } from '../money/questions';
import { USUAL_SETTINGS } from '../settings/usual';
import { billLines } from './billLines';
import { asHtml, asMarkdown, asText, paragraphs, sentencesNow } from './listingText';
import { missingShots, shotsInOrder, shotStep } from './shots';

const AT = '2026-11-25T10:00:00.000Z';
const done = (commands: Command[], at = AT, from = newBicycle('b', '2026-11-01T10:00:00.000Z', 'Grey racer')) =>
  commands.reduce(
    (bicycle, command, i) => applyCommand(bicycle, { id: `${at} ${i}`, bicycle: 'b', at, command }),
    from,
  );
const of = [
  { id: 'what' as const, text: 'A racer.' },
  { id: 'flaws' as const, text: 'Flaws: paint.' },
  { id: 'price' as const, text: '€290.' },
];

describe('the listing as it goes out', () => {
  test('what was written over stands, is told once the record moves on, and emptied it is left out', () => {
    const bicycle = done([
      { type: 'editSentence', sentence: 'what', edit: { text: 'A fast one.', of: 'A racer.' } },
      { type: 'editSentence', sentence: 'flaws', edit: { text: '', of: 'Flaws: paint.' } },
    ]);
    const now = sentencesNow(bicycle, { sentences: of });
    expect(now.map(({ text, isStale }) => [text, isStale])).toEqual([
      ['A fast one.', false],
      ['', false],
      ['€290.', false],
    ]);
    expect(paragraphs(now)).toEqual(['A fast one.', '€290.']);
    const moved = sentencesNow(bicycle, { sentences: [{ id: 'what', text: 'A steel racer.' }] });
    expect(moved[0]).toMatchObject({ text: 'A fast one.', isStale: true, of: 'A steel racer.' });
    expect(
      done([{ type: 'editSentence', sentence: 'what', edit: null }], '2026-11-26T10:00:00.000Z', bicycle).listingEdits
        .what,
    ).toBeUndefined();
  });

  test('as text, Markdown and a page: nothing of it is taken for a mark or a tag', () => {
    const now = sentencesNow(done([]), { sentences: [{ id: 'what', text: 'A <b>racer</b> & *more* [x](y)' }] });
    expect(asText('T', now)).toBe('T\n\nA <b>racer</b> & *more* [x](y)');
    expect(asMarkdown('T', now, ['01-a.jpg'])).toBe(
      '# T\n\nA \\<b\\>racer\\</b\\> & \\*more\\* \\[x\\](y)\n\n![1](01-a.jpg)\n',
    );
    expect(asHtml('T', now)).toContain('A &lt;b&gt;racer&lt;/b&gt; &amp; *more*');
  });

  test('shots in their order; the serial number stays in the file', () => {
    const photo = (id: string, step: string): Command => ({
      type: 'addPhoto',
      photo: { id, step, place: 'frame', at: AT },
    });
    const bicycle = done([
      photo('p1', shotStep('flaws')),
      photo('p2', shotStep('serial')),
      photo('p3', shotStep('drive-side')),
      photo('p4', shotStep('drive-side', 'before')),
    ]);
    expect(shotsInOrder(bicycle).map(({ id }) => id)).toEqual(['p3', 'p1']);
    expect(missingShots(bicycle).map(({ id }) => id)).not.toContain('drive-side');
    expect(missingShots(bicycle)).toHaveLength(5);
  });
});

test('tax in the price and what came back are in its result, to the cent, and in what was spent', () => {
  const bicycle = done([
    { type: 'recordPurchase', paid: 18_000, at: AT },
    { type: 'setSale', changes: { price: 30_000, on: '2026-11-25' } },
    { type: 'setDealing', changes: { scheme: 'margin', percent: 20 } },
    {
      type: 'putComeback',
      comeback: { id: 'c', at: AT, cause: 'Spoke', minutes: 40, parts: 150, refund: 1000 },
    },
  ]);
  const said = answer(moneyResult, resultInput(bicycle, { ...USUAL_SETTINGS, labourPerHour: 0 }));
  if (!said.ok) throw new Error('refused');
  expect(said.output.profit).toBe(30_000 - 18_000 - 2000 - 150 - 1000);
  expect(said.output.outlay).toBe(18_000 + 2000 + 150 + 1000);
  expect(spent(bicycle)).toBe(said.output.outlay);
  // Nobody said how the tax falls: none is guessed.
  const unsaid = answer(
    moneyResult,
    resultInput(done([{ type: 'setSale', changes: { price: 30_000 } }]), USUAL_SETTINGS),
  );
  expect(unsaid.ok && unsaid.output.charged).toBe(0);
});

describe('a passport', () => {
  const observation = {
    id: 'o',
    check: 'tyre-front',
    at: AT,
    evidence: { outcome: 'fine-cracks' },
    seenAs: 'bought' as const,
    note: '',
    withdrawn: false,
    stage: 'look-over' as const,
  };
  const mine = done([
    { type: 'recordPurchase', paid: 18_000, at: AT },
    { type: 'notePapers', changes: { serial: 'F1234', seller: 'Somebody of the harbour' } },
    { type: 'addObservation', observation },
    { type: 'putOffer', offer: { id: 'x', at: AT, amount: 29_000, who: 'A buyer', answer: null } },
  ]);
  const page = passportHtml(
    mine,
    { title: mine.name, head: ['Proved.'], sections: [{ title: 'Done', lines: ['Hub </script> & more'] }] },
    AT,
  );

  test('is a page that says what the sheet says, and tells nobody what it cost, who sold it, who offered', () => {
    expect(page).toContain('<h2>Done</h2>');
    expect(page).toContain('Hub &lt;/script&gt; &amp; more');
    for (const secret of ['18000', 'Somebody of the harbour', '29000', 'A buyer']) expect(page).not.toContain(secret);
    expect(page).toContain('F1234');
  });

  test('the record within it is as the published schema says', () => {
    const ajv = new Ajv2020({ strict: false });
    addFormats(ajv);
    const valid = ajv.compile(workshopJsonSchema() as object);
    expect([valid(readPassport(page)), valid.errors]).toEqual([true, null]);
  });

  test('comes back after a year and goes on: what was done there is here, and nothing private is lost', () => {
    const read = readWorkshopFile(readPassport(page));
    if (!read.ok) throw new Error(read.why);
    const elsewhere = done(
      [
        {
          type: 'addObservation',
          observation: { ...observation, id: 'o2', at: '2027-11-20T10:00:00.000Z', evidence: { outcome: 'worn' } },
        },
      ],
      '2027-11-20T10:00:00.000Z',
      read.file.bicycles[0],
    );
    const again = readWorkshopFile(
      readPassport(passportHtml(elsewhere, { title: 'x', head: [], sections: [] }, '2027-11-21T10:00:00.000Z')),
    );
    if (!again.ok) throw new Error(again.why);
    for (const home of [mergeBicycles(mine, again.file.bicycles[0]!), mergeBicycles(again.file.bicycles[0]!, mine)]) {
      expect(home.observations.map(({ id }) => id)).toEqual(['o', 'o2']);
      expect(home.purchase?.paid).toBe(18_000);
      expect(home.provenance).toMatchObject({ serial: 'F1234', seller: 'Somebody of the harbour' });
      expect(home.offers).toHaveLength(1);
      expect(home.conflicts).toEqual([]);
    }
  });

  test('in another workshop it is a bicycle with its history and no price', () => {
    const theirs = passportRecord(mine);
    expect(theirs.observations).toHaveLength(1);
    expect(theirs.purchase).toBeNull();
    expect(Object.keys(theirs.stamps).filter((leaf) => /purchase|offers|seller/.test(leaf))).toEqual([]);
  });

  test.each([
    ['<!doctype html><p>nothing'],
    ['<script type="application/json" id="ergasto-passport">{"a":</script>'],
    [''],
  ])('%s is none', (text) => {
    expect(readPassport(text)).toBeNull();
  });
});

test('a customer’s bill: each job’s parts and minutes beside its estimate, what was found on the way, and what went on no job', () => {
  const job = (id: string, approvedAt: string): Command[] => [
    {
      type: 'decideJob',
      job: {
        id,
        rule: null,
        title: `Job ${id}`,
        place: 'chain',
        minutes: { low: 20, likely: 30, high: 40 },
        parts: { low: 400, likely: 500, high: 600 },
        decision: 'keep',
        reason: '',
        done: false,
        approval: { answer: 'yes', words: '', at: approvedAt },
        declined: null,
      },
    },
  ];
  const bicycle = done([
    ...job('a', '2026-11-20T10:00:00.000Z'),
    ...job('b', '2026-11-26T10:00:00.000Z'),
    { type: 'finishJob', job: 'a', done: true },
    { type: 'putLine', line: { id: 'l', label: 'Links', kind: 'part', paid: 500, packQty: 10, usedQty: 2, job: 'a' } },
    { type: 'putLine', line: { id: 'm', label: 'Rag', kind: 'consumable', paid: 30, packQty: 1, usedQty: 1 } },
    { type: 'putMinutes', entry: { id: 't', stage: 'rebuild', minutes: 30, at: AT, place: null, job: 'a' } },
  ]);
  const { lines, besides, total } = billLines(bicycle, 4000);
  expect(lines.map(({ id, came, low, high, isOnTheWay }) => [id, came, low, high, isOnTheWay])).toEqual([
    ['a', 2100, 1733, 3267, false],
    ['b', 0, 1733, 3267, true],
  ]);
  expect([besides, total]).toEqual([30, 2130]);
});
