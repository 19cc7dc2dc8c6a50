'use client';
import Link from 'next/link';
import type { FoodLimit } from '@/core/audit/food';
import { buyingWords } from '@/core/food/buying';
import type { Food } from '@/core/food/table';
import { allergensOfFood } from '@/core/format/allergens';
import { showNumber } from '@/core/format/figures';
import type { Protocol } from '@/core/protocol';
import type { StoredKitchenFood } from '@/data/db';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { Legend } from '@/ui/legend';
import { LimitWords } from './limit-words';
import {
  fatShareOf,
  FIGURES,
  figureOf,
  novaWords,
  portionsOf,
  replacementsOf,
  shown,
  sodiumPerKcalOf,
} from './model';
import { useUses } from './use-uses';
import { YourKitchen } from './your-kitchen';

const MOST_SWAPS = 8;

function Figures({ food }: { food: Food }) {
  const measured = Object.keys(food.sd).length > 0;
  return (
    <table className="num w-full text-[13.5px]">
      <caption className="mb-1 text-left font-semibold">In 100 g, edible</caption>
      <tbody>
        {FIGURES.map(({ field, label, unit, part }) => {
          const sd = food.sd[field];
          return (
            <tr key={field} className="border-b border-hair/50 last:border-0">
              <th scope="row" className={`py-[3px] text-left font-normal ${part ? 'pl-4 text-mute' : ''}`}>
                {label}
              </th>
              <td className="text-right">{shown(figureOf(food, field), unit)}</td>
              {measured && (
                <td
                  className="w-[84px] text-right text-[12px] text-mute"
                  title="standard deviation over the regions measured"
                >
                  {sd ? `± ${showNumber(sd)}` : ''}
                </td>
              )}
            </tr>
          );
        })}
      </tbody>
      <tbody className="border-t-[1.5px] border-hair">
        <tr>
          <th scope="row" className="py-[3px] text-left font-normal">
            Fat’s share of its energy
          </th>
          <td className="text-right">{shown(fatShareOf(food), '%')}</td>
          {measured && <td />}
        </tr>
        <tr>
          <th scope="row" className="py-[3px] text-left font-normal">
            Sodium for each kcal <span className="text-mute">(rule of thumb: 1)</span>
          </th>
          <td className="text-right">{shown(sodiumPerKcalOf(food), 'mg')}</td>
          {measured && <td />}
        </tr>
      </tbody>
    </table>
  );
}

function Uses({ food }: { food: Food }) {
  const found = useUses(food.id);
  return (
    <section>
      <h3 className="font-semibold">On the shelf in</h3>
      {found === null ? (
        <p className="text-mute">Looking …</p>
      ) : found.why ? (
        <p role="alert">Not known: {found.why}.</p>
      ) : found.uses.length === 0 ? (
        <p className="text-mute">No recipe on the shelf uses it.</p>
      ) : (
        <ul className="mt-0.5 space-y-0.5">
          {found.uses.map((u) => (
            <li key={u.id}>
              <Link
                href={`/?recipe=${u.id}`}
                className="underline decoration-hair decoration-2 underline-offset-4 hover:decoration-rim"
              >
                {u.title}
              </Link>{' '}
              <span className="text-[13px] text-mute">{u.line}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** A food's page: its figures with their source, portions, what limits say, what replaces it, where it is used. */
export function FoodPage({
  food,
  protocol,
  limits,
  said,
  beside,
  onBeside,
  onEdit,
  onRemove,
}: {
  food: Food;
  protocol: Protocol;
  limits: readonly FoodLimit[];
  /** What the cook says of it; null where nothing, undefined until that is read. */
  said: StoredKitchenFood | null | undefined;
  beside: boolean;
  onBeside: () => void;
  onEdit: (() => void) | null;
  onRemove: (() => void) | null;
}) {
  const buy = buyingWords(food);
  const portions = portionsOf(food);
  const swaps = replacementsOf(food);
  return (
    <article aria-label={food.name}>
      <div className="flex flex-wrap items-start justify-between gap-2">
        <div className="min-w-0">
          <h2 className="text-[21px] font-semibold leading-tight [overflow-wrap:anywhere]">{food.name}</h2>
          <p className="text-mute">
            {food.own ? 'your packet · ' : ''}
            {food.kindLabel} · {novaWords(food.nova)}
            {food.refuse > 0 && ` · ${food.refuse} % is peel, stalk or stone`}
          </p>
        </div>
        <div className="flex flex-wrap gap-1.5">
          <Button keys="C" aria-pressed={beside} onClick={onBeside}>
            {beside ? 'Not beside others' : 'Beside others'}
          </Button>
          {onEdit && (
            <Button keys="E" onClick={onEdit}>
              Edit packet
            </Button>
          )}
          {onRemove && (
            <Button look="plain" onClick={onRemove}>
              Remove
            </Button>
          )}
        </div>
      </div>
      <div className="mt-3 grid gap-x-7 gap-y-4 md:grid-cols-2">
        <div>
          <Figures food={food} />
          <p className="mb-4 mt-1.5 text-[12.5px] text-mute">{food.source}.</p>
          {said !== undefined && <YourKitchen key={food.id} food={food} said={said} />}
        </div>
        <div className="space-y-4">
          <section>
            <h3 className="font-semibold">By itself, for {protocol.name}</h3>
            <ul className="mt-1 space-y-0.5">
              {limits.map((l) => (
                <li key={l.limit.id} className="num flex items-baseline gap-2">
                  <span className="w-[14px] translate-y-[2px]">
                    {l.verdict && <Glyph mark={l.verdict} size={12} />}
                  </span>
                  <LimitWords limit={l} />
                </li>
              ))}
            </ul>
            <Legend marks={limits.flatMap((l) => l.verdict ?? [])} />
          </section>
          <section>
            <h3 className="font-semibold">On the label</h3>
            {allergensOfFood(food) && <p>Allergens: {allergensOfFood(food)}</p>}
            {food.adds.length > 0 && <p>Bought, it usually holds {food.adds.join(', ')}.</p>}
            {buy ? (
              <p>
                Look for{' '}
                {buy.words.map((w, i) => (
                  <span key={w}>
                    {i > 0 && ', '}
                    <b className="font-semibold">{w}</b>
                  </span>
                ))}
                : {buy.because}.
              </p>
            ) : (
              allergensOfFood(food) === null &&
              food.adds.length === 0 && <p className="text-mute">Nothing to look for.</p>
            )}
          </section>
          <section>
            <h3 className="font-semibold">Weighs</h3>
            {portions.length > 0 ? (
              <dl className="num mt-0.5 flex flex-wrap gap-x-4">
                {portions.map((p) => (
                  <div key={p.name} className="flex gap-1.5">
                    <dt className="text-mute">{p.name}</dt>
                    <dd>{p.grams} g</dd>
                  </div>
                ))}
              </dl>
            ) : (
              <p className="text-mute">As its kind does; nothing of its own is known.</p>
            )}
          </section>
          <section>
            <h3 className="font-semibold">What can stand in for it</h3>
            {swaps.length > 0 ? (
              <ul className="mt-0.5">
                {swaps.slice(0, MOST_SWAPS).map((s) => (
                  <li key={s.id}>{s.name}</li>
                ))}
                {swaps.length > MOST_SWAPS && (
                  <li className="text-mute">
                    and {swaps.length - MOST_SWAPS} more; the Bench picks by what it does in the dish
                  </li>
                )}
              </ul>
            ) : (
              <p className="text-mute">No swap for it is kept here.</p>
            )}
          </section>
          <Uses food={food} />
          {food.names.length > 0 && (
            <section>
              <h3 className="font-semibold">Also called</h3>
              <p className="text-[13.5px] [overflow-wrap:anywhere]">{food.names.join(', ')}</p>
            </section>
          )}
        </div>
      </div>
    </article>
  );
}
