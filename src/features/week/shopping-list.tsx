'use client';
import { unparse } from 'papaparse';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { productsFor } from '@/core/buy/market';
import { mostSodium } from '@/core/buy/most-sodium';
import { dryOf, listCost, listRows, listText, shop, type ShopDish } from '@/core/buy/shop';
import { showMoney } from '@/core/cost/cost';
import { showNumber, showRange } from '@/core/format/figures';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { keptText } from '@/core/read/library';
import type { Week } from '@/core/week/schema';
import { mealText } from '@/core/week/meal';
import type { StoredDiner, StoredRecipe, StoredWeek } from '@/data/db';
import { useKitchen } from '@/kitchen/use-kitchen';
import { useLibrary } from '@/kitchen/use-library';
import { useSettings } from '@/kitchen/use-settings';
import { Button } from '@/ui/button';
import { saveFile } from '@/ui/save-file';
import { ShopShelf } from './shop-shelf';
import { TinOrDry } from './tin-or-dry';
import { change, planOf } from '@/kitchen/use-week';

/** What to buy for the week, by the way through the shop, with what the label must say. */
export function ShoppingList({
  week,
  recipes,
  diners,
  judged,
}: {
  week: StoredWeek;
  judged: Week | null;
  recipes: readonly StoredRecipe[];
  diners: readonly StoredDiner[];
}) {
  const { library } = useLibrary(null);
  const { measures } = useSettings();
  const { prices, byFood } = useKitchen();
  const [shelf, setShelf] = useState<string | null>(null);
  const { list, dishes, shopping } = useMemo(() => {
    const settings = library.settingsOf(keptText('', ''));
    const dishes: ShopDish[] = week.pots.flatMap((p) => {
      const recipe = recipes.find((r) => r.id === p.recipeId);
      return recipe ? [{ source: p.id, read: library.read(recipe), times: p.times }] : [];
    });
    for (const m of week.meals)
      if (m.of === null)
        dishes.push({ source: m.id, read: readRecipe(parseRecipe(mealText(m.text)), settings), times: 1 });
    const has = new Set([...byFood.values()].flatMap((k) => (k.has ? [k.foodId] : [])));
    const shopping = { measures, prices, has, dry: new Set(week.dry) };
    return { list: shop(dishes, shopping), dishes, shopping };
  }, [week, recipes, library, measures, prices, byFood]);
  const bought = new Set(week.bought);
  const tick = (id: string) =>
    void change((w) => ({
      bought: w.bought.includes(id) ? w.bought.filter((x) => x !== id) : [...w.bought, id],
    }));
  const source = new Map(dishes.map((d) => [d.source, d.read]));
  /** The words by which the recipes call a food, each once; and the dishes. */
  const saidOf = (item: (typeof list.items)[number]) => [
    ...new Set(
      item.for.flatMap(({ source: id, line }) => {
        const own = source.get(id)?.lines[line]?.foods.find((f) => f.food !== null);
        return own ? [own.phrase || own.text] : [];
      }),
    ),
  ];
  const dishesOf = (item: (typeof list.items)[number]) => [
    ...new Set(
      item.for.map(({ source: id }) =>
        week.pots.some((p) => p.id === id) ? (source.get(id)?.recipe.title ?? '') : 'what is eaten in words',
      ),
    ),
  ];
  /** What its label may say at most, where makes differ. */
  const most = (item: (typeof list.items)[number]): number | null =>
    judged && productsFor(item.food.id).length > 0
      ? mostSodium(judged, planOf(week, diners), source, item.food.id)
      : null;
  const { cost, more } = listCost(list);
  const text = () => listText(list, bought);
  const share = async () => {
    if (typeof navigator.share === 'function')
      await navigator.share({ title: 'Shopping list', text: text() }).catch(() => undefined);
    else {
      await navigator.clipboard.writeText(text());
      toast('The list is copied.');
    }
  };
  const asDry = (id: string, dry: boolean) =>
    void change((w) => ({ dry: [...(w.dry ?? []).filter((x) => x !== id), ...(dry ? [id] : [])] }));
  /** The tinned food that an item is, or is bought dry for. */
  const tinnedOf = (id: string): string | undefined =>
    dryOf(id) ? id : week.dry?.find((tinned) => dryOf(tinned)?.id === id);
  const aisles = [...new Set(list.items.map((i) => i.aisle))];
  return (
    <section className="sheet px-4 py-3" aria-label="Shopping list">
      <h2 className="text-[17px] font-semibold leading-tight">Shopping list</h2>
      {list.items.length > 0 && (
        <div className="no-print mt-1 flex flex-wrap gap-1.5">
          <Button onClick={() => void share()}>Send or copy</Button>
          <Button onClick={() => saveFile('shopping.txt', 'text/plain', text())}>As text</Button>
          <Button onClick={() => saveFile('shopping.csv', 'text/csv', unparse(listRows(list)))}>
            As a table
          </Button>
          <Button onClick={() => window.print()}>Print</Button>
        </div>
      )}
      {list.items.length > 0 && (
        <p className="mt-1 text-[13px] text-mute">
          {cost.high > 0
            ? `Costs ${showMoney(cost, '')}${more ? ' and more: not everything has a price' : ''}.`
            : 'No prices yet: say what you pay in the Larder.'}
        </p>
      )}
      {list.items.length === 0 && <p className="mt-1 text-mute">Nothing is cooked or eaten this week yet.</p>}
      {aisles.map((aisle) => (
        <div key={aisle} className="mt-2">
          <h3 className="text-[13px] font-semibold text-mute">{aisle}</h3>
          <ul>
            {list.items
              .filter((i) => i.aisle === aisle)
              .map((i) => {
                const [pack] = i.packages;
                const sodium = most(i);
                const tinned = tinnedOf(i.food.id);
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
                        {sodium !== null && (
                          <span className="block text-[12.5px] text-mute">
                            {sodium > 0
                              ? `at most ${showNumber(sodium)} mg sodium in 100 g, for every day to hold`
                              : 'no sodium is left for it on one of the days'}
                          </span>
                        )}
                        <span className="block text-[12.5px] text-mute">for {dishesOf(i).join(', ')}</span>
                      </span>
                    </label>
                    <span className="no-print ml-7 flex flex-wrap gap-x-2">
                      {tinned !== undefined && (
                        <TinOrDry
                          tinned={tinned}
                          dishes={dishes}
                          settings={shopping}
                          onDry={(dry) => asDry(tinned, dry)}
                        />
                      )}
                      {productsFor(i.food.id).length > 0 && (
                        <Button
                          look="plain"
                          className="min-h-7 px-1.5 py-0 text-[13px]"
                          aria-expanded={shelf === i.food.id}
                          onClick={() => setShelf(shelf === i.food.id ? null : i.food.id)}
                        >
                          In the shop
                        </Button>
                      )}
                    </span>
                    {shelf === i.food.id && (
                      <ShopShelf item={i} said={saidOf(i)} week={week} recipes={recipes} diners={diners} />
                    )}
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
