'use client';
import { useMemo } from 'react';
import { shop, type ShopDish } from '@/core/buy/shop';
import { showRange } from '@/core/format/figures';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { keptText } from '@/core/read/library';
import { mealText } from '@/core/week/meal';
import type { StoredRecipe, StoredWeek } from '@/data/db';
import { useKitchen } from '@/kitchen/use-kitchen';
import { useLibrary } from '@/kitchen/use-library';
import { useSettings } from '@/kitchen/use-settings';
import { change } from '@/kitchen/use-week';

/** What to buy for the week, by the way through the shop, with what the label must say. */
export function ShoppingList({ week, recipes }: { week: StoredWeek; recipes: readonly StoredRecipe[] }) {
  const { library } = useLibrary(null);
  const { measures } = useSettings();
  const { prices, byFood } = useKitchen();
  const list = useMemo(() => {
    const settings = library.settingsOf(keptText('', ''));
    const dishes: ShopDish[] = week.pots.flatMap((p) => {
      const recipe = recipes.find((r) => r.id === p.recipeId);
      return recipe ? [{ source: p.id, read: library.read(recipe), times: p.times }] : [];
    });
    for (const m of week.meals)
      if (m.of === null)
        dishes.push({ source: m.id, read: readRecipe(parseRecipe(mealText(m.text)), settings), times: 1 });
    const has = new Set([...byFood.values()].flatMap((k) => (k.has ? [k.foodId] : [])));
    return shop(dishes, { measures, prices, has });
  }, [week, recipes, library, measures, prices, byFood]);
  const bought = new Set(week.bought);
  const tick = (id: string) =>
    void change((w) => ({
      bought: w.bought.includes(id) ? w.bought.filter((x) => x !== id) : [...w.bought, id],
    }));
  const aisles = [...new Set(list.items.map((i) => i.aisle))];
  return (
    <section className="sheet px-4 py-3" aria-label="Shopping list">
      <h2 className="text-[17px] font-semibold leading-tight">Shopping list</h2>
      {list.items.length === 0 && <p className="mt-1 text-mute">Nothing is cooked or eaten this week yet.</p>}
      {aisles.map((aisle) => (
        <div key={aisle} className="mt-2">
          <h3 className="text-[13px] font-semibold text-mute">{aisle}</h3>
          <ul>
            {list.items
              .filter((i) => i.aisle === aisle)
              .map((i) => {
                const [pack] = i.packages;
                return (
                  <li key={i.food.id}>
                    <label className="flex min-h-8 items-start gap-2.5 py-0.5">
                      <input
                        type="checkbox"
                        className="mt-0.5 size-5 flex-none accent-rim"
                        checked={bought.has(i.food.id)}
                        onChange={() => tick(i.food.id)}
                      />
                      <span className={bought.has(i.food.id) ? 'text-mute line-through' : ''}>
                        {i.food.name},{' '}
                        <span className="num">
                          {pack ? `${pack.count} × ${pack.size}` : `${showRange(i.gramsBought)} g`}
                        </span>
                        {i.have && <span className="text-mute"> · in the kitchen already?</span>}
                        {i.words.length > 0 && (
                          <span className="block text-[12.5px] text-mute">{i.words.join(', ')}</span>
                        )}
                      </span>
                    </label>
                  </li>
                );
              })}
          </ul>
        </div>
      ))}
      {list.unresolved.length > 0 && (
        <p className="mt-2 text-[13px]">Not understood, look yourself: {list.unresolved.join('; ')}.</p>
      )}
    </section>
  );
}
