import { auditRecipe } from '@/core/audit/audit';
import { TABLE_LARDER } from '@/core/food/larder';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { keptText, libraryOf } from '@/core/read/library';
import { ANOTHER } from './another';

const STEW = 'Sluice stew\nServes 4\n\n400 g cooked chickpeas\n600 g carrots\n1 tsp salt\n\nSimmer.';
const box = { ...keptText('box-1', STEW), potG: 1000, box: { name: 'Sluice stew', grams: 600 } };
const strict = protocolById('heart-strict') as Protocol;

test.each(ANOTHER.map((a) => [a.id, a] as const))('a stew become %s keeps what was in it', (_, another) => {
  const made = keptText('new', another.recipe('Sluice stew', 600));
  const library = libraryOf([made, box], {
    measures: US_MEASURES,
    natural: false,
    larder: TABLE_LARDER,
  });
  const read = library.read(made);
  expect(read.lines.filter((l) => l.missing !== null).map((l) => l.line.text)).toEqual([]);
  const leftover = read.lines.find((l) => l.line.text.includes('leftover'));
  expect(leftover?.foods[0]?.grams?.best).toBe(600);
  expect(read.servings.range.best).toBe(2);
  // a teaspoon of salt, 6 g, in 1000 g: 0.6 % of 600 g on two plates is 1.8 g, 38.8 % of it sodium (atomic weights)
  const sodium = auditRecipe(read, strict, { source: '' }).limits.find((l) => l.label === 'Sodium');
  expect(sodium?.value?.best).toBeGreaterThan(0.9 * 1800 * 0.388);
});
