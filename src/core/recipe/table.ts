import { readUnit } from '@/core/measure/units';
import { namesFood } from '@/core/food/find';
import { startsWithAmount, startsWithMeasure } from './score';

/** A list that is written as a table: "Butternut squash | 1 medium | about 900 g". */

const HEAD =
  /^(?:ingredients?|items?|foods?|what|name|amounts?|quantity|quantities|qty|how much|units?|measures?|weights?|grams?|g|metric|us|cups?|notes?|comments?|prep(?:aration)?|remarks?|nr|no|#|serves.*|per .*|why|swap.*|aisle|shop)\.?$/i;
const BY_EYE =
  /^(?:to taste|as needed|a (?:pinch|dash|splash|little|bit|few|handful|drizzle)\b.*|some|pinch|handful|splash|optional)$/i;
/** What a portion holds is no amount of it. */
const FIGURE = /\b(?:kcal|cal|calories|kj|protein|carbs|fat|fibre|fiber)\b|[£$€%]/i;

const EACH_LAST = /^(.*\S)(\s+(?:each|pp|apiece|(?:per|a) (?:person|head|plate|serving|portion)))$/i;
const WHO_EATS = /^(?:for )?\d{1,2} (?:people|of us|servings|portions|eaters)$/i;
/** What a table tells beside its foods. */
const NO_FOOD =
  /^(?:serves|servings?|portions?|yields?|makes|(?:prep|cook(?:ing)?|total|ready|resting)(?: time)?|time|oven|temp(?:erature)?|calories|energy|difficulty|cost|date|week|day|page)\b/i;

/** Cells of a row that is written in columns; null where it is not. */
function cellsOf(row: string): string[] | null {
  if (!/\s\||\|\s|\t/.test(row)) return null;
  const cells = row.split(/\s*\|\s*|\t+/).map((cell) => cell.trim());
  return cells.filter(Boolean).length > 1 ? cells.filter((cell) => cell && !/^[-–—]+$/.test(cell)) : null;
}

/** True where a row names the columns of a table. */
export const isTableHead = (row: string): boolean => {
  const cells = cellsOf(row);
  return cells !== null && cells.length > 1 && cells.every((cell) => HEAD.test(cell));
};

const isAmount = (cell: string): boolean =>
  /^[\d½¼¾⅓⅔][\d./½¼¾⅓⅔ –-]*$/.test(cell) ||
  BY_EYE.test(cell) ||
  startsWithAmount(cell) ||
  startsWithMeasure(cell);
const isUnit = (cell: string): boolean => readUnit(cell.toLowerCase(), cell, 0)?.end === cell.length;

/** A row of a table as a list would have it, "1 medium Butternut squash, about 900 g"; null where it is none. */
export function tableRow(row: string): string | null {
  const cells = cellsOf(row)?.filter((cell) => !FIGURE.test(cell));
  if (!cells || cells.length < 2) return null;
  const first = cells.findIndex((cell) => isAmount(cell));
  if (first < 0 || first > 1) return null;
  const unit = /^[\d½¼¾⅓⅔][\d./½¼¾⅓⅔ –-]*$/.test(cells[first] ?? '') && isUnit(cells[first + 1] ?? '');
  const amount = [cells[first], ...(unit ? [cells[first + 1]] : [])].join(' ');
  const others = cells.filter((_, i) => i !== first && !(unit && i === first + 1));
  const [food, ...told] = others;
  // two foods side by side are two lists
  if (
    !food ||
    isAmount(food) ||
    told.some((cell) => isAmount(cell) && namesFood(cell.replace(/^\S+\s+/, '')))
  )
    return null;
  if (/^\d/.test(food) || NO_FOOD.test(food) || WHO_EATS.test(amount)) return null;
  const by = BY_EYE.test(amount) && !/^(?:a |pinch|handful|splash|some)/i.test(amount);
  const [much = amount, each = ''] = EACH_LAST.exec(amount)?.slice(1) ?? [];
  const said = told.filter((cell) => !WHO_EATS.test(cell));
  return by ? [food, amount, ...said].join(', ') : [`${much} ${food}${each}`, ...said].join(', ');
}
