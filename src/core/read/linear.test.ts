import { auditText } from '@/core/audit/text';
import { readLabel } from '@/core/label/read';
import { PROTOCOLS, type Protocol } from '@/core/protocol';

const protocol = PROTOCOLS[0] as Protocol;
const times = (words: string) => (n: number) => words.repeat(Math.floor(n / words.length));
const list = (of: (n: number) => string) => (n: number) => `Pot\nServes 2\n\n1 onion\n${of(n)}`;
const method = (of: (n: number) => string) => (n: number) =>
  `Pot\nServes 2\n\nIngredients\n1 onion\n\nMethod\n${of(n)}`;
const cooklang = (of: (n: number) => string) => (n: number) => `@onion{}\n${of(n)}`;

type Shape = readonly [name: string, of: (n: number) => string];
/** What a text is repeated from that once took longer than its length: quadratic and cubic searches. */
const ROWS = [
  '[',
  '_a ',
  '*a ',
  '`a',
  '~~a',
  '[a](',
  '()',
  '(',
  '"',
  '1-',
  '1/',
  '½',
  '- ',
  'a: ',
  'x-',
  ' ',
  '1 1/2 ',
  'salt pepper oil tofu ',
  ', chopped',
  ' or leek',
  ' and 2 leeks',
  ' plus 1 tsp',
  ', 2 tbsp oil',
  ' (or oil)',
  'é',
  '—',
  '1.',
  '°',
  'no ',
  'to taste ',
  'half of the ',
  'about ',
  '1 g ',
  '1 g for ',
  ' each (40 g)',
  ' 40 g each',
  ' -> ',
  ' = a',
  ', low salt if you can find it',
  'a? ',
  '70 g a head b',
  'three hundred and ',
  ' of the a one',
  ' stirred till',
  'oil - 200, ',
  'a oil: the book says 3 tbsp, I use ',
  'a oil - no. ',
  'a? nope, well ',
  'outer and leaves of a b ',
  '6 of the big leaves ',
  'a egg but we use b ',
  'half a bag a (bag is ',
  ' till it is dry',
  ' which is a cup and a half',
  '2 big or 3 small ',
  'walnuts and seeds, a handful of each ',
  'a and b, - ',
  'oil -> gone, a ',
  'oil, optional but a ',
  'oil - I use none, dry a ',
  'feta-style a ',
  '1 tsp oil per batch a ',
  'a - half a jar (150 g) ',
  'every morning a ',
  '12 squares (I cut it in 9 ',
  'serves me & him + ',
  'for two you a ',
  '2 tbsp a? No, ',
  ', the low salt one, half of it',
  ' → baked',
  'a tin of a, ',
  ' (240 g drained',
  'for 2 big or ',
  'makes 10 - two each - so ',
  '3 slices, have ',
  'salt: 1 tsp for a, otherwise ',
  'Oil 2. ',
  '[18:02] Nia: ',
];
const SENTENCES = [
  'Fry in oil. ',
  'fry it in oil and ',
  'do not add ',
  'for 10 minutes, ',
  'until golden ',
  'the rest of ',
  'without ',
];
const SHAPES: readonly Shape[] = [
  ...ROWS.map((words): Shape => [`a line of “${words}”`, list(times(words))]),
  ...ROWS.map((words): Shape => [
    `a line that begins with 1 cup and “${words}”`,
    list((n) => `1 cup${times(words)(n)}`),
  ]),
  ...SENTENCES.map((words): Shape => [`a step of “${words}”`, method(times(words))]),
  ...SENTENCES.map((words): Shape => [`steps of “${words}”`, method((n) => times(`${words.trim()}\n`)(n))]),
  ['digits before a unit', list((n) => `${'1'.repeat(n)} g salt`)],
  ['blanks before a food', list((n) => `1${' '.repeat(n)}onion`)],
  ['letters', list((n) => `1 ${'a'.repeat(n)}`)],
  ['rows', list(times('1 onion\n'))],
  ['pieces for each behind steps', method(times('2 rolls each\nroll it\n'))],
  ['footnotes', list(times('*check it\n'))],
  ['refusals above headings', list(times('no oil\nSauce:\n'))],
  ['blank rows', list((n) => `${'\n'.repeat(n)}1 leek`)],
  ['headings', list(times('For the sauce:\n1 onion\n'))],
  ['a table', list(times('|1 onion|'))],
  ['a Cooklang heading of blanks', cooklang((n) => `= a${' '.repeat(n)}x`)],
  ['a Cooklang fact of blanks', cooklang((n) => `>>${' '.repeat(n)}`)],
  ['a Cooklang fact without a value', cooklang((n) => `>> a${' '.repeat(n)}`)],
  ...['@a ', '@a{', '#a ', '~a ', '~{', '[- ', '-- ', '@a|', '@a(', '('].map((words): Shape => [
    `Cooklang “${words}”`,
    cooklang(times(words)),
  ]),
  ...['<', '‹', '<b>', '<p>', '<script>', '<!--', '&a', '<a href="', '<div '].map((words): Shape => [
    `HTML “${words}”`,
    (n) => `<p>1 onion</p>${times(words)(n)}`,
  ]),
];
const LABELS: readonly Shape[] = [
  ['serving size', times('serving size ')],
  ['serving size and blanks', (n) => `serving size${' '.repeat(n)}`],
  ['figures', times('fat 1 g ')],
  ['digits', (n) => `Energy ${'1'.repeat(n)}`],
  ['per 100 g', times('per 100 g ')],
  ['net weight', times('net weight ')],
  ['nested ingredients', (n) => `Ingredients: ${times('a(b,')(n)}`],
  ['ingredients', (n) => `Ingredients: ${times('salt, ')(n)}`],
  ['percentages', (n) => `Ingredients: ${times('salt 1%, ')(n)}`],
  ['may contain', (n) => `Ingredients: a. ${times('may contain ')(n)}`],
  ['less than 2 %', (n) => `Ingredients: ${times('less than 2% of ')(n)}`],
  ['claims', times('no added ')],
];

/** Two whole rows: longer ones are cut, so a shorter one would stand for less than its share. */
const SHORT = 3000;
/**
 * Grows an input fourfold until it is 32 times as long. Linear work then takes about 32 times as long; quadratic work
 * 1024 times, and is stopped by the first size that shows it. The factor leaves room for a loaded machine.
 */
function grows(of: (n: number) => string, read: (text: string) => void): string | null {
  const took = (n: number) => {
    const text = of(n);
    const start = performance.now();
    read(text);
    return performance.now() - start;
  };
  read(of(500));
  const base = Math.max(took(SHORT), took(SHORT + 1), 20);
  for (const times of [4, 16, 32]) {
    let ms = took(SHORT * times);
    // somebody else's work on the machine is not this text's: once more, and twice as much room
    if (ms > base * times * 6) ms = Math.min(ms, took(SHORT * times));
    if (ms > base * times * 6 && ms > 400)
      return `${times} times the length took ${Math.round(ms)} ms, ${SHORT} characters ${Math.round(base)}`;
  }
  return null;
}

test.each(SHAPES)('%s: reading takes as long as the text is', (_, of) => {
  expect(grows(of, (text) => auditText(text, protocol))).toBeNull();
});
test.each(LABELS)('a label of %s: reading takes as long as it is', (_, of) => {
  expect(grows(of, (text) => readLabel(text, [protocol]))).toBeNull();
});
