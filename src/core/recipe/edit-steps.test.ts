import fc from 'fast-check';
import { idsSwapped, withStep, withStepsSwapped } from './edit-steps';
import { parseRecipe } from './parse';

const STEPS = [
  'Boil the rice for 20 minutes.',
  'Chop the leeks.',
  'Stir in the beans.',
  'Toast the seeds in a dry pan.',
];
const recipe = (steps: readonly string[], numbered: boolean) =>
  `Pot\nServes 2\n\nIngredients\n200 g rice\n2 leeks\n1 tin beans\n\nMethod\n${steps.map((s, i) => (numbered ? `${i + 1}. ${s}` : s)).join('\n')}\n\nNotes\nKeeps well.`;

describe('steps in another order', () => {
  test('two change places, all else stays, numbers too', () => {
    fc.assert(
      fc.property(fc.boolean(), fc.nat(3), fc.nat(3), (numbered, a, b) => {
        const text = recipe(STEPS, numbered);
        const { steps } = parseRecipe(text);
        const [x, y] = [steps[a], steps[b]];
        if (!x || !y) throw new Error('no step');
        const after = withStepsSwapped(text, x, y);
        const wanted = [...STEPS];
        [wanted[a], wanted[b]] = [STEPS[b] as string, STEPS[a] as string];
        expect(after).toBe(recipe(wanted, numbered));
        expect(parseRecipe(after).steps.map((s) => s.text)).toEqual(wanted);
      }),
    );
  });
  test('what is done of them goes with them', () => {
    expect(idsSwapped({ 'd0.s1.0': 5, 'd0.s2.0': 7, 'd1.s1.0': 9, 'd0.l3': 1 }, 0, 1, 2)).toEqual({
      'd0.s2.0': 5,
      'd0.s1.0': 7,
      'd1.s1.0': 9,
      'd0.l3': 1,
    });
  });
});

test('a step in other words is one row, and no other row moves', () => {
  const text = recipe(STEPS, true);
  const step = parseRecipe(text).steps[1];
  if (!step) throw new Error('no step');
  const after = withStep(text, step, ' Slice the leeks thinly,\nwash them. ');
  expect(parseRecipe(after).steps.map((s) => s.text)).toEqual([
    STEPS[0],
    'Slice the leeks thinly, wash them.',
    STEPS[2],
    STEPS[3],
  ]);
});
