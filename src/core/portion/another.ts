/** What leftovers commonly become: a name for it, the line of what is added, and what is done. */
export interface Another {
  readonly id: string;
  readonly say: string;
  /** The new dish as a recipe that holds the leftovers as a food of their own. */
  readonly recipe: (name: string, grams: number) => string;
}

/** Grams of a plate out of a box. */
export const PLATE_G = 300;
const plates = (grams: number) => Math.max(1, Math.round(grams / PLATE_G));
const lower = (name: string) => name.charAt(0).toLowerCase() + name.slice(1);
const soak = (grams: number) => Math.round((grams * 0.5) / 50) * 50;

/** Ways to turn what is left into another dish (common practice); what is in it stays in it, with its salt and fat. */
export const ANOTHER: readonly Another[] = [
  {
    id: 'soup',
    say: 'a soup',
    recipe: (name, g) =>
      `Soup of the ${lower(name)}\nServes ${plates(g)}\n\n${g} g leftover ${lower(name)}\n${soak(g)} ml water\n\nBlend the leftovers with the water and bring to the boil, stirring. Loosen with more water where it is thick.\n`,
  },
  {
    id: 'sauce',
    say: 'a sauce for pasta',
    recipe: (name, g) =>
      `Pasta with ${lower(name)} sauce\nServes ${plates(g)}\n\n${g} g leftover ${lower(name)}\n${plates(g) * 75} g wholewheat pasta\n\nBoil the pasta without salt and keep a cup of its water. Blend the leftovers, heat them through and loosen with the water. Toss.\n`,
  },
  {
    id: 'potato',
    say: 'a filling for baked potatoes',
    recipe: (name, g) =>
      `Baked potatoes with ${lower(name)}\nServes ${plates(g)}\n\n${plates(g)} large potatoes\n${g} g leftover ${lower(name)}\n\nBake the potatoes for an hour at 200 °C. Heat the leftovers until they steam and spoon them over.\n`,
  },
];
