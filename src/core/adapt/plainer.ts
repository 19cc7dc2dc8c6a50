import type { Corners } from '@/core/range/bounds';
import { exact } from '@/core/range/range';
import { remembered } from '@/core/read/remembered';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';
import { amountSwap } from './amounts';
import { allergensOf, bestGrams, type Choice } from './choice';

const PLAINER: readonly (readonly [suffix: string, name: string])[] = [
  [', no salt added', 'The one without salt'],
  [', unsweetened', 'The unsweetened one'],
  [', no added sugar', 'The one without added sugar'],
  [', no oil or salt added', 'The one without oil and salt'],
  [', oil free', 'The one without oil'],
  [', whole grain', 'The whole-grain one'],
  [', cooked without salt', 'Cooked without salt'],
];

/** A line as other words in its place are read. */
const readAs = (read: ReadRecipe, line: ReadLine, text: string, settings: ReadSettings): ReadLine =>
  remembered({ ...line.line, text }, { ...settings, corrections: {} }, read.servings.range.best);

/** What a choice is that only says a line otherwise. */
const saidAs = (
  read: ReadRecipe,
  index: number,
  next: ReadLine,
  corners: Corners,
  closeness: number,
): Omit<Choice, 'swap'> => ({
  written: { line: next.line.text, step: null },
  share: 1,
  corners: [corners],
  yieldOf: read.yields[index]?.factor ?? exact(1),
  closeness,
  leans: [],
  allergens: allergensOf(next),
  grams: bestGrams(next),
});

/** "1 tin tomatoes" may be salted or not: saying which one to buy is the gentlest change of all. */
export function plainerChoices(read: ReadRecipe, index: number, settings: ReadSettings): Choice[] {
  const line = read.lines[index] as ReadLine;
  if (line.foods[0]?.food?.kind === 'stock' && MADE_OF_CUBES.test(line.line.text))
    return withoutCubes(read, index, settings);
  if (line.origin !== 'ingredients' || !line.foods.some((f) => f.might.length > 0) || line.foods.length > 1)
    return [];
  const seen = new Set<string>();
  const own = line.line.text;
  const name = line.foods[0]?.text ?? '';
  const at = own.toLowerCase().indexOf(name);
  // behind the name where more is said of it, else at the end
  const places = [
    ...(at >= 0 && /[,(–-]/.test(own.slice(at)) ? [at + name.length] : []),
    own.replace(/\s+\|.*$/, '').length,
  ];
  // nobody sells an unsweetened vinegar
  const acid = line.foods[0]?.food?.kind === 'acid';
  const ways = PLAINER.filter(([suffix]) => !(acid && suffix === ', unsweetened'));
  return ways.flatMap(([suffix, name]) => {
    const next = places
      .map((place) => readAs(read, line, `${own.slice(0, place)}${suffix}${own.slice(place)}`, settings))
      .find((l) => l.corners !== null && l.foods.length === 1 && l.foods.every((f) => f.might.length === 0));
    if (next === undefined) return [];
    // of several ways to say the same the first is said
    const meant = next.foods[0]?.food?.id ?? '';
    if (seen.has(meant)) return [];
    seen.add(meant);
    return [
      {
        swap: amountSwap('plainer', name, 1, 'Read the label: it must say so.', 0.98, 'the same food'),
        ...saidAs(read, index, next, next.corners as Corners, 0.98),
      },
    ];
  });
}

const CONCENTRATE = '(?:cubes?|bouillon|stock pots?|(?:stock )?(?:powder|granules|paste))';
/** "2 litres stock (I use 3 cubes)", "1 litre stock made with 2 tsp bouillon powder". */
const MADE_OF_CUBES = new RegExp(
  String.raw`\b(?:stock|broth)\b(?:.*[(,;–—-]| (?:made |using |from )(?:up )?)[^()]*\b${CONCENTRATE}\b`,
  'i',
);
const OF_CUBES = new RegExp(
  String.raw`\s*(?:[(,;–—-]| (?:made|using|from)\b)[^(),;]*\b${CONCENTRATE}\b[^()]*\)?`,
  'i',
);

/** Stock that is made of cubes, bought without salt. */
function withoutCubes(read: ReadRecipe, index: number, settings: ReadSettings): Choice[] {
  const line = read.lines[index] as ReadLine;
  const text = `${line.line.text.replace(OF_CUBES, '')}, no salt added`;
  const next = readAs(read, line, text, settings);
  if (!next.corners || next.foods.length > 1) return [];
  return [
    {
      swap: amountSwap(
        'plainer',
        'Stock without salt',
        1,
        'Of vegetables simmered for half an hour, or of cubes or powder that say so.',
        { taste: 0.8, texture: 1, look: 1 },
        'milder; season with acid and herbs at the end',
      ),
      ...saidAs(read, index, next, next.corners, 0.85),
    },
  ];
}

const OR_MORE = /\s*(?:\/|,?\s+(?:or|and\/or))\s.*$/i;
const OR_IN_BRACKETS = /\s*\((?:or|and\/or)\b[^)]*\)/i;

/** "brown rice / vermicelli": taking one of them and not the other. */
export function oneOfThem(read: ReadRecipe, index: number, settings: ReadSettings): Choice[] {
  const line = read.lines[index] as ReadLine;
  if (line.origin !== 'ingredients' || line.alternatives.length === 0) return [];
  const own = line.line.text;
  const texts = [
    own.replace(OR_IN_BRACKETS, ''),
    own.replace(OR_MORE, ''),
    ...line.alternatives.map((a) => {
      // "or salsa, 3 tbsp" brings its amount along; else it goes by the first one's
      const at = own.toLowerCase().indexOf(a.text.toLowerCase());
      const first = own.toLowerCase().indexOf(line.words?.foods[0]?.food ?? own);
      const rest = at < 0 ? a.text : own.slice(at);
      return /\d/.test(rest) || first <= 0 ? rest : `${own.slice(0, first)}${a.text}`;
    }),
  ];
  return [...new Set(texts)].flatMap((text) => {
    if (text === own || text.length < 3) return [];
    const next = readAs(read, line, text, settings);
    if (!next.corners || next.alternatives.length > 0) return [];
    return [
      {
        swap: amountSwap(
          'one-of-them',
          `Take ${next.foods[0]?.food?.name.toLowerCase() ?? 'one'}`,
          1,
          'The recipe offers several; take this one.',
          0.99,
          'the recipe offers it',
        ),
        ...saidAs(read, index, next, next.corners, 0.99),
      },
    ];
  });
}
