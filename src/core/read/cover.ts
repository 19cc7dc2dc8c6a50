import type { Food } from '@/core/food/table';
import { tokens } from '@/core/food/tokens';
import { remember } from '@/core/memo';
import type { ReadLine } from './types';

const tokenSet = remember((text: string): ReadonlySet<string> => new Set(tokens(text)));

/** What the ingredient list accounts for. */
export interface Cover {
  readonly ids: ReadonlySet<string>;
  readonly kinds: ReadonlySet<string>;
  readonly lines: readonly ReadonlySet<string>[];
  readonly headings: readonly ReadonlySet<string>[];
  /** Last words of the sections' names: "the cream" is the cashew cream that is made here. */
  readonly parts: ReadonlySet<string>;
}

/** What lines, their sections and the title account for. */
export function coverOf(lines: readonly ReadLine[], title: string): Cover {
  const ids = new Set<string>();
  const kinds = new Set<string>();
  const headings = new Set<string>([title]);
  for (const line of lines) {
    if (line.line.section) headings.add(line.line.section);
    for (const f of [...line.foods, ...line.alternatives]) {
      if (!f.food) continue;
      ids.add(f.food.id);
      kinds.add(f.food.kind);
      for (const might of f.might) ids.add(might.id);
    }
  }
  return {
    ids,
    kinds,
    lines: lines.map((l) => tokenSet(l.line.text)),
    headings: [...headings].map(tokenSet),
    parts: new Set(
      lines.flatMap((l) =>
        l.line.section ? (tokens(l.line.section.replace(/\(.*|:.*$/g, '')).at(-1) ?? []) : [],
      ),
    ),
  };
}

/** First words that describe many foods, so sharing one says nothing. */
const DESCRIBES = new Set([
  'vegan',
  'plant',
  'plantbased',
  'nondairy',
  'unsweetened',
  'sweetened',
  'vegetable',
  'salted',
  'unsalted',
  'lowsalt',
  'dark',
  'light',
  'double',
  'fresh',
]);

const GENERIC = new Set([
  'oil',
  'salt',
  'sugar',
  'syrup',
  'nut',
  'seed',
  'stock',
  'sweetener',
  'butter',
  'milk',
  'cream',
  'cheese',
  'wine',
  'beer',
  'soy',
  'miso',
]);

/** Kinds that go by a dairy word in a plant-based list: "the butter" is the margarine above. */
const STANDS_FOR: Readonly<Record<string, readonly string[]>> = {
  butter: ['solid-fat', 'nut-butter'],
  milk: ['plant-milk', 'coconut'],
  cream: ['plant-dairy', 'coconut'],
  cheese: ['plant-dairy'],
};

/** True where the list holds the food a step names. */
export function covered(food: Food, words: readonly string[], cover: Cover): boolean {
  if (cover.ids.has(food.id)) return true;
  const last = words.at(-1) ?? '';
  if (words.length === 1) {
    if (GENERIC.has(last) && cover.kinds.has(food.kind)) return true;
    if (STANDS_FOR[last]?.some((kind) => cover.kinds.has(kind))) return true;
    if (cover.parts.has(last) && food.kind !== 'oil' && food.kind !== 'salt') return true;
    return cover.lines.some((l) => l.has(last)) && food.kind !== 'oil';
  }
  const holds = (set: ReadonlySet<string>) => words.every((w) => set.has(w));
  if (cover.lines.some(holds)) return true;
  // "the cashew cream" of a section that has the name
  if (
    food.kind !== 'oil' &&
    food.kind !== 'salt' &&
    (cover.headings.some(holds) ||
      (!DESCRIBES.has(words[0] ?? '') &&
        cover.lines.some((l) => l.has(words[0] ?? '')) &&
        ['plant-dairy', 'nut-butter', 'stock', 'plant-milk', 'nut', 'coconut'].includes(food.kind)))
  )
    return true;
  return false;
}

/** A line of this kind without a fixed amount leaves room for any "more" already. */
export const openEnded = (lines: readonly ReadLine[], kind: string) =>
  lines.some(
    (l) =>
      (l.toTaste && l.foods.some((f) => f.food?.kind === kind)) ||
      l.foods.some((f) => f.food?.kind === kind && f.readings.some((r) => r.startsWith('no amount'))),
  );

/** True where an oil of the list is for a purpose. */
export const lineIsFor = (lines: readonly ReadLine[], pattern: RegExp) =>
  lines.some((l) => l.foods.some((f) => f.food?.kind === 'oil') && pattern.test(l.line.text));
