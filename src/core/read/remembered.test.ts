import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from './read';

const settings = { measures: US_MEASURES, corrections: {} };
const lineOf = (text: string, words: string) =>
  readRecipe(parseRecipe(text), settings).lines.find((l) => l.line.text === words);

const LIST = 'Bowl\nServes 4\n\n400 g cooked rice\n';
const PLAIN = `${LIST}30 g walnuts\n`;

// whichever was read first, the other is read by its own part
test.each([
  ['Optional toppings', 'optional'],
  ['For each person', 'each'],
])('the same words under “%s” and under nothing', (section, how) => {
  const under = `${LIST}\n${section}:\n30 g walnuts\n`;
  for (const order of [
    [under, PLAIN],
    [PLAIN, under],
  ]) {
    for (const text of order) readRecipe(parseRecipe(text), settings);
    const [own, plain] = [lineOf(under, '30 g walnuts'), lineOf(PLAIN, '30 g walnuts')];
    expect(plain?.optional).toBe(false);
    expect(plain?.foods[0]?.grams?.best).toBe(30);
    expect(own?.optional).toBe(how === 'optional');
    expect(own?.foods[0]?.grams?.best).toBe(how === 'each' ? 120 : 30);
  }
});
