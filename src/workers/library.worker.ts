import { expose } from 'comlink';
import { auditRecipe } from '@/core/audit/audit';
import { dishOf } from '@/core/audit/dish';
import { judgeLimit, worst } from '@/core/audit/limits';
import type { Verdict } from '@/core/audit/schema';
import type { Protocol } from '@/core/protocol';
import type { AllergenDoubt } from '@/core/read/allergens';
import { roleOfKept } from '@/core/audit/role';
import { mealText } from '@/core/week/meal';
import { judgeWeek } from '@/core/week/week';
import type { Week, WeekPlan } from '@/core/week/schema';
import { handsMinutes } from '@/core/menu/minutes';
import { foodRows } from '@/core/food/list';
import { recipeText } from '@/core/format/text';
import { parseRecipe } from '@/core/recipe/parse';
import { severalRecipes } from '@/core/recipe/several';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe } from '@/core/read/types';
import { keyOf, shelfKeys } from '@/core/read/shelf-keys';
import { keptText, libraryOf, type KeptRecipe, type Library } from '@/core/read/library';
import type { Range } from '@/core/range/range';
import { oneChange, type OneChange } from '@/core/swap/one-change';
import { larderFor, type LibraryContext } from './larder';

/** One row of the shelf: a recipe under several protocols. */
export interface LibraryRow {
  readonly id: string;
  readonly title: string;
  readonly lines: number;
  readonly unresolved: number;
  readonly fatShare: Range | null;
  readonly sodium: Range | null;
  readonly energy: Range | null;
  readonly density: Range | null;
  readonly fibre: Range | null;
  readonly protein: Range | null;
  readonly freeSugar: Range | null;
  /** Minutes that its method keeps somebody's hands. */
  readonly minutes: number;
  readonly allergens: readonly string[];
  readonly allergenDoubts: readonly AllergenDoubt[];
  readonly verdicts: Readonly<Record<string, Verdict>>;
  /** Limits that it is surely over, by protocol, in words. */
  readonly missedBy: Readonly<Record<string, readonly string[]>>;
}

/** A dish's verdict under each protocol, without its figures. */
export interface LibraryVerdicts {
  readonly id: string;
  readonly title: string;
  readonly verdicts: Readonly<Record<string, Verdict>>;
}

const libraryIn = (recipes: readonly KeptRecipe[], context: LibraryContext): Library =>
  libraryOf(recipes, { measures: context.measures, natural: context.natural, larder: larderFor(context) });

/** The library whose recipes are judged part by part. */
let shelf: { readonly recipes: readonly KeptRecipe[]; readonly library: Library } | null = null;

/** What the week is read with, and its readings: the same ones while nothing of it changes. */
let table: {
  readonly token: string;
  readonly library: Library;
  readonly reads: Map<string, ReadRecipe>;
} | null = null;

/** A recipe of the shelf under each protocol. */
function rowOf(recipe: KeptRecipe, library: Library, protocols: readonly Protocol[]): LibraryRow {
  const r = library.read(recipe);
  const audits = protocols.map(
    (p) => [p.id, auditRecipe(r, p, { role: recipe.role ?? undefined, per100g: false })] as const,
  );
  const first = audits[0]?.[1];
  const plate = first?.perServing;
  return {
    id: recipe.id,
    title: r.recipe.title,
    lines: r.lines.length,
    unresolved: first?.unresolved.length ?? 0,
    fatShare: first?.total.fatSharePercent ?? null,
    sodium: plate?.sodiumMg ?? null,
    energy: plate?.energyKcal ?? null,
    density: first?.total.energyDensityKcalPer100G ?? null,
    fibre: plate?.fibreG ?? null,
    protein: plate?.proteinG ?? null,
    freeSugar: plate?.freeSugarG ?? null,
    minutes: handsMinutes(r, library.settingsOf(recipe)),
    allergens: first?.allergens ?? [],
    allergenDoubts: first?.allergenDoubts ?? [],
    verdicts: Object.fromEntries(audits.map(([id, audit]) => [id, audit.verdict])),
    missedBy: Object.fromEntries(
      audits.map(([id, audit]) => [id, audit.limits.filter((l) => l.verdict === 'over').map((l) => l.label)]),
    ),
  };
}

const doorway = {
  /** The recipes that files hold, as text; why one holds none. */
  texts(
    files: readonly { readonly name: string; readonly text: string }[],
  ): { name: string; texts: readonly string[]; why: string | null }[] {
    return files.map(({ name, text }) => {
      const read = recipeText(text);
      if (!read.ok) return { name, texts: [], why: read.message };
      return { name, texts: read.recipes.flatMap((r) => severalRecipes(r)), why: null };
    });
  },

  /** Foods of the table that some words may name. */
  foods(words: string, most: number): { id: string; name: string }[] {
    return foodRows(words, most).map(({ id, name }) => ({ id, name }));
  },

  /** Lines of recipes that use a food. */
  uses(
    recipes: readonly KeptRecipe[],
    foodId: string,
    context: LibraryContext,
  ): { id: string; title: string; line: string }[] {
    const library = libraryIn(recipes, context);
    return recipes.flatMap((recipe) => {
      const r = library.read(recipe);
      const line = r.lines.find((l) => [...l.foods, ...l.alternatives].some((f) => f.food?.id === foodId));
      return line ? [{ id: recipe.id, title: r.recipe.title, line: line.line.text }] : [];
    });
  },

  /** Takes a library in, to be judged part by part: any of its recipes may be an ingredient of any other. */
  open(recipes: readonly KeptRecipe[], context: LibraryContext): void {
    shelf = { recipes, library: libraryIn(recipes, context) };
  },

  /** What each recipe's verdicts hang on, as a key (`shelfKeys`). */
  keys(recipes: readonly KeptRecipe[], context: LibraryContext, protocols: readonly Protocol[]): string[] {
    return shelfKeys(recipes, keyOf(JSON.stringify([process.env.DULVET_RULES ?? '', context, protocols])));
  },

  /** Rows of the shelf for some recipes of the library that is open, by their places in it. */
  rows(places: readonly number[], protocols: readonly Protocol[]): LibraryRow[] {
    if (!shelf) return [];
    const { recipes, library } = shelf;
    return places.flatMap((at) => {
      const recipe = recipes[at];
      return recipe ? [rowOf(recipe, library, protocols)] : [];
    });
  },

  /** Verdicts alone, of the recipes from one place to another of the library that is open, for thousands of them. */
  judge(from: number, to: number, protocols: readonly Protocol[]): LibraryVerdicts[] {
    if (!shelf) return [];
    const { recipes, library } = shelf;
    return recipes.slice(from, to).map((recipe) => {
      const r = library.read(recipe);
      const dish = dishOf(r);
      const role = roleOfKept(recipe, r);
      const unknown = dish.lines.length === 0 || dish.lines.some((l) => l === null);
      return {
        id: recipe.id,
        title: r.recipe.title,
        verdicts: Object.fromEntries(
          protocols.map((p) => {
            const each = p.limits.map((l) => judgeLimit(l, role, dish).verdict);
            return [p.id, worst(unknown ? [...each, 'unknown'] : each)];
          }),
        ),
      };
    });
  },

  /**
   * Judges a week: each diner's day against the day's limits, and what is left of each pot.
   *
   * @param token names the shelf and the kitchen that it is read with
   * @param shelf these, where they are new; null where the worker has them under their token
   * @returns null where it has not: ask again with them
   */
  week(
    plan: WeekPlan,
    pots: Readonly<Record<string, KeptRecipe>>,
    protocols: readonly Protocol[],
    token: string,
    shelf: { readonly recipes: readonly KeptRecipe[]; readonly context: LibraryContext } | null,
  ): Week | null {
    if (shelf) table = { token, library: libraryIn(shelf.recipes, shelf.context), reads: new Map() };
    if (table?.token !== token) return null;
    const { library, reads } = table;
    const once = (key: string, read: () => ReadRecipe): ReadRecipe => {
      const known = reads.get(key) ?? read();
      reads.set(key, known);
      return known;
    };
    const settings = library.settingsOf(keptText('', ''));
    return judgeWeek(plan, {
      cookings: new Map(
        Object.entries(pots).map(([id, recipe]) => [
          id,
          once(JSON.stringify(recipe), () => library.read(recipe)),
        ]),
      ),
      meals: new Map(
        plan.meals.flatMap((m, i) =>
          'text' in m
            ? [[i, once(m.text, () => readRecipe(parseRecipe(mealText(m.text)), settings))] as const]
            : [],
        ),
      ),
      protocols: new Map(protocols.map((p) => [p.id, p])),
    });
  },

  /** The one swap that lets somebody eat a dish, if there is one. */
  oneChange(
    recipes: readonly KeptRecipe[],
    id: string,
    diner: { protocol: Protocol; allergens: readonly string[]; plate: number },
    context: LibraryContext,
  ): OneChange | null {
    const recipe = recipes.find((r) => r.id === id);
    if (!recipe) return null;
    const library = libraryIn(recipes, context);
    return oneChange(library.read(recipe), diner.protocol, library.settingsOf(recipe), {
      role: recipe.role ?? undefined,
      allergens: diner.allergens,
      plate: diner.plate,
    });
  },
};

export type LibraryDoor = typeof doorway;
expose(doorway);
