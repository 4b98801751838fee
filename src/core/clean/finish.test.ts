import { BRIEFS } from '../bicycle';
import { answer } from '../calculator';
import { cleanFinish, PAINTS, type FinishInput } from './finish';

function finish(changes: Partial<FinishInput> = {}) {
  const result = answer(cleanFinish, { frameMaterial: 'steel', paint: 'patina', brief: 'preserve', ...changes });
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  const { treatments } = result.output;
  return { treatments, open: treatments.filter((each) => each.against.length === 0) };
}

describe('the finish of a frame', () => {
  test('patina to be preserved is washed, restored or clear-coated, never repainted', () => {
    const ids = finish().open.map((each) => each.id);
    expect(ids).toEqual(expect.arrayContaining(['wash-wax', 'clear-coat']));
    expect(ids).not.toContain('repaint');
  });
  test('carbon is never stripped and a donor keeps its finish, whatever the paint', () => {
    for (const paint of PAINTS) {
      for (const brief of BRIEFS)
        expect(finish({ frameMaterial: 'carbon', paint, brief }).open.map((each) => each.id)).not.toContain('repaint');
      expect(finish({ paint, brief: 'donor' }).open).toEqual([]);
    }
  });
  test('what can be undone stands before what cannot, and polishing asks for a test spot', () => {
    const { open } = finish({ paint: 'dull', brief: 'rideable' });
    const reversible = open.map((each) => each.reversible);
    expect(reversible).toEqual([...reversible].sort((a, b) => Number(b) - Number(a)));
    expect(open.find((each) => each.id === 'polish')!.testSpot).toBe(true);
  });
  test('fewer hours never open a treatment; at the very hours it is still open', () => {
    const full = finish({ paint: 'flaking', brief: 'rideable', hours: 20 }).open.map((each) => each.id);
    expect(full).toContain('repaint');
    const less = finish({ paint: 'flaking', brief: 'rideable', hours: 19.9 });
    expect(less.open.map((each) => each.id)).not.toContain('repaint');
    expect(less.treatments.find((each) => each.id === 'repaint')!.against[0]).toMatch(/Takes 20 hours/);
  });
});
