'use client';
import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { Verdict } from '@/core/audit/schema';
import { packetOf, productsFor, type Product } from '@/core/buy/market';
import { wordsKey } from '@/core/food/larder';
import type { Shopping } from '@/core/buy/schema';
import type { Week } from '@/core/week/schema';
import { database, type StoredDiner, type StoredRecipe, type StoredWeek } from '@/data/db';
import { forget, remember, removePacket, restoreMeaning, savePacket } from '@/data/larder';
import { keep } from '@/data/saving';
import { useBoxes } from '@/kitchen/use-boxes';
import { useLibraryContext } from '@/kitchen/use-library-context';
import { useProtocols } from '@/kitchen/use-protocols';
import { planOf, potsOf, protocolOf } from '@/kitchen/use-week';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { plainRecipes, weekJudged } from '@/workers/library';

const ORDER: readonly Verdict[] = ['within', 'near', 'depends', 'unknown', 'over'];
const rank = (v: Verdict): number => ORDER.indexOf(v);

/** How somebody's days stand, the worst of them. */
const worstFor = (week: Week, name: string): Verdict | null =>
  week.judged
    .filter((j) => j.diner === name)
    .reduce<Verdict | null>(
      (worst, j) => (worst === null || rank(j.verdict) > rank(worst) ? j.verdict : worst),
      null,
    );

/** Keeps a product as a packet that the recipes' words mean; the notice takes it back. */
async function take(product: Product, foodId: string, said: readonly string[]): Promise<void> {
  const now = Date.now();
  const before = await keep('the packet', async () => {
    await savePacket(database(), packetOf(product, foodId), now);
    return Promise.all(said.map(async (w) => ({ w, was: await remember(database(), w, product.id, now) })));
  });
  if (!before) return;
  toast(`${product.name} is a packet of the Larder, and stands in the dishes.`, {
    action: {
      label: 'Undo',
      onClick: () =>
        void keep('the packet', async () => {
          for (const { w, was } of before)
            await (was ? restoreMeaning(database(), was) : forget(database(), wordsKey(w)));
          await removePacket(database(), product.id);
        }),
    },
  });
}

interface Judged {
  readonly product: Product;
  readonly each: readonly { readonly name: string; readonly verdict: Verdict }[];
  readonly bad: number;
}

/**
 * What the simulated shop has of something on the list: each product is read by its label, the week judged with it in
 * the dishes, and the one that holds for most of the table stands first. What is taken is a packet of the Larder, and
 * the words that the recipes use mean it from now on.
 *
 * @param said the words by which the recipes call the food
 */
export function ShopShelf({
  item,
  said,
  week,
  recipes,
  diners,
}: {
  item: Shopping['items'][number];
  said: readonly string[];
  week: StoredWeek;
  recipes: readonly StoredRecipe[];
  diners: readonly StoredDiner[];
}) {
  const products = useMemo(() => productsFor(item.food.id), [item.food.id]);
  const context = useLibraryContext();
  const boxes = useBoxes();
  const { byId } = useProtocols();
  const [judged, setJudged] = useState<readonly Judged[] | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const words = said.join('\n');
  useEffect(() => {
    let current = true;
    const plain = plainRecipes(recipes);
    const protocols = [...new Set(diners.map((d) => d.protocol))].map((id) => protocolOf(id, byId));
    const judge = async (product: Product): Promise<Judged> => {
      const packet = packetOf(product, item.food.id);
      const meanings = Object.fromEntries(words.split('\n').map((w) => [wordsKey(w), packet.id]));
      const own = {
        ...context,
        packets: [...context.packets.filter((p) => p.id !== packet.id), packet],
        meanings: { ...context.meanings, ...meanings },
      };
      const found = await weekJudged(
        planOf(week, diners),
        potsOf(week, plain),
        protocols,
        [...plain, ...boxes],
        own,
      );
      const each = diners.flatMap((d) => {
        const verdict = worstFor(found, d.name);
        return verdict ? [{ name: d.name, verdict }] : [];
      });
      return { product, each, bad: each.reduce((n, e) => n + rank(e.verdict), 0) };
    };
    void Promise.all(products.map(judge)).then(
      (all) =>
        current && setJudged([...all].sort((a, b) => a.bad - b.bad || a.product.price - b.product.price)),
      (error: Error) => current && setWhy(error.message),
    );
    return () => {
      current = false;
    };
  }, [products, item.food.id, words, week, recipes, diners, boxes, byId, context]);
  if (why) return <p role="alert">The shelf could not be judged: {why}.</p>;
  return (
    <ul
      className="mb-1.5 ml-7 grid gap-1 border-l-2 border-rim pl-2.5"
      aria-label={`${item.food.name} in the shop`}
    >
      {judged === null && <li className="text-[13px] text-mute">Reading the labels …</li>}
      {judged?.map(({ product, each }) => (
        <li key={product.id} className="flex flex-wrap items-center gap-x-2.5 gap-y-0.5 text-[13px]">
          <span className="min-w-0 flex-1 basis-[190px]">
            {product.name}, {product.pack}
            <span className="num text-mute"> · {product.price.toFixed(2)}</span>
          </span>
          {each.map((e) => (
            <span key={e.name} className="flex items-center gap-1">
              <Glyph mark={e.verdict} size={12} /> {e.name}
            </span>
          ))}
          <Button
            className="min-h-7 px-2 py-0 text-[13px]"
            onClick={() => void take(product, item.food.id, said)}
          >
            Take it
          </Button>
        </li>
      ))}
    </ul>
  );
}
