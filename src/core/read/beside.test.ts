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

// Foods that limits look at, each against lines of its own and other kinds: none is covered by a neighbour.
const OFFENDING: readonly (readonly [word: string, line: string, same?: readonly string[]])[] = [
  ['walnuts', '30 g walnuts'],
  ['peanut butter', '2 tbsp peanut butter'],
  ['tahini', '2 tbsp tahini'],
  ['coconut milk', '200 ml coconut milk'],
  ['butter', '20 g butter', ['margarine']],
  ['margarine', '20 g margarine', ['butter']],
  ['sesame oil', '1 tbsp sesame oil'],
  ['mayonnaise', '2 tbsp vegan mayo'],
  ['mustard', '1 tbsp mustard'],
  ['miso', '1 tbsp miso'],
  ['gherkins', '4 gherkins'],
  ['cheese', '50 g vegan cheese'],
  ['cream', '100 ml oat cream'],
  ['yoghurt', '100 g soya yoghurt'],
  ['honey', '1 tbsp maple syrup', ['honey']],
  ['jam', '2 tbsp jam'],
  ['sausages', '4 vegan sausages'],
  ['bacon', '100 g tempeh bacon'],
  ['gravy', '200 ml gravy'],
  ['hummus', '100 g hummus'],
  ['olives', '10 olives'],
  ['ketchup', '2 tbsp ketchup'],
];

describe('what limits look at is covered by itself alone', () => {
  for (const [word, own, same = []] of OFFENDING)
    test(word, () => {
      for (const [other, line] of OFFENDING) {
        if (line === own || same.includes(other)) continue;
        for (const deed of DEEDS)
          expect([line, broughtFrom(line, deed(word)).map((l) => l.line.text)]).toEqual([
            line,
            expect.arrayContaining([word]),
          ]);
      }
    });
});

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
