import loadHighs from 'highs';
import { adapt } from '@/core/adapt/adapt';
import { solverOf } from '@/core/adapt/solver';
import { versionsOf } from '@/core/adapt/versions';
import { auditRecipe } from '@/core/audit/audit';
import { foodById, FOODS } from '@/core/food/table';
import { larderOf } from '@/core/food/larder';
import { foodsOf } from '@/core/label/packet';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { conflictsOf, isSafe } from '@/core/read/allergens';
import { libraryOf, keptText } from '@/core/read/library';
import { readRecipe } from '@/core/read/read';
import { parseRecipe } from '@/core/recipe/parse';
import { rankSwaps } from '@/core/swap/rank';
import { ALLERGENS } from './allergen';

const protocol = protocolById('everyday') as Protocol;
const settings = { measures: US_MEASURES, corrections: {} };
const audit = (text: string, larder = larderOf([])) =>
  auditRecipe(readRecipe(parseRecipe(text), { ...settings, larder }), protocol);

/** A food that holds each allergen, by a name that is no other's, and in a measure that weighs it. */
const CARRIERS: Readonly<Record<string, string>> = {
  gluten: 'wholemeal flour',
  nuts: 'cashews',
  peanuts: 'peanuts',
  soy: 'firm tofu',
  sesame: 'tahini',
  mustard: 'dijon mustard',
  celery: 'celery',
  sulphites: 'white wine',
  lupin: 'lupin flour',
  milk: 'butter',
  egg: 'egg',
  fish: 'fish sauce',
};
const cases = Object.entries(CARRIERS);

test('every allergen that a food of the table holds has a carrier here', () => {
  const held = [...new Set(FOODS.flatMap((f) => f.allergens))].sort();
  expect(held.filter((a) => !(a in CARRIERS) && ALLERGENS.some((x) => x.id === a))).toEqual([]);
});

describe.each(cases)('%s by way of %s', (allergen, food) => {
  const base = 'Pot\nServes 2\n\n500 g potatoes\n';
  const WAYS: readonly (readonly [string, string])[] = [
    ['a line', `${base}50 g ${food}`],
    ['the second food of a line', `${base}1 tbsp raisins and 50 g ${food}`],
    ['an alternative', `${base}50 g cooked quinoa or 50 g ${food}`],
    ['what was optional', `${base}50 g ${food} (optional)`],
    ['a tail', `${base}300 g carrots, tossed with 2 tbsp ${food}`],
    ['the method', `${base}\nMethod\nBoil the potatoes. Stir in 50 g ${food}.`],
    ['a part', `${base}\nFor the top:\n50 g ${food}`],
    ['somebody else’s way', `${base}\nMethod\nBoil the potatoes. My sister adds 50 g ${food}.`],
  ];
  test.each(WAYS)('%s', (_, text) => {
    expect(isSafe(conflictsOf(audit(text), [allergen]))).toBe(false);
  });
  test('a packet that names it, and one that may contain it', () => {
    const own = foodsOf([
      {
        id: 'own-x',
        name: 'quay mix',
        names: [],
        label: `Per 100 g\nEnergy 400 kJ / 96 kcal\nFat 1 g\nSalt 0.1 g\n\nIngredients: potatoes, ${food}`,
        like: null,
      },
    ]);
    expect(isSafe(conflictsOf(audit(`${base}100 g quay mix`, larderOf(own)), [allergen]))).toBe(false);
  });
  test('a recipe in a recipe', () => {
    const inner = { ...keptText('inner', `Quay spread\nServes 4\n\n200 g potatoes\n50 g ${food}`) };
    const outer = { ...keptText('outer', `${base}1 portion quay spread`) };
    const library = libraryOf([outer, inner], {
      measures: US_MEASURES,
      natural: false,
      larder: larderOf([]),
    });
    const read = library.read(outer);
    expect(isSafe(conflictsOf(auditRecipe(read, protocol), [allergen]))).toBe(false);
  });
});

describe('what is offered', () => {
  const RICH =
    'Lock stew\nServes 4\n\n3 tbsp olive oil\n100 g cashews\n200 ml soy cream\n4 tbsp soy sauce\n2 tbsp white flour\n1 kg potatoes\n2 tbsp brown sugar\n\nMethod\nFry the potatoes in the oil. Thicken with the flour. Stir in the rest.';
  const strict = protocolById('heart-strict') as Protocol;
  const read = readRecipe(parseRecipe(RICH), settings);
  const before = auditRecipe(read, strict);

  test.each(cases)(
    'a swap that brings %s is told to bring it, and stands behind those that do not',
    (allergen) => {
      for (let i = 0; i < read.lines.length; i += 1) {
        const { previews } = rankSwaps(read, i, strict, before, settings, { avoid: [allergen] });
        for (const p of previews) {
          const brings = p.swap.to.some((t) => foodById(t.food)?.allergens.includes(allergen));
          const fresh = !before.allergens.includes(allergen) && p.after.allergens.includes(allergen);
          expect([p.swap.id, p.unsafe.includes(allergen)]).toEqual([p.swap.id, brings || fresh]);
        }
        const firstUnsafe = previews.findIndex((p) => p.unsafe.length > 0);
        const laterSafe =
          firstUnsafe < 0 ? -1 : previews.findIndex((p, k) => k > firstUnsafe && p.unsafe.length === 0);
        expect(laterSafe).toBe(-1);
      }
    },
  );
  test.each(['gluten', 'nuts', 'soy', 'sesame', 'mustard', 'celery'])(
    'no plan for somebody who must not eat %s keeps or brings it',
    async (allergen) => {
      const { plans } = adapt(
        read,
        [{ protocol: strict, allergens: [allergen] }],
        settings,
        { alternatives: 2 },
        solverOf(await loadHighs()),
      );
      for (const plan of plans)
        expect([plan.text, plan.after.allergens.includes(allergen)]).toEqual([plan.text, false]);
    },
  );
  test.each(['sesame', 'celery', 'mustard', 'peanuts'])(
    'no version brings in %s for a table that avoids it',
    async (allergen) => {
      expect(before.allergens).not.toContain(allergen);
      const versions = versionsOf(read, strict, settings, {}, solverOf(await loadHighs()), [allergen]);
      for (const v of versions) expect([v.id, v.audit.allergens.includes(allergen)]).toEqual([v.id, false]);
    },
  );
});
