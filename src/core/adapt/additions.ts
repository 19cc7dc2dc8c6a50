import rawAdditions from '@content/compiled/additions.json';
import { foodById, type Food } from '@/core/food/table';
import { kitchenWeight } from '@/core/format/amount';
import { readLine } from '@/core/read/line';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import type { DishRole } from '@/core/swap/roles';
import { mannerOf } from '@/core/swap/lines';
import type { AdditionRow } from '@/core/swap/schema';
import { amountSwap } from './amounts';
import { isSweetDish } from '@/core/swap/sweet';
import { allergensOf, bestGrams, isBatter, NO_CHANGE, type Choice, type LineChoices } from './choice';

const ADDITIONS = rawAdditions as unknown as readonly AdditionRow[];
const BESIDE: DishRole = { id: 'beside', label: 'beside the dish', evidence: '' };

/** True where the dish has the food already, or a grain for a grain. */
function isAlike(addition: AdditionRow, food: Food | null): boolean {
  if (!food) return false;
  const grain = (kind: string | undefined) => kind === 'whole-grain' || kind === 'refined-grain';
  return food.id === addition.food || (grain(food.kind) && grain(foodById(addition.food)?.kind));
}

/** What is no plate of its own: nobody eats potatoes with a spice mix. */
const NO_PLATE =
  /\b(?:dips?|spreads?|hummus|houmous|pesto|dressing|vinaigrette|sauce|gravy|marinade|relish|chutney|jam|pickles?|paste|masala|spice (?:mix|blend)|seasoning|rub|salsa|raita|mayo|butter|cream|milk|smoothie|drink)\s*(?:\(.*)?$/i;
/** What is eaten by the piece, where it is sweet. */
const BY_THE_PIECE =
  /\b(?:flapjacks?|bars?|bites?|balls?|squares|slices?|cookies?|biscuits?|brownies|truffles?|granola|muesli|cakes?|loaf|bread|buns?|rolls|muffins?|scones?|pots?)\b/i;

/** "hummus no oil": what is not in it. */
const FREE_OF = /\s*\b(?:no|without|low|less)[- ](?:added )?[a-z]+\b|\b[a-z]+[- ]free\s*/gi;

/** Bulk of starch, vegetables or fruit that may be eaten with the dish. */
export function additionsFor(read: ReadRecipe, role: string, settings: ReadSettings): LineChoices[] {
  if (
    isBatter(read) ||
    NO_PLATE.test(
      read.recipe.title.replace(FREE_OF, '').split(/\s+(?:with|in|on|and)\s|\s*[,&–]\s*/)[0] ?? '',
    )
  )
    return [];
  const sweet = isSweetDish(read);
  if (sweet && BY_THE_PIECE.test(read.recipe.title)) return [];
  const plates = read.servings.range.best;
  const meal = sweet ? 'snack' : role;
  return ADDITIONS.filter(
    (a) => a.roles.includes(meal) && !read.lines.some((l) => l.foods.some((f) => isAlike(a, f.food))),
  ).map((a) => {
    const choices = a.each.flatMap((each): Choice[] => {
      const text = `${kitchenWeight(Math.round((each * plates) / 10) * 10, mannerOf(read) === 'imperial')} ${a.text}`;
      const line = readLine({ text, start: 0, end: text.length, section: null }, settings, plates);
      if (!line.corners) return [];
      return [
        {
          swap: {
            ...amountSwap(`beside-${a.id}`, a.name, 1, a.step, a.closeness, 'the dish itself stays as it is'),
            to: [],
          },
          written: { line: text, step: a.step },
          share: 1,
          corners: [line.corners],
          yieldOf: { low: 0.85, best: 0.95, high: 1 },
          closeness: a.closeness,
          leans: [],
          allergens: allergensOf(line),
          grams: bestGrams(line),
        },
      ];
    });
    return { index: read.lines.length, role: BESIDE, choices: [NO_CHANGE, ...choices] };
  });
}
