import { z } from 'zod';
import type { FoodRow } from '../src/core/food/schema';
import { fail, yaml } from './content-files';

const FamilyFile = z.array(
  z
    .object({
      /** What cooks call the whole family by. */
      words: z.array(z.string()).min(1),
      /** The likeliest of it. */
      first: z.string(),
      /** All the others that the words may mean. */
      or: z.array(z.string()).min(1),
    })
    .strict(),
);

interface Swap {
  readonly from: { readonly foods?: string[] };
  readonly to: { readonly food: string }[];
}
const isSwap = (value: object): value is Swap => 'from' in value && 'to' in value && Array.isArray(value.to);

/** Content in which what is said of a food (under `foods`) is said of its variants too, unless they are named apart. */
export function withVariants<T>(rows: readonly FoodRow[], content: T): T {
  const variants = new Map<string, string[]>();
  for (const row of rows)
    if (row.variant !== null) variants.set(row.variant, [...(variants.get(row.variant) ?? []), row.id]);
  const wider = (foods: unknown): unknown => {
    if (Array.isArray(foods))
      return [...new Set(foods.flatMap((id: string) => [id, ...(variants.get(id) ?? [])]))];
    const named = foods as Record<string, unknown>;
    const theirs = Object.entries(named).flatMap(([id, value]) =>
      (variants.get(id) ?? []).map((v) => [v, value] as const),
    );
    return { ...Object.fromEntries(theirs), ...named };
  };
  const byId = new Map(rows.map((r) => [r.id, r]));
  /** Allergens that a variant is sold free of: gluten, of gluten-free bread. */
  const freeOf = (row: FoodRow | undefined): readonly string[] =>
    row?.variant ? (byId.get(row.variant)?.allergens ?? []).filter((a) => !row.allergens.includes(a)) : [];
  // what stands in for wheat bread brings back what gluten-free bread is free of
  const fits = (id: string, swap: Swap): boolean => {
    const free = freeOf(byId.get(id));
    return (
      swap.from.foods?.includes(id) === true ||
      !swap.to.some((t) => byId.get(t.food)?.allergens.some((a) => free.includes(a)))
    );
  };
  const walk = (value: unknown): unknown => {
    if (Array.isArray(value)) return value.map(walk);
    if (value === null || typeof value !== 'object') return value;
    if (isSwap(value)) {
      const from = value.from.foods
        ? { ...value.from, foods: (wider(value.from.foods) as string[]).filter((id) => fits(id, value)) }
        : value.from;
      return { ...value, from };
    }
    return Object.fromEntries(
      Object.entries(value).map(([key, inner]) => [key, key === 'foods' ? wider(inner) : walk(inner)]),
    );
  };
  return walk(content) as T;
}

/**
 * Rows with the words of `families.yaml`: a general word is a name of the likeliest food of its family, which may then
 * be any other of it. A word that a family has is no other row's.
 */
export function inFamilies(rows: readonly FoodRow[]): FoodRow[] {
  const families = yaml('families.yaml', FamilyFile);
  const ids = new Set(rows.map((r) => r.id));
  const taken = new Map<string, string>();
  const names = new Map<string, string[]>();
  const might = new Map<string, string[]>();
  const push = (map: Map<string, string[]>, key: string, values: readonly string[]) =>
    map.set(key, [...(map.get(key) ?? []), ...values]);
  for (const { words, first, or } of families) {
    for (const id of [first, ...or])
      if (!ids.has(id)) fail(`families.yaml, ${words[0]}`, `"${id}" is no food`);
    for (const word of words) {
      if (taken.has(word)) fail('families.yaml', `"${word}" stands in two families`);
      taken.set(word, first);
    }
    push(names, first, words);
    push(
      might,
      first,
      words.flatMap((w) => or.filter((id) => id !== first).map((id) => `${id}@${w}`)),
    );
  }
  return rows.map((row) => ({
    ...row,
    names: [...row.names.filter((n) => !taken.has(n)), ...(names.get(row.id) ?? [])],
    might: [...row.might, ...(might.get(row.id) ?? [])],
  }));
}
