import { type Named, type Sentence } from '@/core/step/clauses';
import { MADE, PREPOSITIONS, verbOf } from '@/core/step/lexicon';
import { refersTo } from '../refer';
import { isMeasure, MADE_FROM } from './measured';
import { type Scan, foodsOf } from './scan';

/** What is made of others as often as it is bought. */
export const MADE_THINGS = new Set(['syrup', 'condiment', 'plant-dairy', 'cheese']);

/** Foods with amounts by which a bracket is a list. */
const FEWEST_IN_BRACKET = 2;
/** "custard (500 ml oat milk, 2 tbsp custard powder)": where the bracket ends that what is named is made of; -1 where none is. */
export function madeInBracket(scan: Scan, s: Sentence, named: Named): number {
  if (s.tokens[named.to]?.word !== '(') return -1;
  const length = s.tokens.slice(named.to, s.to).findIndex((t) => t.word === ')');
  const kind = scan.larder.foodById(named.id)?.kind ?? '';
  const isThing = MADE_THINGS.has(kind) || MADE.has(s.tokens[named.to - 1]?.word ?? '');
  if (length < 0 || !isThing) return -1;
  const to = named.to + length;
  const parts = s.clauses
    .flatMap((c) => foodsOf(s, c))
    .filter((n) => n.from > named.to && n.to <= to && isMeasured(s, n.from));
  return parts.length >= FEWEST_IN_BRACKET ? to : -1;
}
/** Deeds by which one thing is made of others. */
const MAKES = new Set('blitz blend whizz mix whisk pound mash tear grate crumble process soak'.split(' '));
const CUTS = new Set('cube cut dice chop slice'.split(' '));
/** What it is made of, or where it goes, between a thing's name and its dash. */
const MADE_OF = new Set(['from', 'of', 'out', 'made']);
const DASHES = new Set(['-', '–', '—']);
/** Tokens between a thing's name and the dash behind it. */
const LONGEST_TO_DASH = 5;
/** "croutons on top - cube 4 slices of bread": true where what is named is made of what its sentence goes on to list. */
export function madeBehindDash(scan: Scan, s: Sentence, named: Named): boolean {
  let dash = named.to;
  while (dash < Math.min(s.to, named.to + LONGEST_TO_DASH) && s.tokens[dash]?.kind === 'word') dash += 1;
  if (!DASHES.has(s.tokens[dash]?.word ?? '') || isMeasured(s, named.from)) return false;
  const food = scan.larder.foodById(named.id);
  const kind = food?.kind ?? '';
  const word = s.tokens[named.to - 1];
  const isThing =
    MADE_THINGS.has(kind) ||
    MADE.has(word?.word ?? '') ||
    MADE_FROM.has(word?.normal ?? '') ||
    food?.kindClass === 'animal';
  const parts = s.clauses.flatMap((c) => foodsOf(s, c)).filter((n) => n.from > dash);
  const [first] = parts;
  if (!isThing || !first || !isMeasured(s, first.from)) return false;
  const said = s.tokens[dash + 1]?.word ?? '';
  const deed = verbOf(said)?.verb.id ?? said;
  const between = s.tokens.slice(dash + 2, first.from).map((t) => t.word);
  if (MAKES.has(deed) || (CUTS.has(deed) && MADE_FROM.has(word?.normal ?? '')))
    return !between.some((w) => PREPOSITIONS.has(w) && w !== 'of');
  return MADE_OF.has(s.tokens[named.to]?.word ?? '');
}
/** True where some food of a bracket is not on the list: then its others are not the list's either. */
export const bringsItsOwn = (scan: Scan, s: Sentence, from: number, to: number): boolean =>
  s.clauses
    .flatMap((c) => foodsOf(s, c))
    .some((n) => {
      const food = n.from > from && n.to <= to ? scan.larder.foodById(n.id) : undefined;
      const words = s.tokens.slice(n.from, n.to).map((t) => t.normal);
      return food !== undefined && refersTo(food, words, false, scan.cover).length === 0;
    });
/** True where a measure or a number stands right before a food's name. */
export const isMeasured = (s: Sentence, at: number): boolean =>
  s.tokens.slice(Math.max(s.from, at - 3), at).some((t) => t.kind === 'number' || isMeasure(t.word));
