import type { LineAllergens } from '@/core/read/allergens';

/** Allergens of a dish in words, with what is not known: "soy, gluten; not known: “gronk” is not understood". */
export function allergenWords(dish: LineAllergens): string {
  const named = dish.allergens.join(', ');
  if (dish.allergenDoubts.length === 0) return named || 'none named';
  const doubts = `not known: ${dish.allergenDoubts.map((d) => d.because).join('; ')}`;
  return named ? `${named}; ${doubts}` : doubts;
}

/** Allergens of one food in words; null where none is named. */
export function allergensOfFood(food: {
  readonly allergens: readonly string[];
  readonly allergensNotKnown?: string | undefined;
  readonly traces?: readonly string[] | undefined;
}): string | null {
  const parts = [
    ...(food.allergens.length > 0 ? [food.allergens.join(', ')] : []),
    ...(food.traces && food.traces.length > 0 ? [`may contain ${food.traces.join(', ')}`] : []),
    ...(food.allergensNotKnown ? [`not known: ${food.allergensNotKnown}`] : []),
  ];
  return parts.length > 0 ? parts.join('; ') : null;
}
