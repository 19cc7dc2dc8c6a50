import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from './read';

const settings = { measures: US_MEASURES, corrections: {} };
const broughtFrom = (list: string, method: string) =>
  readRecipe(parseRecipe(`Pot\nServes 4\n\n${list}\n1 kg carrots\n\n${method}`), settings).lines.filter(
    (l) => l.origin === 'method',
  );

// What a word stands for is common usage of cooks: bread is no pasta, though both are grain.
const WORDS = ['bread', 'rice', 'noodles', 'pasta', 'toast', 'breadcrumbs', 'chickpeas', 'lentils'] as const;
const LISTED: readonly (readonly [line: string, means: readonly string[]])[] = [
  ['300 g wholewheat pasta', ['pasta']],
  ['200 g spaghetti', ['pasta', 'noodles']],
  ['250 g brown rice', ['rice']],
  ['2 tbsp plain flour', []],
  ['4 slices wholemeal bread', ['bread', 'toast', 'breadcrumbs']],
  ['200 g soba noodles', ['noodles', 'pasta']],
  ['150 g rolled oats', []],
  ['200 g red lentils', ['lentils']],
  ['1 tin kidney beans', []],
  ['1 tin chickpeas', ['chickpeas']],
];
const DEEDS: readonly ((word: string) => string)[] = [
  (w) => `Simmer everything for 20 minutes. Serve with ${w}.`,
  (w) => `Simmer for 20 minutes and eat it over ${w}.`,
  (w) => `Cook the carrots. Add ${w} at the end.`,
];

describe('what the method alone brings is there, whatever grain or pulse the list holds', () => {
  for (const [line, means] of LISTED)
    test.each(WORDS.filter((w) => !means.includes(w)))(`${line}, and then %s`, (word) => {
      for (const deed of DEEDS) expect(broughtFrom(line, deed(word)).map((l) => l.line.text)).toContain(word);
    });
  for (const [line, means] of LISTED.filter(([, m]) => m.length > 0))
    test.each(means)(`${line} is the %s of the method`, (word) => {
      expect(broughtFrom(line, `Cook the carrots. Serve with the ${word}.`)).toEqual([]);
    });
});
