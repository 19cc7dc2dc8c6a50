import { VAGUE } from '@/core/measure/units';
import { weightEaten, yieldsOf, type Yield } from '@/core/prepare/yields';
import { exact, over, range } from '@/core/range/range';
import type { Recipe } from '@/core/recipe/source';
import { scaled } from '@/core/food/nutrients';
import { broughtBy } from './brought/brought';
import { ofTheSame } from './elided';
import { remembered } from './remembered';
import { PER_PIECE } from '@/core/recipe/each-last';
import { sentencesOfLiquid, withItsLiquid } from './liquid';
import { partShares, type PartShare } from './parts';
import { type ReadLine, type ReadRecipe, type ReadServings, type ReadSettings } from './types';

function readServings(recipe: Recipe, override: number | undefined): ReadServings {
  if (override !== undefined) return { range: exact(override), said: true, text: `you said ${override}` };
  if (recipe.servings) {
    const { range, text, pieces } = recipe.servings;
    return { range, said: true, text, ...(pieces === undefined ? {} : { pieces }) };
  }
  return { range: range(...VAGUE.servings.unsaid), said: false, text: VAGUE.servings.why };
}

/** Foods that the sentences bring beside what lines account for, as lines of their own. */
export const methodLines = (
  recipe: Pick<Recipe, 'steps' | 'title'> & Partial<Pick<Recipe, 'notes' | 'lines'>>,
  lines: readonly ReadLine[],
  settings: ReadSettings,
  servings: ReadServings,
): ReadLine[] => broughtBy(recipe, lines, settings, servings);

const partsRead = new WeakMap<ReadLine, { readonly part: PartShare; readonly read: ReadLine }>();

/** A line of a part that is not eaten whole: all it brings times the part's share. */
function ofPart(line: ReadLine, part: PartShare): ReadLine {
  const { low, best, high } = part.share;
  const before = partsRead.get(line);
  if (
    before &&
    before.part.share.low === low &&
    before.part.share.high === high &&
    before.part.says === part.says
  )
    return before.read;
  const ends = low === high ? [] : [low, high];
  const corners =
    line.corners && [best, ...ends].flatMap((share) => (line.corners ?? []).map((c) => scaled(c, share)));
  const read = { ...line, corners, share: part };
  partsRead.set(line, { part, read });
  return read;
}

/** Weighing a plate says how many there are, unless the cook said so herself. */
function plates(
  servings: ReadServings,
  lines: readonly ReadLine[],
  yields: readonly Yield[],
  { servings: said, potG, plateG }: ReadSettings,
): ReadServings {
  if (said !== undefined || plateG === undefined) return servings;
  const corners = lines.flatMap((l) => (l.corners ? [l.corners] : []));
  if (potG === undefined && corners.length < lines.length) return servings;
  const factors = yields.map((y) => y.factor);
  const whole = potG === undefined ? weightEaten(corners, factors) : exact(potG);
  if (whole.low <= 0) return servings;
  return {
    range: over(whole, exact(plateG)),
    said: true,
    text: `a plate weighs ${plateG} g${potG === undefined ? '' : `, the dish ${potG} g`}`,
  };
}

/** The recipe with every line and step read: foods, grams, and all that its words allow. */
export function readRecipe(recipe: Recipe, settings: ReadSettings): ReadRecipe {
  const shelf = settings.larder?.recipes;
  return shelf && settings.id !== undefined
    ? shelf.within(settings.id, () => readWhole(recipe, settings))
    : readWhole(recipe, settings);
}

/** Reads for the likeliest number of plates, and for the ends of it where amounts go by the plate. */
function readWhole(recipe: Recipe, settings: ReadSettings): ReadRecipe {
  const read = readFor(recipe, settings, readServings(recipe, settings.servings));
  const { range: plates } = read.servings;
  if (plates.low === plates.high || !read.lines.some((l) => l.byPlate)) return read;
  const ends = [plates.low, plates.high].map((n) => ({
    ...readFor(recipe, settings, { ...read.servings, range: exact(n) }),
    servings: { ...read.servings, range: exact(n) },
  }));
  return { ...read, ends };
}

function readFor(recipe: Recipe, settings: ReadSettings, servings: ReadServings): ReadRecipe {
  const { best } = servings.range;
  const parts = partShares(recipe, servings.range);
  const liquid = sentencesOfLiquid(recipe);
  let last: ReadLine | undefined;
  const lines = recipe.lines.map((line) => {
    const alone = remembered(line, settings, PER_PIECE.test(line.text) ? (servings.pieces ?? best) : best);
    // "100 g white" below the wholemeal flour
    const whole = ofTheSame(alone, last);
    const full = whole ? remembered(whole, settings, best) : null;
    const listed = full && full.missing === null ? { ...full, line } : alone;
    last = listed;
    const wet = withItsLiquid(line, listed, liquid);
    const read = wet ? { ...remembered(wet, settings, best), line } : listed;
    const part = line.section === null ? undefined : parts.get(line.section);
    return part ? ofPart(read, part) : read;
  });
  const all = [...lines, ...methodLines(recipe, lines, settings, servings)];
  const yields = yieldsOf(
    all.map((l) => ({
      foods: l.foods.flatMap((f) => (f.food ? [f.food] : [])),
      text: l.words ? l.words.foods.map((f) => `${f.food} ${f.notes}`).join(' ') : l.line.text,
      grams: l.foods.reduce((g, f) => g + (f.grams?.best ?? 0), 0),
    })),
    recipe.steps.map((s) => s.text),
  );
  return {
    recipe,
    servings: plates(servings, all, yields, settings),
    lines: all,
    yields,
    potG: settings.potG ?? null,
    steps: recipe.steps.map(({ text, start, end }) => ({ text, start, end })),
    ends: [],
  };
}
