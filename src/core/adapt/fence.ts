import { isHarmless, tokens } from '@/core/food/tokens';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';
import { brokenIn } from '@/core/swap/broken';
import { mentionsOf } from '@/core/swap/mentions';
import type { Change } from './schema';

/** Words of a plan's method that no cook would write, and the recipe's own cook did not. */
export function brokenWords(before: ReadRecipe, after: ReadRecipe): string[] {
  const was = before.steps.map((s) => s.text).join('\n');
  return after.steps.flatMap(({ text }) => brokenIn(was, text));
}

const EVERYTHING =
  /\b(?:everything|the lot|it all|them all|all (?:of )?(?:the |your )?(?:other |remaining |rest|dressing |sauce |dry |wet |topping )?(?:ingredients|rest)?|(?:the )?(?:rest|remaining|other|dry|wet|dressing|sauce) ingredients|the rest|(?:the )?(?:dry|wet) (?:ones|stuff|things|mix))\b/i;

const listed = (read: ReadRecipe): ReadLine[] => read.lines.filter((l) => l.origin === 'ingredients');

/** True where the method speaks of a part of the dish as a whole: "whisk the dressing". */
function partIsUsed(line: ReadLine, method: string): boolean {
  const head = line.line.section?.split(/\s+/).at(-1)?.toLowerCase();
  return head !== undefined && head.length > 2 && method.includes(head);
}

/** Lines that a plan brought and no step uses, though the steps used what they stand for. */
export function unusedLines(
  before: ReadRecipe,
  after: ReadRecipe,
  changes: readonly Change[],
  settings: ReadSettings,
): ReadLine[] {
  if (after.steps.length === 0) return [];
  const method = [...after.steps, ...(after.recipe.notes ?? [])]
    .map((s) => s.text)
    .join(' ')
    .toLowerCase();
  if (EVERYTHING.test(method) || /\b(?:thru|through to|from the .{3,20} to the)\b/.test(method)) return [];
  const old = new Set(listed(before).map((l) => l.line.text));
  const wasUsed = mentionsOf(before, settings).of;
  const said = new Set(tokens(method));
  return listed(after).filter((line) => {
    if (old.has(line.line.text) || line.foods.every((f) => f.food?.kind === 'water')) return false;
    const telling = tokens(line.line.text).filter((t) => !isHarmless(t) && t.length > 2);
    if (telling.some((t) => said.has(t)) || partIsUsed(line, method)) return false;
    const change = changes.find((c) => c.to.includes(line.line.text));
    const from = listed(before).find((l) => l.line.text === change?.from);
    return from !== undefined && wasUsed.has(from);
  });
}

/** Foods that a plan took from the list and a step still names. */
export function stillNamed(before: ReadRecipe, after: ReadRecipe): string[] {
  const known = new Set(
    before.lines.flatMap((l) => (l.origin === 'method' ? l.foods.map((f) => f.food?.id) : [])),
  );
  const went = new Set(listed(before).flatMap((l) => l.foods.map((f) => f.food?.id)));
  return after.lines.flatMap((l) =>
    l.origin === 'method' && l.step !== null
      ? l.foods.flatMap((f) =>
          f.food && went.has(f.food.id) && !known.has(f.food.id)
            ? [`a step still names: “${l.line.text}”`]
            : [],
        )
      : [],
  );
}

/** Lines that stand twice in the same words, and did not before. */
export function doubledLines(before: ReadRecipe, after: ReadRecipe): string[] {
  const times = (read: ReadRecipe, line: ReadLine) =>
    listed(read).filter(
      (l) =>
        l.line.text.toLowerCase() === line.line.text.toLowerCase() && l.line.section === line.line.section,
    ).length;
  return [
    ...new Set(
      listed(after)
        .filter((l) => times(after, l) > 1 && times(before, l) < 2 && l.foods[0]?.food?.kind !== 'water')
        .map((l) => `twice on the list: “${l.line.text}”`),
    ),
  ];
}

/** Lines whose brackets do not close, of a plan that wrote them. */
export function openLines(after: ReadRecipe, changes: readonly Change[]): string[] {
  const closes = (text: string) => text.split('(').length === text.split(')').length;
  return listed(after).flatMap(({ line }) =>
    !closes(line.text) && changes.some((c) => c.to.includes(line.text))
      ? [`brackets that do not close: “${line.text}”`]
      : [],
  );
}

/** A food that the method names twice, swapped for one thing here and another there. */
export function tornFoods(before: ReadRecipe, changes: readonly Change[]): string[] {
  const swaps = new Map<string, string>();
  return changes.flatMap((c) => {
    const line = before.lines[c.line];
    const id = line?.origin === 'method' ? line.foods[0]?.food?.id : undefined;
    if (id === undefined) return [];
    const other = swaps.get(id);
    swaps.set(id, c.swap);
    return other !== undefined && other !== c.swap && c.share === 1 ? [`two things for “${c.from}”`] : [];
  });
}

/** Kinds that a dish may do without unseen. */
const UNSEEN = new Set(['water', 'spice', 'herb', 'acid']);
/** Foods that a plan did not touch and its text no longer holds: words beside what was swapped went with it. */
export function foodsLost(before: ReadRecipe, after: ReadRecipe, changes: readonly Change[]): string[] {
  const touched = new Set(changes.map((c) => c.from));
  const there = new Set(
    after.lines.flatMap((l) => [...l.foods, ...l.alternatives].map((f) => f.food?.id ?? f.text)),
  );
  // what a line is swapped for may be another line's food
  const near = (id: string, kind: string | undefined) =>
    there.has(id) || after.lines.some((l) => l.foods.some((f) => f.food?.kind === kind));
  return before.lines.flatMap((l) =>
    l.optional || touched.has(l.line.text) || l.foods.length > 1
      ? []
      : l.foods.flatMap((f) =>
          f.food && !UNSEEN.has(f.food.kind) && !near(f.food.id, f.food.kind)
            ? [`lost: “${l.line.text}”`]
            : [],
        ),
  );
}

/** Lines that had an amount and, as the same kind of food, have none. */
export function amountsLost(before: ReadRecipe, after: ReadRecipe, changes: readonly Change[]): string[] {
  const measured = (l: ReadLine | undefined) =>
    l?.words?.foods.some((f) => f.measures.some((m) => m.stated || m.unit !== null)) === true;
  return changes.flatMap((c) => {
    const from = listed(before).find((l) => l.line.text === c.from);
    const to = listed(after).filter((l) => c.to.split('; ').includes(l.line.text));
    return measured(from) && to.some((l) => !measured(l) && !/\bto taste\b/.test(l.line.text))
      ? [`no amount any more: “${c.to}”`]
      : [];
  });
}

/**
 * What is wrong with a plan's text as a recipe, read again from its words; empty where a cook could cook from it. A plan
 * with anything in it is not offered.
 */
export const wrongIn = (
  before: ReadRecipe,
  after: ReadRecipe,
  changes: readonly Change[],
  settings: ReadSettings,
): string[] => [
  ...brokenWords(before, after),
  ...unusedLines(before, after, changes, settings).map((l) => `no step uses: “${l.line.text}”`),
  ...stillNamed(before, after),
  ...doubledLines(before, after),
  ...amountsLost(before, after, changes),
  ...foodsLost(before, after, changes),
  ...openLines(after, changes),
  ...tornFoods(before, changes),
];
