import { auditText } from './text';
import type { RecipeAudit } from './schema';
import { protocolById, type Protocol } from '@/core/protocol';

/*
 * Never a false "within": wherever a cook may put a food that is not allowed, it is counted, or the line is said not to
 * be understood. Every way of saying it is tried with every food that it is said of.
 */
const strict = protocolById('heart-strict') as Protocol;
const added = protocolById('nothing-added') as Protocol;
const audit = (lines: string, method: string, protocol: Protocol): RecipeAudit => {
  const result = auditText(`Lock pot\nServes 4\n\nIngredients\n${lines}\n\nMethod\n${method}`, protocol);
  if (!result.ok) throw new Error(result.message);
  return result.audit.recipes[0] as RecipeAudit;
};
const passes = (a: RecipeAudit) => a.verdict === 'within' || a.verdict === 'near';

const OWN = ['2 aubergines', '500 g potatoes', '1 onion, sliced', '200 g mushrooms', '1 head broccoli'];
const OIL = [
  'olive oil',
  '2 tbsp oil',
  'a little butter',
  '1 tbsp vegan margarine',
  'a drizzle of sesame oil',
];
const SALT = ['soy sauce', '1 tsp salt', 'a pinch of sea salt', '1 tbsp tamari'];

/** Ways in which a line tells what is done to its food with another. */
const LINES: readonly ((own: string, other: string) => string)[] = [
  (own, other) => `${own}, fried in ${other}`,
  (own, other) => `${own}, brushed with ${other}`,
  (own, other) => `${own}, tossed in ${other}`,
  (own, other) => `${own}, roasted with ${other}`,
  (own, other) => `${own}, plus ${other}`,
  (own, other) => `${own} and ${other}`,
  (own, other) => `${own} (fried in ${other})`,
  (own, other) => `${own}, ${other}`,
];
/** Ways in which only the method says it. */
const STEPS: readonly ((other: string) => string)[] = [
  (other) => `Fry everything in ${other} until soft.`,
  (other) => `Heat ${other} in a pan. Add the rest and cook.`,
  (other) => `Simmer until soft, then stir in ${other}.`,
  (other) => `Roast for an hour. Finish with ${other}.`,
  (other) => `Mash with ${other} and serve.`,
];

const cross = <A, B, C>(a: readonly A[], b: readonly B[], c: readonly C[]): [A, B, C][] =>
  a.flatMap((x) => b.flatMap((y) => c.map((z): [A, B, C] => [x, y, z])));

describe('what a line does with another food is never overlooked', () => {
  test('fat', () => {
    const missed = cross(LINES, OWN, OIL)
      .map(([say, own, other]) => say(own, other))
      .filter((text) => passes(audit(`${text}\n1 kg lentils`, 'Cook it.', strict)));
    expect(missed).toEqual([]);
  });
  test('salt', () => {
    const missed = cross(LINES, OWN, SALT)
      .map(([say, own, other]) => say(own, other))
      .filter((text) => passes(audit(`${text}\n1 kg potatoes`, 'Cook it.', added)));
    expect(missed).toEqual([]);
  });
  test('a food that is not known is not passed over', () => {
    const missed = cross(LINES, OWN, ['3 tbsp glorbel', '100 g frumious paste'])
      .map(([say, own, other]) => say(own, other))
      .filter((text) => passes(audit(`${text}\n1 kg lentils`, 'Cook it.', strict)));
    // what is only said to be done with it, without an amount of its own, may pass for how it is done
    expect(missed.filter((text) => /, \d|plus|\band\b/.test(text))).toEqual([]);
  });
});

describe('what only the method says is never overlooked', () => {
  test('fat', () => {
    const missed = STEPS.flatMap((say) => OIL.map(say)).filter((step) =>
      passes(audit('500 g potatoes\n2 onions\n1 kg lentils', step, strict)),
    );
    expect(missed).toEqual([]);
  });
  test('salt', () => {
    const missed = STEPS.flatMap((say) => SALT.map(say)).filter((step) =>
      passes(audit('500 g potatoes\n2 onions', step, added)),
    );
    expect(missed).toEqual([]);
  });
});

describe('and what is said to be left out is not counted', () => {
  test.each([
    ['2 aubergines, fried without oil', 'Cook it.'],
    ['2 aubergines', 'Fry in a dry pan, no oil needed.'],
    ['2 aubergines, roasted with rosemary', 'Roast on baking paper.'],
    ['2 aubergines, cooked in water', 'Simmer in unsalted water.'],
    ['2 aubergines, tossed in lemon juice', 'Serve.'],
  ])('%s. %s', (line, step) => expect(passes(audit(`${line}\n1 kg potatoes`, step, strict))).toBe(true));
});
