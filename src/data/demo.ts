import raw from '@content/compiled/demo.json';
import { clockAt } from '@/core/cook/clock';
import type { Packet } from '@/core/label/schema';
import type { RoleId } from '@/core/protocol';
import { titleOf } from '@/core/recipe/title';
import type {
  DulvetDatabase,
  StoredBox,
  StoredCooking,
  StoredDiner,
  StoredKitchenFood,
  StoredRecipe,
  StoredSupper,
  StoredSwapUse,
  StoredWeek,
  StoredWord,
} from './db';
import { newId } from './ids';
import { newBox } from './log';
import { newTimer } from './stove';
import { emptyWeek, newMeal, newPot } from './week';
import { newRecipe } from './recipes';

interface Demo {
  readonly diners: readonly Omit<StoredDiner, 'id' | 'order' | 'updatedAt'>[];
  readonly packets: readonly Packet[];
  readonly kitchen: readonly Omit<StoredKitchenFood, 'updatedAt'>[];
  readonly swapUses: readonly Omit<StoredSwapUse, 'updatedAt'>[];
  readonly recipes: readonly { text: string; role: RoleId | null; versionOf: number | null }[];
  /** Places of their recipes among those above. */
  readonly cookings: readonly {
    recipe: number;
    daysAgo: number;
    took: number;
    added: readonly string[];
    words: readonly StoredWord[];
    note: string;
  }[];
  readonly boxes: readonly { recipe: number; grams: number; place: StoredBox['place']; daysAgo: number }[];
  readonly hand: readonly { unit: string; ml: readonly number[] }[];
  readonly week: {
    pots: readonly { id: string; recipe: number; day: number; times: number }[];
    meals: readonly {
      days: readonly number[];
      meal: string;
      who: readonly string[];
      of: string | null;
      plates: number;
      text: string;
    }[];
  };
  readonly supper: {
    recipes: readonly number[];
    cooks: readonly string[];
    burners: number;
    ovens: number;
    begunAgo: number;
    table: number;
    done: readonly string[];
    underWay: readonly { id: string; ago: number; label: string; minutes: number }[];
    added: readonly { dish: number; text: string; ago: number }[];
  };
}

const MINUTE = 60_000;
const DAY = 24 * 60 * MINUTE;
const clock = (ms: number) => {
  const at = new Date(ms);
  return clockAt(at.getHours() * 60 + at.getMinutes()).clock;
};

/** What was cooked before, with what was added written into its text. */
async function cookedBefore(recipes: readonly StoredRecipe[], now: number): Promise<StoredCooking[]> {
  // reading what was added takes the core, which an empty kitchen's first page need not load
  const { keptText, libraryOf } = await import('@/core/read/library');
  const { tasted } = await import('@/core/cook/taste');
  const { TABLE_LARDER } = await import('@/core/food/larder');
  const { US_MEASURES } = await import('@/core/measure/units');
  const library = libraryOf([], { measures: US_MEASURES, natural: false, larder: TABLE_LARDER });
  return demo.cookings.flatMap((c): StoredCooking[] => {
    const recipe = recipes[c.recipe];
    if (!recipe) return [];
    const kept = keptText(recipe.id, recipe.text);
    const cookedAt = now - c.daysAgo * DAY;
    return [
      {
        id: newId(),
        recipeId: recipe.id,
        title: titleOf(recipe.text),
        text: recipe.text,
        after: tasted(library.read(kept), library.settingsOf(kept), c.added).text,
        times: 1,
        cookedAt,
        tookMinutes: c.took,
        minutes: {},
        added: c.added,
        potG: null,
        plates: null,
        words: c.words,
        note: c.note,
        photo: null,
        updatedAt: cookedAt,
      },
    ];
  });
}

/** The week of the rota. */
function weekOf(recipes: readonly StoredRecipe[], diners: readonly StoredDiner[], now: number): StoredWeek {
  const { pots, meals } = demo.week;
  const made = new Map(pots.map((p) => [p.id, newPot(recipes[p.recipe]?.id ?? '', p.day, p.times)] as const));
  return {
    ...emptyWeek(now),
    pots: [...made.values()],
    meals: meals.flatMap((m) =>
      m.days.flatMap((day) =>
        diners
          .filter((d) => m.who.includes(d.name))
          .map((d) =>
            newMeal({
              day,
              meal: m.meal,
              diner: d.id,
              of: m.of === null ? null : (made.get(m.of)?.id ?? null),
              plates: m.plates,
              text: m.text,
            }),
          ),
      ),
    ),
  };
}

/** The supper that is half done when the demo opens. */
function halfDone(recipes: readonly StoredRecipe[], now: number): StoredSupper {
  const { supper } = demo;
  const startedAt = now - supper.begunAgo * MINUTE;
  const ago = (minutes: number) => now - minutes * MINUTE;
  return {
    id: 'open',
    dishes: supper.recipes.flatMap((at) => {
      const recipe = recipes[at];
      if (!recipe) return [];
      const { id, text, role, servings, potG, plateG, corrections } = recipe;
      return [{ recipe: { id, text, role, servings, potG, plateG, corrections }, times: 1 }];
    }),
    table: clock(now + supper.table * MINUTE),
    cooks: supper.cooks,
    burners: supper.burners,
    ovens: supper.ovens,
    startedAt,
    done: Object.fromEntries(supper.done.map((id, i) => [id, startedAt + (i + 1) * 3 * MINUTE])),
    begun: Object.fromEntries(supper.underWay.map((u) => [u.id, ago(u.ago)])),
    longer: {},
    ticks: [],
    at: null,
    timers: supper.underWay.map((u) => newTimer(u.label, u.minutes, u.id, ago(u.ago))),
    added: supper.added.map(({ dish, text, ago: m }) => ({ dish, text, at: ago(m) })),
    updatedAt: now,
  };
}
// checked by Zod when content is compiled
const demo = raw as unknown as Demo;

/** Fills an empty database with the demo kitchen, once; gives the recipe to open. */
export async function seedDemo(db: DulvetDatabase, now: number): Promise<string | null> {
  const tables = [
    db.recipes,
    db.diners,
    db.settings,
    db.packets,
    db.kitchen,
    db.swapUses,
    db.cookings,
    db.boxes,
    db.hand,
    db.suppers,
    db.weeks,
  ];
  if ((await db.settings.get('seeded'))?.value === true || (await db.recipes.count()) > 0) return null;
  const made = demo.recipes.map((r, i) => newRecipe(r.text, now - i * MINUTE, { role: r.role }));
  const recipes = made.map((r, i) => {
    const of = made[demo.recipes[i]?.versionOf ?? -1];
    return of ? { ...r, versionOf: of.id } : r;
  });
  const cookings = await cookedBefore(recipes, now);
  return db.transaction('rw', tables, async () => {
    const seeded = await db.settings.get('seeded');
    if (seeded?.value === true || (await db.recipes.count()) > 0) return null;
    await db.recipes.bulkAdd(recipes);
    const diners = demo.diners.map((d, order) => ({ ...d, id: newId(), order, updatedAt: now }));
    await db.diners.bulkAdd(diners);
    await db.packets.bulkPut(demo.packets.map((p) => ({ ...p, updatedAt: now })));
    await db.kitchen.bulkPut(demo.kitchen.map((k) => ({ ...k, updatedAt: now })));
    await db.swapUses.bulkPut(demo.swapUses.map((u) => ({ ...u, updatedAt: now })));
    await db.cookings.bulkAdd(cookings);
    await db.boxes.bulkAdd(
      demo.boxes.map((b) => ({
        ...newBox(titleOf(recipes[b.recipe]?.text ?? ''), b.grams, b.place, null, now - b.daysAgo * DAY),
      })),
    );
    await db.hand.bulkAdd(demo.hand.map((h) => ({ ...h, updatedAt: now })));
    await db.suppers.put(halfDone(recipes, now));
    await db.weeks.put(weekOf(recipes, diners, now));
    await db.settings.put({ key: 'seeded', value: true });
    const first = recipes[0]?.id ?? null;
    await db.settings.put({ key: 'openRecipe', value: first });
    return first;
  });
}

/** One recipe of the demo, for an empty bench that wants to be tried. */
export const sampleText = (): string => demo.recipes[0]?.text ?? '';
