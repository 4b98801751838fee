import type { ProposedJob } from '@/core/decide/jobs';
import { estimateLines, estimateText } from './estimate';
import { newBicycle, USUAL_SETTINGS } from './fresh';
import type { Job } from './record';

const AT = '2026-11-25T10:00:00.000Z';
const proposal = (rule: string, need: ProposedJob['need'], more: Partial<ProposedJob> = {}): ProposedJob => ({
  rule,
  title: `Do ${rule}`,
  place: 'chain',
  check: 'chain',
  why: '',
  because: 'Chain: worn',
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
    expect(estimateLines(bicycle([job('fault-pawls', { rule: null })]), [], 0)).toHaveLength(1);
  });
  test('as a file it names workshop, owner, each group and every word', () => {
    const jobs = [job('chain', { approval: { answer: 'yes', words: '', at: AT } })];
    const lines = estimateLines(bicycle(jobs), [proposal('chain', 'needed'), proposal('wax', 'cosmetic')], 3600);
    const text = estimateText(bicycle(jobs), lines, { ...USUAL_SETTINGS, name: 'Ticket hall' }, '25 November 2026');
    for (const words of [
      'Estimate: Harbour mixte',
      'Ticket hall',
      'for Ilse',
      'Needed',
      '[approved]',
      'For its looks',
      'EUR 21.00 to EUR 56.00',
    ])
      expect(text).toContain(words);
  });
});
