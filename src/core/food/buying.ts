import raw from '@content/compiled/buying.json';
import type { BuyingFile } from './schema';
import type { Food } from './table';

// checked by Zod when content is compiled
const { rules } = raw as unknown as BuyingFile;

/** What to look for on the packet of a food, the telling word first; empty for what has no label. */
export interface BuyingWords {
  readonly words: readonly string[];
  readonly because: string;
}

/** Words to look for when buying a food; null where there is nothing to look for. */
export function buyingWords(food: Pick<Food, 'id' | 'kind'>): BuyingWords | null {
  const rule =
    rules.find((r) => r.foods?.includes(food.id)) ?? rules.find((r) => r.kinds?.includes(food.kind));
  return rule ? { words: rule.words, because: rule.because } : null;
}
