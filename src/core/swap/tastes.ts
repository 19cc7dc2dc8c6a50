/** What a kitchen has, likes and has done before; it leans the choice among swaps, never a limit. */
export interface KitchenTastes {
  /** Ids of foods that are in the kitchen. */
  readonly has: ReadonlySet<string>;
  /** Ids of foods that the household is glad of. */
  readonly likes: ReadonlySet<string>;
  /** Ids of foods that it would rather not eat. */
  readonly dislikes: ReadonlySet<string>;
  /** How a swap went, by its id: times it was made and whether it worked; null where nobody has said. */
  readonly done: Readonly<Record<string, { readonly times: number; readonly worked: boolean | null }>>;
}

const NONE: ReadonlySet<string> = new Set();
export const NO_TASTES: KitchenTastes = { has: NONE, likes: NONE, dislikes: NONE, done: {} };

/** Tastes from what is said of foods and of swaps that were made. */
export const tastesOf = (
  foods: readonly { readonly foodId: string; readonly has: boolean; readonly liking: number }[],
  uses: readonly { readonly swapId: string; readonly times: number; readonly worked: boolean | null }[],
  disliked: readonly string[] = [],
): KitchenTastes => {
  const those = (which: (f: (typeof foods)[number]) => boolean) => foods.filter(which).map((f) => f.foodId);
  return {
    has: new Set(those((f) => f.has)),
    likes: new Set(those((f) => f.liking > 0)),
    dislikes: new Set([...those((f) => f.liking < 0), ...disliked]),
    done: Object.fromEntries(uses.map((u) => [u.swapId, { times: u.times, worked: u.worked }])),
  };
};

const HAS = 0.06;
const LIKES = 0.08;
const DISLIKES = -0.3;
const WORKED = 0.15;
const DONE = 0.04;
const FAILED = -0.4;

/** How a swap leans for this kitchen, as closeness gained or lost, with the reasons in words. */
export function leaning(
  swap: { readonly id: string; readonly to: readonly { readonly food: string }[] },
  tastes: KitchenTastes,
): { readonly by: number; readonly because: readonly string[] } {
  const foods = swap.to.map((t) => t.food).filter((f) => f !== 'same');
  const because: string[] = [];
  let by = 0;
  const lean = (amount: number, words: string) => {
    by += amount;
    because.push(words);
  };
  if (foods.length > 0 && foods.every((f) => tastes.has.has(f))) lean(HAS, 'you have it');
  if (foods.some((f) => tastes.likes.has(f))) lean(LIKES, 'you like it');
  if (foods.some((f) => tastes.dislikes.has(f))) lean(DISLIKES, 'somebody does not like it');
  const before = tastes.done[swap.id];
  if (before?.worked === true) lean(WORKED, 'it worked before');
  else if (before?.worked === false) lean(FAILED, 'it did not work before');
  else if (before && before.times > 0)
    lean(DONE, before.times === 1 ? 'done once before' : `done ${before.times} times before`);
  return { by, because };
}
