import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from './read';

const SERVINGS = 4;
const high = (text: string): number =>
  readRecipe(parseRecipe(text), { measures: US_MEASURES, corrections: {} })
    .lines.flatMap((l) => [...l.foods, ...l.alternatives])
    .reduce((sum, f) => sum + (f.food?.id === 'tahini' ? (f.grams?.high ?? Infinity) : 0), 0);
const HEAD = `Soup\n\nServes ${SERVINGS}\n\n450 g carrots\n1 litre water\n`;
const ONE = high(`${HEAD}1 tbsp tahini\n\nMethod\nSimmer for 20 minutes.\n`);

/** Headings above what is for every plate. */
const HEADINGS = [
  'Per bowl:',
  'per person',
  'For each bowl:',
  'On each bowl:',
  'In each bowl:',
  'Each plate:',
  'Each bowl gets:',
  'For every bowl:',
  'For one bowl:',
  'To serve (per person):',
  'To serve, each:',
  'On top, per bowl:',
  'Topping (each):',
  'Per head:',
  'Per serving:',
  'Everyone gets:',
  'each:',
  '**Per bowl**',
  '## On each plate',
];
const ROWS = [
  (h: string) => `${HEAD}\n${h}\n1 tbsp tahini\n2 sprigs parsley\n\nMethod\nSimmer for 20 minutes.\n`,
  (h: string) => `${HEAD}\n${h}\n- 1 tbsp tahini\n- 2 sprigs parsley\n\nMethod\nSimmer for 20 minutes.\n`,
  (h: string) => `${HEAD}\nMethod\nSimmer for 20 minutes.\n\n${h}\n- 1 tbsp tahini\n- 2 sprigs parsley\n`,
  (h: string) =>
    `${HEAD}\n${h.replace(/:$/, '')}: 1 tbsp tahini, parsley\n\nMethod\nSimmer for 20 minutes.\n`,
];

describe('what stands below “for each” is counted for each', () => {
  test.each(
    HEADINGS.flatMap((h) =>
      ROWS.flatMap((row, i) => (h.startsWith('#') && i === 3 ? [] : [[h, i, row(h)] as const])),
    ),
  )('%s (%i)', (_, __, text) => {
    expect(high(text)).toBeGreaterThanOrEqual(ONE * SERVINGS * 0.95);
  });
});
