import { highOf, isOpen, soupWith } from './told-soup';

/** Foods that are the refined kind where nothing else is said, the words that make them the whole one, and the refined one. */
const KINDS: readonly (readonly [string, string, string])[] = [
  ['toast', 'wholemeal', 'bread-white'],
  ['bread', 'wholemeal', 'bread-white'],
  ['rolls', 'wholemeal', 'burger-bun'],
  ['rice', 'brown', 'rice-white'],
  ['noodles', 'wholewheat', 'udon'],
];
const ROWS = [
  '300 g FOOD, the KIND kind',
  '300 g FOOD, KIND ones',
  '300 g FOOD - the KIND ones',
  '300 g FOOD (the KIND kind)',
  '300 g FOOD (KIND)',
];
const SENTENCES = [
  'Serve with FOOD, the KIND kind.',
  'Serve with FOOD - the KIND ones.',
  'Serve with FOOD (KIND).',
  'Serve with FOOD, KIND, 60 g each.',
  'FOOD on the side, 60 g each, the KIND kind.',
];
const grams = (recipe: ReturnType<typeof soupWith>): string =>
  recipe.lines
    .slice(1, -1)
    .flatMap((l) => l.foods.map((f) => f.food?.id ?? 'nothing'))
    .join(' ');

test.each(KINDS)(
  '%s behind which "%s" is told is the whole kind, in rows and in sentences',
  (food, kind, refined) => {
    const said = (frame: string, as: string) => frame.replace('FOOD', food).replace('KIND', as);
    const wrong: string[] = [];
    for (const frame of ROWS) {
      const whole = soupWith(said(frame, kind));
      if (
        !isOpen(whole) &&
        whole.lines[1]?.foods[0]?.food?.kindClass !==
          soupWith(`300 g ${kind} ${food}`).lines[1]?.foods[0]?.food?.kindClass
      )
        wrong.push(`${said(frame, kind)}: ${grams(whole)}`);
    }
    for (const frame of SENTENCES) {
      const told = soupWith('1 tin chickpeas', said(frame, kind));
      const plain = soupWith('1 tin chickpeas', `Serve with 60 g ${kind} ${food} each.`);
      const id = plain.lines.at(-1)?.foods[0]?.food?.id ?? '';
      // never less than is said, be it read as the whole kind or, to be sure, as the plain one
      if (!isOpen(told) && highOf(told, id) + highOf(told, refined) < 60)
        wrong.push(`${said(frame, kind)}: ${grams(told)}`);
    }
    expect(wrong).toEqual([]);
  },
);

test.each(KINDS)('a denied kind leaves %s as it is', (food, kind) => {
  for (const row of [`300 g ${food}, not the ${kind} kind`, `300 g ${food} (never the ${kind} ones)`]) {
    const denied = soupWith(row);
    const plain = soupWith(`300 g ${food}`);
    if (!isOpen(denied)) expect(denied.lines[1]?.foods[0]?.food?.id).toBe(plain.lines[1]?.foods[0]?.food?.id);
  }
});

const WITH_TOAST = [
  'Toast on the side.',
  'Toast on the side, a slice each.',
  'Toast, two slices each.',
  'Toast, wholemeal, two slices each.',
  'Toast to go with it.',
  'Toast with it.',
  'Toast alongside.',
  'Toast each.',
  'Toast for everyone.',
  'Toast goes well.',
];
test.each(WITH_TOAST)('"%s" is bread, and no deed', (told) => {
  const recipe = soupWith('1 tin chickpeas', told);
  expect(Math.max(highOf(recipe, 'bread-white'), highOf(recipe, 'bread-whole'))).toBeGreaterThan(80);
});
test.each([
  'Toast the seeds.',
  'Toast for 5 minutes.',
  'Toast on a tray, 5 minutes.',
  'Toast to a golden brown.',
])('"%s" is a deed', (told) => {
  const recipe = soupWith('30 g sunflower seeds', told);
  expect(highOf(recipe, 'bread-white')).toBe(0);
});
