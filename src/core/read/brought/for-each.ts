import { type ClauseSpan, type Sentence } from '@/core/step/clauses';
import { PREPOSITIONS } from '@/core/step/lexicon';
import { PIECES } from '@/core/recipe/each-last';
import { DOES } from '@/core/step/people';

export const EACH = new Set(['each', 'apiece', 'pp']);
const HEADS = new Set(['head', 'person', 'plate', 'diner', 'eater', 'serving', 'portion', 'bowl', 'go']);
/** What a meal is packed into. */
const BOXES = new Set(['box', 'lunchbox', 'tub']);
/** Bread that is filled or topped, one behind the other. */
const FILLED = new Set([
  'bun',
  'bap',
  'roll',
  'wrap',
  'burger',
  'pitta',
  'bagel',
  'crumpet',
  'pancake',
  'patty',
]);
/** What is eaten from by one: a thing of which there are as many as eaters. */
const OF_ONE = new Set([...HEADS, ...BOXES, 'pot', 'glass', 'jar', 'mug', 'helping', 'ramekin']);
/** "per head", "a plate", "per pancake": so much for every one, at a place behind an amount. */
export const isPerOne = (word: string, thing: string): boolean =>
  (word === 'a' && (HEADS.has(thing) || BOXES.has(thing) || FILLED.has(thing))) ||
  (word === 'per' && (OF_ONE.has(thing) || PIECES.includes(thing)));
const PLACED = new Set(['for', 'on', 'to', 'in', 'over', 'into']);
const DAYS = new Set('morning day evening night breakfast lunch'.split(' '));
/** Words between a food and the day on which it is eaten. */
const FARTHEST_DAY = 8;
/** Whether "each", "a head", "for each of us", "on each plate" stands at a place, behind an amount or its food. */
export function isForEach({ tokens, to }: Pick<Sentence, 'tokens' | 'to'>, at: number): boolean {
  const word = (k: number) => (k < to ? (tokens[k]?.word ?? '') : '');
  if (EACH.has(word(at)) || isPerOne(word(at), word(at + 1))) return true;
  // "30 g walnuts and a banana each morning"
  for (let k = at; k < Math.min(to, at + FARTHEST_DAY); k += 1)
    if (word(k) === 'each' && DAYS.has(word(k + 1))) return true;
  if (!PLACED.has(word(at))) return false;
  if (word(at) === 'for' && ['everyone', 'everybody'].includes(word(at + 1))) return true;
  if (!['each', 'every'].includes(word(at + 1))) return false;
  const thing = tokens[at + 2];
  return (
    at + 2 >= to ||
    thing?.kind !== 'word' ||
    OF_ONE.has(thing.normal) ||
    (thing.word === 'of' && ['us', 'you', 'them'].includes(word(at + 3)))
  );
}
/** Words behind "each" that are no thing which is filled or topped. */
const NO_THING = new Set(
  'time of other end way hour pan tray tin minute addition turn day one step'.split(' '),
);
/** Of which there are two or more: "brush each layer with 1 tbsp". */
const SURFACES = new Set(['side', 'layer', 'batch', 'sheet']);
/** What is put on a plate by eye, one for each who eats. */
const DOLLOPS = new Set(
  'dollop dollops blob blobs spoon spoonful spoonfuls scoop scoops knob smear scrape dab ladle ladleful'.split(
    ' ',
  ),
);
const AT_TABLE = new Set(['serve', 'eat', 'have', 'top']);
const POURED_AT_TABLE = new Set(['serve', 'eat', 'have']);

const EATERS =
  '(?:everyone|everybody|(?:each|all) of (?:us|you|them)|(?:we|they|you) (?:all|each)|each (?:one|person|of us))';
const PLATED = '(?:bowl|plate|portion|serving|helping|pot|glass)';
/** "everyone gets", "I give each person", "a bowl has", "on each one goes": before an amount, of which each has so much. */
const EVERYONES = new RegExp(
  String.raw`\b${EATERS} (?:has|have|had|ate|gets?|takes?|eats?|needs?|wants?|puts?|adds?)\b|\b(?:give|gives|allow|serve|hand|feed|offer) ${EATERS}\b|\b(?:one|an?|my|every|each) ${PLATED} (?:has|gets|takes|holds|needs)\b|\b(?:plates|bowls|portions) (?:get|have|take)\b|\ball (?:of )?(?:the )?(?:plates|bowls|portions) (?:with|get|have)\b|\bon (?:each|every) one\b|^(?:each|every|per|a) ${PLATED}\b`,
);

const BOWLS_WITH =
  /^(?:\d{1,2}|two|three|four|five|six|seven|eight|ten) (?:[a-z]+ )?(?:plates|bowls|portions|boxes|jars|glasses) (?:, )?with\b/;
const OWN_ONE = new Set(['mine', 'hers', 'his', 'theirs', 'yours', 'ours']);
const OWNER = new Set(['my', 'her', 'his', 'their', 'your', 'our']);
const OWN_PLATE = new Set(['plate', 'bowl', 'portion', 'share', 'half', 'helping', 'one', 'slice', 'jar']);
const TAKES = new Set(['with', 'has', 'gets', 'takes', 'have']);
/** "Pip has 15 g on hers", "1 tbsp over my bowl": so much on one plate, which another plate may not have. */
function onOnesOwn({ tokens }: Sentence, c: ClauseSpan): boolean {
  for (let k = c.from; k < c.to - 1; k += 1) {
    const place = tokens[k]?.word ?? '';
    // "he has his with 20 g peanuts", "my own gets 2 tsp"
    const owned =
      OWNER.has(place) && (tokens[k + 1]?.word === 'own' || OWN_PLATE.has(tokens[k + 1]?.word ?? ''));
    const own = owned ? k + 1 : OWN_ONE.has(place) ? k : -1;
    if (own >= 0 && TAKES.has(tokens[own + 1]?.word ?? '')) return true;
    if (!['on', 'over', 'in', 'for', 'onto', 'to'].includes(place)) continue;
    const next = tokens[k + 1]?.word ?? '';
    const ends = k + 2 >= c.to || tokens[k + 2]?.kind === 'mark';
    if (OWN_ONE.has(next) && (ends || place === 'on' || place === 'over')) return true;
    // "on Pip's"
    if (ends && place !== 'for' && place !== 'to' && /^[a-z]+['’]s$/.test(next)) return true;
    if (['on', 'over', 'onto'].includes(place) && OWNER.has(next) && OWN_PLATE.has(tokens[k + 2]?.word ?? ''))
      return true;
  }
  return false;
}

/**
 * " each" where an amount is for every plate: "add 1 tbsp to each bowl", "serve with a dollop of it"; as much again where
 * there may be more pieces than eaters: "top each with 1 tsp".
 */
export function onEach(s: Sentence, c: ClauseSpan, start: number, from: number): string {
  const lead = [...s.label, ...s.tokens.slice(c.from, start)].map((t) => t.word).join(' ');
  if (start < from && EVERYONES.test(lead)) return ' each';
  // "six bowls with a swirl of yoghurt and a slice of rye"
  const opening = s.tokens.slice(s.from, Math.min(s.from + 5, start)).map((t) => t.word);
  if (start < from && BOWLS_WITH.test(opening.join(' '))) return ' each';
  if (onOnesOwn(s, c)) return ' each';
  for (let k = c.from; k < c.to; k += 1) {
    // "per person serve with 75 g spaghetti"
    if (s.tokens[k]?.word === 'per' && k < start && OF_ONE.has(s.tokens[k + 1]?.normal ?? '')) return ' each';
    // "1 tbsp vinegar + 1 tsp soy, per person"
    const last = k > from && s.tokens[k - 1]?.word === ',' && s.tokens[k]?.word === 'per';
    if (last && OF_ONE.has(s.tokens[k + 1]?.normal ?? '')) return ' each';
    if (!['each', 'every'].includes(s.tokens[k]?.word ?? '') || (k >= start && k < from)) continue;
    const next = s.tokens[k + 1];
    const thing = next?.kind === 'word' ? next.normal : '';
    // "a teaspoon each of cumin and coriander"
    if (SURFACES.has(thing)) return ', plus more';
    // "we have 2 each in 1 wholemeal pitta"
    const counted = s.tokens[k - 1]?.kind === 'number';
    const between = s.tokens.slice(k, s.to).some((t) => t.word === 'between');
    if (counted && k < start && !between && ['in', 'with', 'on'].includes(next?.word ?? '')) return ' each';
    if (thing === 'of' || NO_THING.has(thing) || counted) continue;
    // "five each is a meal with a pitta"
    if (OF_ONE.has(thing) || ['is', 'are', 'makes'].includes(next?.word ?? '')) return ' each';
    // "each gets a teaspoon"
    if (k === c.from && DOES.has(next?.word ?? '')) return ' each';
    const verbBefore = k === c.verbAt + 1 || PREPOSITIONS.has(s.tokens[k - 1]?.word ?? '');
    // "top each with a spoonful", "into each a spoonful"; "each potato"
    if (verbBefore) return ' each, plus more';
  }
  const verb = c.verb?.verb.id ?? '';
  const words = s.tokens.slice(start, from).map((t) => t.word);
  const ours = ['a', 'an'].includes(words[0] ?? '') && c.verbAt < start;
  if (!ours || !AT_TABLE.has(verb)) return '';
  const dolloped = words.some((w) => DOLLOPS.has(w));
  const poured = POURED_AT_TABLE.has(verb) && words.some((w) => w === 'drizzle' || w === 'splash');
  return dolloped || poured ? ' each' : '';
}
