'use client';
import type { FoodLimit } from '@/core/audit/food';
import type { Food } from '@/core/food/table';
import { allergensOfFood } from '@/core/format/allergens';
import type { Protocol } from '@/core/protocol';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { shortLabel } from '@/kitchen/words';
import { limitWords } from './limit-words';
import { fatShareOf, FIGURES, figureOf, novaWords, shown, sodiumPerKcalOf } from './model';

/** Figures of which less is better, for marking the lowest. */
const LESS_IS_BETTER = new Set(['fatG', 'saturatedFatG', 'addedSugarG', 'freeSugarG', 'sodiumMg']);
const ROWS = FIGURES.filter((f) => f.field !== 'waterG');

/** Up to four foods or packets side by side, on the limits of one protocol. */
export function Compare({
  foods,
  protocol,
  limitsOf,
  onOpen,
  onRemove,
}: {
  foods: readonly Food[];
  protocol: Protocol;
  limitsOf: (food: Food) => readonly FoodLimit[];
  onOpen: (food: Food) => void;
  onRemove: (food: Food) => void;
}) {
  const limits = foods.map(limitsOf);
  const best = (values: readonly (number | null)[]) => {
    const known = values.filter((v): v is number => v !== null);
    const least = Math.min(...known);
    // only where it tells them apart
    return known.length > 1 && Math.max(...known) > least * 1.1 + 0.05 ? least : null;
  };
  return (
    <div className="overflow-x-auto">
      <table className="num w-full border-collapse text-[13.5px]">
        <caption className="mb-2 text-left">
          <span className="font-head text-[18px] font-semibold">Side by side, for {protocol.name}</span>
        </caption>
        <thead>
          <tr className="border-b-2 border-rim align-bottom">
            <th scope="col">
              <span className="sr-only">Figure</span>
            </th>
            {foods.map((f) => (
              <th
                key={f.id}
                scope="col"
                className="min-w-[128px] px-2 pb-1.5 text-left font-semibold leading-tight"
              >
                <button
                  type="button"
                  onClick={() => onOpen(f)}
                  className="text-left underline decoration-hair decoration-2 underline-offset-4 hover:decoration-rim"
                >
                  {f.name}
                </button>
                <span className="block text-[12px] font-normal text-mute">{novaWords(f.nova)}</span>
                <Button
                  look="plain"
                  className="-ml-2 px-2 text-[12.5px]"
                  onClick={() => onRemove(f)}
                  aria-label={`Take away ${f.name}`}
                >
                  Take away
                </Button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {protocol.limits.map((limit, i) => (
            <tr key={limit.id} className="border-b border-hair/60">
              <th scope="row" className="py-1 pr-2 text-left font-medium">
                {shortLabel(limit.label)}
              </th>
              {foods.map((f, j) => {
                const own = limits[j]?.[i];
                return (
                  <td key={f.id} className="px-2 py-1">
                    {own?.verdict && (
                      <>
                        <Glyph mark={own.verdict} size={12} />{' '}
                      </>
                    )}
                    {own && limitWords(own)}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
        <tbody className="border-t-2 border-rim">
          <tr>
            <th scope="row" className="py-1 pr-2 text-left font-normal">
              Fat’s share of energy
            </th>
            {foods.map((f) => (
              <td key={f.id} className="px-2">
                {shown(fatShareOf(f), '%')}
              </td>
            ))}
          </tr>
          <tr className="border-b border-hair/60">
            <th scope="row" className="py-1 pr-2 text-left font-normal">
              Sodium for each kcal
            </th>
            {foods.map((f) => (
              <td key={f.id} className="px-2">
                {shown(sodiumPerKcalOf(f), 'mg')}
              </td>
            ))}
          </tr>
          {ROWS.map(({ field, label, unit, part }) => {
            const values = foods.map((f) => figureOf(f, field));
            const least = LESS_IS_BETTER.has(field) ? best(values.map((v) => v?.best ?? null)) : null;
            return (
              <tr key={field}>
                <th
                  scope="row"
                  className={`py-[3px] pr-2 text-left font-normal ${part ? 'pl-3 text-mute' : ''}`}
                >
                  {label}, in 100 g
                </th>
                {foods.map((f, i) => {
                  const isLeast = least !== null && values[i]?.best === least;
                  return (
                    <td key={f.id} className={`px-2 ${isLeast ? 'font-semibold' : ''}`}>
                      {shown(values[i] ?? null, unit)}
                      {isLeast && <span className="font-normal text-mute"> least</span>}
                    </td>
                  );
                })}
              </tr>
            );
          })}
          <tr className="border-t border-hair">
            <th scope="row" className="py-1 pr-2 text-left font-normal">
              Allergens
            </th>
            {foods.map((f) => (
              <td key={f.id} className="px-2">
                {allergensOfFood(f) ?? 'none named'}
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </div>
  );
}
