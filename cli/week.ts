import { readFileSync } from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { readAllergens } from '../src/core/allergen/allergen';
import { shop, type ShopDish } from '../src/core/buy/shop';
import { ShoppingSchema, type Shopping } from '../src/core/buy/schema';
import type { Prices } from '../src/core/cost/cost';
import { recipeText } from '../src/core/format/text';
import { showRange } from '../src/core/format/figures';
import type { Protocol } from '../src/core/protocol';
import { isServings } from '../src/core/recipe/limits';
import { parseRecipe } from '../src/core/recipe/parse';
import { readRecipe } from '../src/core/read/read';
import type { ReadRecipe, ReadSettings } from '../src/core/read/types';
import { mealText } from '../src/core/week/meal';
import { judgeWeek, type WeekReading } from '../src/core/week/week';
import { WeekPlanSchema, WeekSchema, type Week, type WeekPlan } from '../src/core/week/schema';
import {
  complain,
  groundOf,
  kitchenOf,
  protocolOf,
  textsOf,
  UNIT_MESSAGES,
  USAGE,
  type Flags,
} from './inputs';

const MARK = { within: '○', near: '◐', over: '◆', depends: '◌', unknown: '◌' } as const;

/** A week's plan in a text; null where it is none, what is wrong where it is a bad one. */
function planIn(text: string): WeekPlan | string | null {
  if (!/^\s*\{/.test(text) || !text.includes('dulvet.week/')) return null;
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    return (error as Error).message;
  }
  const parsed = WeekPlanSchema.safeParse(value);
  return parsed.success ? parsed.data : z.prettifyError(parsed.error).replace(/\n\s*/g, ' ');
}

const readText = (text: string, settings: ReadSettings): ReadRecipe | null => {
  const plain = recipeText(text);
  const words = plain.ok ? plain.recipes[0] : undefined;
  return words === undefined ? null : readRecipe(parseRecipe(words), settings);
};

/** The recipes of a plan's cookings, looked for beside its file; what could not be read is complained about. */
function cookingsOf(
  plan: WeekPlan,
  file: string,
  settings: ReadSettings,
): { read: Map<string, ReadRecipe>; unread: number } {
  const read = new Map<string, ReadRecipe>();
  let unread = 0;
  for (const c of plan.cookings) {
    let text: string;
    if (typeof c.recipe === 'string') {
      const beside = path.resolve(file === '-' ? '.' : path.dirname(file), c.recipe);
      try {
        text = readFileSync(beside, 'utf8');
      } catch (error) {
        complain(
          `${file}, cooking ${c.id}: ${c.recipe} cannot be read (${(error as NodeJS.ErrnoException).code ?? 'unknown error'})`,
        );
        unread += 1;
        continue;
      }
    } else ({ text } = c.recipe);
    const recipe = readText(text, settings);
    if (recipe) read.set(c.id, recipe);
    else {
      complain(`${file}, cooking ${c.id}: no recipe can be read in it`);
      unread += 1;
    }
  }
  return { read, unread };
}

function mealsOf(plan: WeekPlan, settings: ReadSettings): Map<number, ReadRecipe> {
  return new Map(
    plan.meals.flatMap((m, i) =>
      'text' in m ? [[i, readRecipe(parseRecipe(mealText(m.text)), settings)] as const] : [],
    ),
  );
}

/** A week in a terminal: a row a day and diner, then what is left of each pot. */
function weekTable(week: Week): string {
  const rows = week.judged.map((j) => {
    const over = j.limits.filter((l) => l.verdict === 'over').map((l) => l.label.toLowerCase());
    const tail = [
      over.length > 0 ? `over: ${over.join(', ')}` : null,
      j.unsafe.length > 0 ? `holds ${j.unsafe.join(', ')}` : null,
      j.unresolved.length > 0 ? `not understood: ${j.unresolved.join('; ')}` : null,
      j.deciding.length > 0 ? `would settle it: ${j.deciding.join('; ')}` : null,
    ].filter(Boolean);
    const kcal = j.totals.energyKcal;
    return `  day ${j.day}  ${j.diner.padEnd(10)} ${MARK[j.verdict]} ${j.verdict.padEnd(8)} ${kcal ? `${showRange(kcal)} kcal` : 'energy not known'}${tail.length > 0 ? `  ${tail.join('; ')}` : ''}`;
  });
  for (const c of week.cookings)
    rows.push(
      `  ${c.title}, day ${c.day}: ${c.leftPlates ? `${showRange(c.leftPlates)} plates left` : 'what is left is not known'}, keeps until day ${c.keepsUntilDay}${c.problems.length > 0 ? `  ! ${c.problems.join('; ')}` : ''}`,
    );
  return `${rows.join('\n')}\n`;
}

/** Judges a week; 0 where every day holds, 1 where one does not or something spoils, 2 where it cannot be read. */
export function weekFile(files: readonly string[], flags: Flags): number {
  const [file] = files;
  if (!file || files.length > 1) return complain(`week: name one file\n${USAGE}`);
  const ground = groundOf('week', flags);
  if (typeof ground === 'string') return complain(ground);
  const [text] = textsOf([file]).texts;
  if (!text) return 2;
  const plan = planIn(text.text);
  if (plan === null) return complain(`${file}, line 1: this is no dulvet.week/1`);
  if (typeof plan === 'string') return complain(`${file}: ${plan}`);
  const settings: ReadSettings = { ...ground, corrections: {} };
  const protocols = new Map<string, Protocol>();
  const diners: WeekPlan['diners'] = [];
  for (const d of plan.diners) {
    const protocol = protocolOf(d.protocol);
    if (typeof protocol === 'string') return complain(`${file}, diner ${d.name}: ${protocol}`);
    protocols.set(d.protocol, protocol);
    const allergens = readAllergens(d.allergens);
    if (!allergens.ok) return complain(`${file}, diner ${d.name}: ${allergens.message}`);
    diners.push({ ...d, allergens: [...allergens.ids] });
  }
  const { read, unread } = cookingsOf(plan, file, settings);
  const reading: WeekReading = { cookings: read, meals: mealsOf(plan, settings), protocols };
  const week = judgeWeek({ ...plan, diners }, reading);
  process.stdout.write(flags.json ? `${JSON.stringify(WeekSchema.parse(week), null, 2)}\n` : weekTable(week));
  if (unread > 0) return 2;
  const good = week.judged.every((j) => j.verdict === 'within' || j.verdict === 'near');
  return good && week.cookings.every((c) => c.problems.length === 0) ? 0 : 1;
}

function shoppingTable(list: Shopping): string {
  const rows: string[] = [];
  let aisle = '';
  for (const item of list.items) {
    if (item.aisle !== aisle) rows.push(item.aisle);
    ({ aisle } = item);
    const [pack] = item.packages;
    rows.push(
      `  ${item.food.name}: ${pack ? `${pack.count} × ${pack.size}` : `${showRange(item.gramsBought)} g`}${item.words.length > 0 ? `  (${item.words.join(', ')})` : ''}${item.have ? '  in the kitchen?' : ''}`,
    );
  }
  rows.push(...list.unresolved.map((u) => `! not understood: ${u}`));
  return `${rows.join('\n')}\n`;
}

/** Writes a shopping list; 0 where all was understood, 1 where a line was not, 2 where a file could not be read. */
export function shopFiles(files: readonly string[], flags: Flags): number {
  if (files.length === 0) return complain(`shop: no file is named\n${USAGE}`);
  const ground = groundOf('shop', flags);
  if (typeof ground === 'string') return complain(ground);
  const plates = flags.plates === undefined ? undefined : Number(flags.plates);
  if (plates !== undefined && !isServings(plates))
    return complain(`shop: --plates ${String(flags.plates)}: ${UNIT_MESSAGES.servings}`);
  const settings: ReadSettings = { ...ground, corrections: {} };
  const inputs = textsOf(files);
  let { unread } = inputs;
  const dishes: ShopDish[] = [];
  for (const { file, text } of inputs.texts) {
    const plan = planIn(text);
    if (typeof plan === 'string') return complain(`${file}: ${plan}`);
    if (plan) {
      const cooked = cookingsOf(plan, file, settings);
      unread += cooked.unread;
      for (const c of plan.cookings) {
        const read = cooked.read.get(c.id);
        if (read) dishes.push({ source: c.id, read, times: c.times });
      }
      for (const [at, read] of mealsOf(plan, settings))
        dishes.push({ source: `meal ${at + 1}`, read, times: 1 });
      continue;
    }
    const plain = recipeText(text);
    if (!plain.ok) {
      complain(`${file}, line 1: ${plain.message}`);
      unread += 1;
      continue;
    }
    for (const words of plain.recipes) {
      const read = readRecipe(parseRecipe(words), settings);
      dishes.push({
        source: file,
        read,
        times: plates === undefined ? 1 : plates / read.servings.range.best,
      });
    }
  }
  const kitchen = typeof flags.larder === 'string' ? kitchenOf(flags.larder) : undefined;
  if (typeof kitchen === 'string') return complain(kitchen);
  const list = shop(dishes, {
    measures: ground.measures,
    prices: (kitchen?.prices ?? {}) as Prices,
    has: kitchen?.has ?? new Set(),
  });
  process.stdout.write(
    flags.json ? `${JSON.stringify(ShoppingSchema.parse(list), null, 2)}\n` : shoppingTable(list),
  );
  if (unread > 0) return 2;
  return list.unresolved.length === 0 ? 0 : 1;
}
