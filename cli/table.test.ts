import { auditText } from '../src/core/audit/text';
import { readLabel } from '../src/core/label/read';
import { protocolById, type Protocol } from '../src/core/protocol';
import { auditTable, labelTable } from './table';

const strict = protocolById('heart-strict') as Protocol;
const table = (text: string) => {
  const result = auditText(text, strict);
  const [recipe] = result.ok ? result.audit.recipes : [];
  return recipe ? auditTable(recipe, strict) : '';
};

describe('an audit in a terminal', () => {
  test('names the dish, its lines, its limits and its verdict', () => {
    const out = table('Pot\nServes 4\n\n2 tbsp olive oil\n1 kg potatoes');
    expect(out).toMatch(/^Pot {2}\(serves 4; Heart-strict, main\)/);
    expect(out).toMatch(/2 tbsp olive oil +Olive oil +27 g/);
    expect(out).toMatch(/◆ oil or solid fat, 27 g in the dish/);
    expect(out).toMatch(/Fat share .* of 10 % kcal +◆ over/);
    expect(out).toMatch(/verdict: ◆ over/);
  });
  test('says what is not understood and what would settle it', () => {
    expect(table('Pot\nServes 4\n\n1 kg potatoes\n2 cups gronk')).toMatch(/not understood: 2 cups gronk/);
    expect(table('Pot\nServes 4\n\n1 kg potatoes\n1 litre stock')).toMatch(/would settle it: 1 litre stock/);
    expect(table('Pot\n\n1 kg potatoes')).toMatch(/note: The recipe does not say how many it feeds/);
  });
});

test('a packet in a terminal', () => {
  const out = labelTable(
    readLabel(
      'Spray, oil free\nServing size 1 tsp (5g)\nCalories 5\nTotal Fat 0g\n\nIngredients: Water, rapeseed oil (10%). May contain mustard.',
    ),
  );
  expect(out).toMatch(/^Spray, oil free {2}\(US layout, serving 5 g\)/);
  expect(out).toMatch(/rapeseed oil 10 % {2}◆ oil/);
  expect(out).toMatch(/claim “oil free”: impossible/);
  expect(out).toMatch(/may contain: mustard/);
});
