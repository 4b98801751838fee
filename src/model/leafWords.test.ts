import { leafWords } from './leafWords';

test.each([
  ['name', 'its name'],
  ['kind/frontBrake', 'what it is, front brake'],
  ['appraisal/asking', 'asked for it'],
  ['appraisal/otherCosts', 'the sum, travel and other costs'],
  ['jobs/chain', 'one of its jobs'],
  ['bearings/hub.front/after', 'front hub, after'],
  ['bearings/hub.front/balls/left', 'front hub, balls, left'],
  ['trays/hub.front/backIn/cone.left', 'front hub, back in, cone, left'],
  ['strange/leaf', 'strange/leaf'],
])('%s is called “%s”', (leaf, words) => expect(leafWords(leaf)).toBe(words));
