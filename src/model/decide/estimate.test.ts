import type { ProposedJob } from '@/core/decide/jobs';
import { estimateLines, estimateText, priceWords } from './estimate';
import { newBicycle } from '../fresh';
import { USUAL_SETTINGS } from '../settings/usual';
import type { Job } from './part';

const AT = '2026-11-25T10:00:00.000Z';
const proposal = (rule: string, need: ProposedJob['need'], more: Partial<ProposedJob> = {}): ProposedJob => ({
  rule,
  title: `Do ${rule}`,
  place: 'chain',
  check: 'chain',
  why: '',
  because: 'Chain: worn',
  also: [],
  aka: [],
  need,
  minutes: { low: 15, likely: 25, high: 40 },
  parts: { low: 1200, likely: 1800, high: 3200 },
  alternatives: null,
  reactions: [],
  ...more,
});
const job = (id: string, more: Partial<Job> = {}): Job => ({
  id,
  rule: id,
  title: `Do ${id}`,
  place: 'chain',
  minutes: { low: 15, likely: 25, high: 40 },
  parts: { low: 1200, likely: 1800, high: 3200 },
  decision: 'keep',
  reason: '',
  done: false,
  approval: null,
  declined: null,
  ...more,
});
const bicycle = (jobs: Job[] = []) => ({ ...newBicycle('b', AT, 'Harbour mixte'), customer: 'Ilse', jobs });

describe('an estimate', () => {
  test('parts and work at the customer’s hour: 12 to 32 and 15 to 40 minutes at 36 come to 21 to 56', () => {
    const [line] = estimateLines(bicycle(), [proposal('chain', 'needed')], 3600);
    expect(line).toMatchObject({ low: 2100, high: 5600, need: 'needed', approval: null });
  });
  test('the ordinary work of a resale is no line of it, nor is what is left alone, nor the other way of a job', () => {
    const proposed = [
      proposal('ordinary', 'needed'),
      proposal('hub-front-leave', 'leave'),
      proposal('hub-front-swap', 'alternative'),
      proposal('wax', 'cosmetic'),
    ];
    expect(estimateLines(bicycle(), proposed, 0).map((line) => line.id)).toEqual(['wax']);
    const taken = bicycle([job('hub-front-swap')]);
    expect(estimateLines(taken, proposed, 0).map((line) => [line.id, line.need])).toContainEqual([
      'hub-front-swap',
      'needed',
    ]);
  });
  test('what the owner declined stays on it with the word; what the workshop dropped does not', () => {
    const approval = { answer: 'no' as const, words: 'too dear', at: AT };
    const jobs = [
      job('chain', { decision: 'drop', approval }),
      job('cogs', { decision: 'drop', reason: 'done already' }),
    ];
    const lines = estimateLines(bicycle(jobs), [proposal('chain', 'needed'), proposal('cogs', 'needed')], 0);
    expect(lines.map((line) => [line.id, line.approval?.answer])).toEqual([['chain', 'no']]);
  });
  test('a job from a complaint or by hand is a line too', () => {
    expect(estimateLines(bicycle([job('fault-pawls', { rule: null })]), [], 0)).toMatchObject([{ need: 'needed' }]);
  });
  test('only what the road asks for stands under it: a bell put down by hand was asked for', () => {
    const lines = estimateLines(bicycle([job('bell', { rule: null })]), [proposal('chain', 'needed')], 0);
    expect(lines.map(({ id, need }) => [id, need])).toEqual([
      ['chain', 'needed'],
      ['bell', 'asked'],
    ]);
  });
  test('no line goes "to nothing"; work without a rate is said to be without a price, and so is the whole', () => {
    const say = (minor: number) => `EUR ${(minor / 100).toFixed(2)}`;
    const words = (low: number, high: number, unpriced = false) => priceWords({ low, high, unpriced }, say);
    expect([words(0, 0), words(0, 0, true), words(0, 1200), words(500, 500), words(500, 900, true)]).toEqual([
      'without charge',
      'work, not priced',
      'up to EUR 12.00',
      'EUR 5.00',
      'EUR 5.00 to EUR 9.00 and work',
    ]);
    const unpriced = { ...USUAL_SETTINGS, customerPerHour: 0 };
    const lines = estimateLines(bicycle([]), [proposal('chain', 'needed')], 0);
    const text = estimateText(bicycle([]), lines, unpriced, '25 November 2026', { looked: 45, of: 45 });
    expect(text).toContain('No hour of work has a price yet');
    expect(text).toContain('All 45 places were looked at');
    expect(text).not.toMatch(/to EUR 0\.00/);
  });
  test('as a file it names workshop, owner, each group and every word', () => {
    const jobs = [job('chain', { approval: { answer: 'yes', words: '', at: AT } })];
    const lines = estimateLines(bicycle(jobs), [proposal('chain', 'needed'), proposal('wax', 'cosmetic')], 3600);
    const text = estimateText(bicycle(jobs), lines, { ...USUAL_SETTINGS, name: 'Ticket hall' }, '25 November 2026', {
      looked: 23,
      of: 45,
    });
    for (const words of [
      'Estimate: Harbour mixte',
      'Ticket hall',
      'for Ilse',
      '23 of 45 places were looked at',
      'Needed: it should not go on the road without these',
      '[approved]',
      'For its looks',
      'EUR 21.00 to EUR 56.00',
    ])
      expect(text).toContain(words);
  });
});
