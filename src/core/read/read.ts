import { VAGUE } from '@/core/measure/units';
import { TABLE_LARDER, type Larder } from '@/core/food/larder';
import { weightEaten, yieldsOf, type Yield } from '@/core/prepare/yields';
import { exact, over, range, type Range } from '@/core/range/range';
import type { Recipe } from '@/core/recipe/source';
import { cornersOfLine } from './corners';
import { readLine } from './line';
import { readMethod, type Mention } from './method';
import type { ReadLine, ReadRecipe, ReadServings, ReadSettings } from './types';

const caches = new WeakMap<Larder, Map<string, Map<string, ReadLine>>>();
const CACHE_LIMIT = 2500;

/** Reads a line, or gives the reading it had: lines do not depend on each other. */
function remembered(line: Recipe['lines'][number], settings: ReadSettings, servings: number): ReadLine {
  const correction = settings.corrections[line.text];
  if (correction) return readLine(line, settings, servings);
  const larder = settings.larder ?? TABLE_LARDER;
  let cache = caches.get(larder);
  if (!cache) caches.set(larder, (cache = new Map()));
  const setting = `${servings}|${settings.measures.cup}|${settings.measures.tablespoon}`;
  let lines = cache.get(setting);
  if (!lines) cache.set(setting, (lines = new Map()));
  const known = lines.get(line.text);
  if (known) return known.line === line ? known : { ...known, line };
  const read = readLine(line, settings, servings);
  if (lines.size >= CACHE_LIMIT) lines.clear();
  lines.set(line.text, read);
  if (cache.size > 40) cache.clear();
  return read;
}

function readServings(recipe: Recipe, override: number | undefined): ReadServings {
  if (override !== undefined) return { range: exact(override), said: true, text: `you said ${override}` };
  if (recipe.servings) return { range: recipe.servings.range, said: true, text: recipe.servings.text };
  return { range: range(...VAGUE.servings.unsaid), said: false, text: VAGUE.servings.why };
}

/** The key of a line's correction: its words; those of the method apart from the list's. */
export const correctionKey = (origin: ReadLine['origin'], words: string): string =>
  origin === 'method' ? `method: ${words}` : words;

/** A mention in the method as a line of its own, so that the ledger adds up. */
function lineOfMention(mention: Mention, recipe: Recipe, settings: ReadSettings): ReadLine {
  const step = recipe.steps[mention.step] as Recipe['steps'][number];
  const start = step.start + mention.span[0];
  const line = { text: mention.words, start, end: step.start + mention.span[1], section: 'From the method' };
  const correction = settings.corrections[correctionKey('method', mention.words)];
  const grams: Range | null = correction?.grams !== undefined ? exact(correction.grams) : mention.grams;
  return {
    line,
    words: null,
    origin: 'method',
    step: mention.step,
    span: mention.span,
    foods: [
      {
        text: mention.words,
        phrase: mention.words,
        food: mention.food,
        confidence: 1,
        candidates: [],
        grams,
        readings: correction?.grams !== undefined ? [`you said ${correction.grams} g`] : [mention.why],
        might: [],
      },
    ],
    alternatives: [],
    optional: false,
    toTaste: false,
    corrected: correction !== undefined,
    nothing: false,
    corners: grams ? cornersOfLine([{ food: mention.food, grams, sodium: [1, 1, 1] }], false) : null,
    missing: grams ? null : 'amount',
  };
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
  const servings = readServings(recipe, settings.servings);
  const lines = recipe.lines.map((line) => remembered(line, settings, servings.range.best));
  const mentions = readMethod(recipe.steps, lines, recipe.title, servings.range.best);
  const all = [...lines, ...mentions.map((m) => lineOfMention(m, recipe, settings))];
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
  };
}
