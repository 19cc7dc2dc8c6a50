import { highOf, isOpen, soupWith } from './told-soup';

const AVOIDED = [
  'Pip is allergic to walnuts.',
  'Pip, who can’t have walnuts, gets hers plain.',
  "Wren can't eat walnuts.",
  'Bea has an allergy to walnuts.',
  'Bea hates walnuts.',
  "Bea doesn't eat walnuts.",
  'Tomo avoids walnuts.',
  'Ines is allergic to sesame and walnuts.',
  'Ines cannot have walnuts or peanuts.',
];
const GOES_IN = [
  'Bea is allergic to peanuts, so stir in 20 g walnuts.',
  'Pip hates celery and gets 20 g walnuts.',
  "Wren can't have sesame: use 20 g walnuts.",
  "Wren can't have sesame but 20 g walnuts are fine.",
  'Pip is allergic to soy. Add 20 g walnuts.',
  'Tomo avoids oil, 20 g walnuts go on top.',
  "Bea doesn't eat peanuts, I add 20 g walnuts.",
  'I hate to add 20 g walnuts but I do.',
];

test.each(AVOIDED)('%s', (said) => expect(highOf(soupWith('1 tin chickpeas', said), 'walnut')).toBe(0));
test.each(GOES_IN)('%s', (said) => {
  const recipe = soupWith('1 tin chickpeas', said);
  expect(isOpen(recipe) || highOf(recipe, 'walnut') >= 20).toBe(true);
});
