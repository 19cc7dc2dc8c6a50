'use client';
import type { Food } from '@/core/food/table';
import { showNumber } from '@/core/format/figures';
import { figureOf, fatShareOf } from './model';

/** Foods found, as a list to choose from; what stands beside is what one looks up first. */
export function FoodList({
  foods,
  chosen,
  onChoose,
}: {
  foods: readonly Food[];
  chosen: string | null;
  onChoose: (food: Food) => void;
}) {
  return (
    <ul aria-label="Foods found">
      {foods.map((food) => {
        const fat = fatShareOf(food);
        const sodium = figureOf(food, 'sodiumMg');
        return (
          <li key={food.id}>
            <button
              type="button"
              data-food={food.id}
              aria-current={food.id === chosen ? 'true' : undefined}
              onClick={() => onChoose(food)}
              className={`block w-full border-b border-hair/50 px-3 py-1.5 text-left ${food.id === chosen ? 'bg-pick' : 'hover:bg-wash'}`}
            >
              <span className="flex items-baseline justify-between gap-2">
                <span
                  className={`min-w-0 [overflow-wrap:anywhere] ${food.id === chosen ? 'font-semibold' : ''}`}
                >
                  {food.name}
                </span>
                {food.own && (
                  <span className="flex-none rounded border border-hair px-1 text-[11.5px] text-mute">
                    packet
                  </span>
                )}
              </span>
              <span className="num block text-[12.5px] text-mute">
                {showNumber(food.energyKcal)} kcal · fat {fat ? `${showNumber(fat.best)} %` : '?'} · sodium{' '}
                {sodium ? `${showNumber(sodium.best)} mg` : '?'}
              </span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
