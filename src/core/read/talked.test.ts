import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from './read';
import expected from './talked/expected.json';

const dir = path.join(__dirname, 'talked');
const files = readdirSync(dir).filter((f) => f.endsWith('.txt'));

/** What a reader got out of a recipe: how many it feeds, and each food with the grams it may be. */
function readingOf(file: string) {
  const recipe = parseRecipe(readFileSync(path.join(dir, file), 'utf8'));
  const { servings, lines } = readRecipe(recipe, { measures: US_MEASURES, corrections: {} });
  return {
    servings: [servings.range.low, servings.range.high],
    foods: lines.flatMap((l) =>
      [...l.foods, ...l.alternatives].map(
        (f) =>
          `${f.food?.name ?? `not understood: ${f.text}`}${f.grams ? ` ${f.grams.low.toPrecision(3)}–${f.grams.high.toPrecision(3)} g` : ''}${l.optional ? ', perhaps' : ''}`,
      ),
    ),
  };
}

// Recipes as cooks talk, each reading gone through by hand against its words when it was written down here.
test.each(files)('%s is read as its cook means it', (file) => {
  const reading = readingOf(file);
  const known = (expected as Record<string, unknown>)[file.replace('.txt', '')];
  expect(reading).toEqual(known);
});
