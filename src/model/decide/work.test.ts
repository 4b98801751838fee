import type { ProposedJob } from '@/core/decide/jobs';
import type { Job } from './part';
import { workByPlace } from './work';

const range = { low: 1, likely: 2, high: 3 };
const job = (rule: string, place: string, more: Partial<Job> = {}): Job => ({
  id: rule,
  rule,
  place,
  title: rule,
  minutes: range,
  parts: range,
  decision: 'keep',
  reason: '',
  done: false,
  approval: null,
  declined: null,
  ...more,
});
const asked = (rule: string, place: string, need: ProposedJob['need']) =>
  ({ rule, place, need, title: rule, why: 'It runs as it should.', also: [], aka: [] }) as unknown as ProposedJob;

describe('what the decisions say of a place', () => {
  test('a kept job leads to its place; the ordinary work of a resale leads nowhere, kept or dropped', () => {
    const work = workByPlace([job('hub-front', 'hub.front'), job('ordinary', 'frame')], []);
    expect([...work.keys()]).toEqual(['hub.front']);
    expect(workByPlace([job('ordinary', 'frame', { decision: 'drop' })], []).size).toBe(0);
  });
  test('what feels right is left alone, until a job is kept there', () => {
    const leave = asked('hub-rear-leave', 'hub.rear', 'leave');
    expect(workByPlace([], [leave]).get('hub.rear')?.leftAlone).toBe('It runs as it should.');
    expect(workByPlace([job('hub-rear', 'hub.rear')], [leave]).get('hub.rear')?.leftAlone).toBeNull();
  });
  test('what was dropped is left alone with its reason, and what is done leads nowhere', () => {
    const dropped = job('chain', 'chain', { decision: 'drop', reason: 'Done already', title: 'New chain' });
    expect(workByPlace([dropped], []).get('chain')?.leftAlone).toBe('New chain: dropped, done already.');
    expect(workByPlace([job('chain', 'chain', { done: true })], []).get('chain')).toBeUndefined();
  });
});
