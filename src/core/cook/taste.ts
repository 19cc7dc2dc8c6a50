import { auditRecipe } from '@/core/audit/audit';
import { dishOf, isComplete } from '@/core/audit/dish';
import { headroom, inSpoons, roomFor, type Room } from '@/core/audit/headroom';
import { roleOf } from '@/core/audit/role';
import { withAddition } from '@/core/adapt/apply';
import type { Food } from '@/core/food/table';
import type { Protocol, RoleId } from '@/core/protocol';
import type { Range } from '@/core/range/range';
import { parseRecipe } from '@/core/recipe/parse';
import { readLine } from '@/core/read/line';
import { readRecipe } from '@/core/read/read';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';
import type { Tasting } from './taste-schema';

/** Something that was added at the stove, as the cook says it, with what it is read as. */
export interface Addition {
  readonly text: string;
  /** The words that are read: "needed two more teaspoons tamari" is two teaspoons of tamari. */
  readonly words: string;
  readonly line: ReadLine;
}

/** A dish as it is in the pot after some additions. */
export interface Tasted {
  readonly read: ReadRecipe;
  /** The recipe's text with what was added, so that it can be kept as a version. */
  readonly text: string;
  readonly additions: readonly Addition[];
}

const AMOUNT =
  /\d|[½⅓⅔¼¾⅛⅜⅝⅞]|\b(?:an?|one|two|three|four|five|six|half|quarter|couple|few|some|another|pinch|splash|squeeze|drizzle|dash|handful|glug|knob|sprinkle|grind)\b/i;
const WHY =
  /[,;]?\s+(?:against|because|since|as it|so that|until|till|to (?:thin|loosen|taste|balance|brighten|sharpen|finish|season|lift|sweeten)|at the (?:end|table|stove)|for (?:the )?(?:colou?r|taste|balance|sharpness))\b.*$/i;

/** What was added, in the words of an ingredient line: no deed before the amount, no reason behind it, no "more" in it. */
export function additionWords(said: string): string {
  const plain = said
    .trim()
    .replace(WHY, '')
    .replace(/\banother\b/gi, 'one')
    .replace(/\b(a (?:little )?bit|a little|a touch|a tad)\s+(?:more|extra)\b/gi, '$1 of')
    .replace(/\b(?:more|extra|further|additional|again)\b/gi, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const at = AMOUNT.exec(plain)?.index ?? 0;
  // "thinned with ½ cup water": what comes before the amount is the deed
  return plain.slice(at).replace(/[\s.]+$/, '') || plain;
}

const readAddition = (text: string, settings: ReadSettings, plates: number): Addition => {
  const words = additionWords(text);
  const line = readLine(
    { text: words, start: 0, end: words.length, section: null },
    { ...settings, corrections: {} },
    plates,
  );
  return { text, words, line };
};

/** True for a line that leaves its amount to the tongue, and is the food that was added. */
const leftToTaste = (line: ReadLine, food: Food): boolean =>
  line.origin === 'ingredients' &&
  line.foods.length === 1 &&
  (line.words?.foods.every((f) => f.measures.length === 0) ?? false) &&
  (line.foods[0]?.food?.id === food.id || (line.foods[0]?.food?.kind === 'salt' && food.kind === 'salt'));

/** How much a line says to start with: "1 tsp" of "1 tsp tamari to start, then to taste". */
const STARTED =
  /(?:\d+(?:[.,/]\d+)?\s*[½⅓⅔¼¾⅛⅜⅝⅞]?|[½⅓⅔¼¾⅛⅜⅝⅞]|half an?|an?|one|two|three)\s*(?:a\s+)?(?:heaped |level |scant )?(?:tbsps?|tsps?|teaspoons?|tablespoons?|cups?|ml|g|pinch(?:es)?|splash(?:es)?|dash(?:es)?|squeezes?)\b/i;

/** "1 tsp tamari" of a line that only says where to start, where the same food was added; null for any other line. */
function startOf(line: ReadLine, food: Food): string | null {
  const open = line.words?.plusMore ? /\btaste\b/.test(line.words.plusMore) : (line.words?.toTaste ?? false);
  if (!open || line.origin !== 'ingredients' || line.foods.length !== 1) return null;
  if (line.foods[0]?.food?.id !== food.id) return null;
  const amount = STARTED.exec(line.line.text)?.[0];
  return amount ? `${amount} ${line.words?.foods[0]?.food ?? food.name.toLowerCase()}` : null;
}

/**
 * The dish after what was added at the stove. A line that left its amount open ("salt, to taste") now holds what really
 * went in, one that said where to start ("1 tsp, then to taste") that and what was added; all else that was added stands as lines of its own.
 */
export function tasted(read: ReadRecipe, settings: ReadSettings, said: readonly string[]): Tasted {
  const plates = read.servings.range.best;
  const additions = said.map((text) => readAddition(text, settings, plates));
  let now = read;
  const rest: Addition[] = [];
  const filled = new Map<string, { line: ReadLine; words: string[] }>();
  for (const a of additions) {
    const food = a.line.foods[0]?.food;
    const open = food && read.lines.find((l) => leftToTaste(l, food) || startOf(l, food) !== null);
    if (!open) rest.push(a);
    else {
      const start = startOf(open, food);
      const known = filled.get(open.line.text) ?? { line: open, words: start === null ? [] : [start] };
      known.words.push(a.words);
      filled.set(open.line.text, known);
    }
  }
  let text = read.recipe.source;
  // from the end to the start, so that positions stay true
  for (const { line, words } of [...filled.values()].sort((a, b) => b.line.line.start - a.line.line.start))
    text = `${text.slice(0, line.line.start)}${words.join(` + `)}${text.slice(line.line.end)}`;
  if (filled.size > 0) now = readRecipe(parseRecipe(text), settings);
  for (const a of rest) {
    text = withAddition(now, a.words, null);
    now = readRecipe(parseRecipe(text), settings);
  }
  return { read: now, text, additions };
}

/** How much more of something a dish takes, in a kitchen measure that is never more. */
export interface RoomFor {
  readonly food: Food;
  /** Grams for the whole pot; null where no limit ever is. */
  readonly grams: number | null;
  /** Null where there is no room for a pinch. */
  readonly words: string | null;
  readonly limit: string | null;
}

const said = ({ food, grams, limit }: Room): RoomFor => ({
  food,
  grams: Number.isFinite(grams) ? grams : null,
  words: Number.isFinite(grams) ? inSpoons(food, grams) : 'as much as you like',
  limit,
});

/** Room for what is usually added, for what was and for other things asked for, at the worst end of all that the words allow; empty while a line is not understood. */
export function roomAfter(
  { read, additions }: Tasted,
  protocol: Protocol,
  role: RoleId,
  plate = 1,
  things: readonly Food[] = [],
): RoomFor[] {
  const dish = dishOf(read, plate);
  if (!isComplete(dish)) return [];
  const own = additions.flatMap((a) => a.line.foods.flatMap((f) => f.food ?? []));
  const usual = headroom(protocol, role, dish);
  const known = new Set(usual.map((r) => r.food.id));
  const more = [...new Map([...things, ...own].map((f) => [f.id, f])).values()].filter(
    (f) => !known.has(f.id),
  );
  return [...more.map((f) => roomFor(f, protocol, role, dish)), ...usual].map(said);
}

const plain = (r: Range | null): Range | null => (r ? { low: r.low, best: r.best, high: r.high } : null);

/** Additions judged: the dish before and after, and what still goes in. */
export function tasting(
  read: ReadRecipe,
  protocol: Protocol,
  settings: ReadSettings,
  added: readonly string[],
  source = '',
): Tasting {
  // an addition does not make a sauce of a main
  const { role } = roleOf(read);
  const after = tasted(read, settings, added);
  return {
    schema: 'dulvet.tasting/1',
    protocol: protocol.id,
    before: auditRecipe(read, protocol, { role, source, headroom: true }),
    additions: after.additions.map(({ text, words, line }) => ({
      text,
      words,
      food: line.foods[0]?.food ? { id: line.foods[0].food.id, name: line.foods[0].food.name } : null,
      grams: plain(line.foods[0]?.grams ?? null),
    })),
    after: auditRecipe(after.read, protocol, { role, source, headroom: true }),
    room: roomAfter(after, protocol, role).map((r) => ({
      food: { id: r.food.id, name: r.food.name },
      grams: r.grams,
      words: r.words,
      limit: r.limit,
    })),
    text: after.text,
  };
}
