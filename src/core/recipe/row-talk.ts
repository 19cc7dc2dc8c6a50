import { findFood, namesFood, SURE } from '@/core/food/find';
import { readQuantity } from '@/core/measure/quantity';
import { readUnit } from '@/core/measure/units';
import { clean } from './clean';
import { COUNTED_BEHIND, ingredientScore, startsWithAmount, startsWithMeasure } from './score';
import { placed, type Stretch } from './source';

/** "tarka: none.": what is not made. */
export const NONE_OF_IT =
  /^[a-z][a-z -]{2,24}\s*[:–—-]\s*(?:none|nothing|nil|zero|nada|nowt|zilch|0(?![.,/\d])|no thanks|not here|skipped)\b(?! for (?!(?:us|everyone|everybody|anyone|all|this|now|today)\b))(?: (?:at all|here|for us|today))?[.!;]*/i;
/** What goes in of it after all: an amount, and no food. */
export const AN_EXCEPTION =
  /^[^\d½¼¾⅓⅔]{0,30}\b(?:till|until|then|at first|to start|before)\b[^.]*?\d|^[^\d½¼¾⅓⅔]{0,40}?\b(?:(?:about )?(?:\d[\d./]*|[½¼¾⅓⅔]|an?|half an?|one|two)\s*(?:heaped |level |good |small |little |tiny )?(?:tsps?|tbsps?|teaspoons?|tablespoons?|pinch|drop|dash|splash|spoon|spoonful|spray|wipe))\b(?! of\b)/i;
const A_YIELD = String.raw`\d+(?: ?[-–] ?\d+)? ?(?:ml|g|litres?|l|cups?|tbsps?|tablespoons)`;
/** "about 250 ml, 16 tbsp": how much comes of it. */
export const COMES_TO = new RegExp(
  String.raw`^\W*(?:makes |about |roughly |an? |~ ?)*${A_YIELD}(?: (?:pot|jar|tub|bowl|block|loaf|batch))?(?:\s*[,/=(]\s*(?:about |or )*${A_YIELD}\)?)*\s*$`,
  'i',
);
/** The head of a letter: "Subject: the soup". */
export const LETTER = /^(from|to|cc|date|sent|subject|re)\s*:\s*(.+)$/i;
/** "The original: 2 oz butter, 1 pint cream". */
export const OTHER_LIST =
  /^(?:the )?(?:original|originally|old (?:way|one|version|recipe)|book(?:'s)?(?: version)?|card(?: says| said)?|(?:usual|traditional|classic)(?: way| version| recipe)?|before|(?:her|his|their|mum's|nan's|gran's) (?:way|version|recipe|one))\s*(?::|\s[–—-]\s)\s*(?=.*\d)/i;
/** "Her list said:", "The original:": a heading over how others make it. */
export const THEIR_LIST =
  /^(?:(?:in |on )?(?:the )?(?:original|originally|old (?:way|one|version|recipe|list)|book|magazine|packet|card|usual|traditional|classic)|(?:my |our |her |his |their )?[a-z]+(?:'s|’s)|hers|his|her|theirs|their)(?: (?:list|recipe|version|way|one|ingredients))?(?: (?:said|says|was|is|had|has|called for|calls for|used|uses|asks for|asked for|wants|wanted|went in|goes in))?\s*:?$/i;
/** "I use:", "Mine:", "Now:": a heading over how it is made here. */
export const OUR_LIST =
  /^(?:(?:but |and |so |what )?(?:i|we)(?:'ve| have)?(?: now| always)? (?:use|used|do|did|put in|put|have|had|take|make it with|swap(?:ped)? (?:it )?(?:to|for))(?: instead| is| now)?|(?:my|our)(?: own)? (?:list|version|way|one|recipe|ingredients)|now(?:adays)?|mine|ours|today|these days|here|instead)\s*:?$/i;
/** "Serves four. Ingredients: 1 kg potatoes; …". */
export const LISTED_INSIDE = /^([^:]{0,60}?)\b(?:ingredients|you need|you'll need|shopping)\s*:\s*(\S.*)$/is;
/** Sentences of a list told in one row, each with its place. */
export const sentencesAt = (list: string, start: number): Stretch[] =>
  placed(list, list.split(/(?<=[a-z)])\.\s+(?=[A-Z])/), start);

/** "10 g chocolate, the beans, the mug of liquor": a line, and what goes in with it that was made ready before. */
export function withWhatIsThere(piece: Stretch): Stretch[] {
  const m = /,\s+((?:and )?the ([a-z]+(?: [a-z]+)?)(?:,\s+(?:and )?the [^,;()\d]*)*)$/i.exec(piece.text);
  const [, said = '', name = ''] = m ?? [];
  if (!m || /\b(?:ones?|kind|sort|type|stuff|rest|better|best|more|less|juice|zest|same)\b/i.test(said))
    return [piece];
  if (!namesFood(name)) return [piece];
  const start = piece.start + piece.text.length - said.length;
  return [
    { text: piece.text.slice(0, m.index), start: piece.start, end: piece.start + m.index },
    { text: said, start, end: piece.end },
  ];
}

/**
 * "Right so miso aubergines for tea. Serves three with rice (180 g brown).": a first row that goes on telling, with
 * amounts of its own, is a name and what is told behind it; null where the row is one of them alone.
 */
export function opensProse(row: Stretch): { title: Stretch; rest: Stretch } | null {
  const end = /[a-z)]{2}[.!]\s+(?=[A-Z\d])/.exec(row.text);
  if (!end || end.index > LONGEST_NAME || /\d/.test(row.text.slice(0, end.index))) return null;
  const from = end.index + end[0].length;
  if (!WITH_AMOUNT.test(row.text.slice(from))) return null;
  const to = end.index + 2;
  return {
    title: { text: row.text.slice(0, to), start: row.start, end: row.start + to },
    rest: { text: row.text.slice(from), start: row.start + from, end: row.end },
  };
}
const LONGEST_NAME = 60;
const WITH_AMOUNT = /\d ?(?:g|kg|ml|oz|tbsps?|tsps?|cups?|tins?|cans?)\b/i;

/** Words of a line that tells nothing more. */
const SHORT = 8;
/** "(from the garden)": a row in brackets that names no food and no amount. */
export function isAside(row: string): boolean {
  const said = /^\(([^()\d]{3,80})\)[.!]?$/.exec(row.trim())?.[1]?.toLowerCase();
  // "(no egg)", "(no oil!)"
  if (said && /^(?:no|without|never|not)\b/.test(said) && !/\b(?:but|except|just|only|added)\b/.test(said))
    return true;
  if (!said || /^(?:for|the|to)\b|\boptional\b|\bhalf\b/.test(said)) return false;
  const words = said.split(/[^a-zà-ÿ'’-]+/).filter(Boolean);
  return !words.some((_, i) => [1, 2].some((n) => namesFood(words.slice(i, i + n).join(' '))));
}

/** What is made of other foods by its name. */
export const A_PART =
  /\b(?:dressing|vinaigrette|sauce|marinade|toppings?|filling|stuffing|dip|spread|glaze|base|slaw|salad|salsa|relish|gravy|drizzle|crumble|crust|batter|dough|garnish|icing|frosting|rub|seasoning|swirl|ta[dr]ka|paste|mix)$/i;
/** "2 tbsp oil", "half a cabbage": an amount and a food that it is of. */
const isCounted = (piece: string): boolean => {
  const lower = clean(piece).toLowerCase();
  const q = readQuantity(lower, 0);
  if (!q) return false;
  const gap = /^[ -]*/.exec(lower.slice(q.end))?.[0].length ?? 0;
  const unit = readUnit(lower, lower, q.end + gap);
  return isNamedFood(lower.slice(unit?.end ?? q.end).replace(/^\s*(?:of |small |large |big )*/, ''));
};
const isNamedFood = (words: string): boolean => (findFood(words, '', 1)[0]?.confidence ?? 0) >= SURE;

/** "Dressing (2 tbsp oil, 1 tbsp vinegar)", "sauce = 150 g tahini + 1 lemon": a part and what it is made of; null where it is one food. */
export function madeOf(row: Stretch): { name: string; list: Stretch } | null {
  const m =
    /^([a-z][a-z' -]{1,30}?)(?:\s*\(([^()]*)\)[.!]?|\s*=\s*(.*)|\s+(?:made |mixed |whisked )?(?:of|from|out of|(?<=^\S+\s+)with)\s+(?:just |only )?([^()]*)|\s+[-–—]\s+([^()]*)|,\s+([^()]*))\s*$/i.exec(
      row.text,
    );
  const [whole, name = '', bracket, equal, of, dash, behind] = m ?? [];
  const list = bracket ?? equal ?? of ?? dash ?? behind ?? '';
  if (!whole || /[.!?:]\s/.test(list)) return null;
  const pieces = list
    .split(/[,;]|\s\+\s|\s&\s|\sand\s/)
    .map((piece) => piece.trim())
    .filter(Boolean);
  const measured = pieces.filter((piece) => startsWithMeasure(piece)).length;
  const part = A_PART.test(name.trim());
  // "sauce, 150 g tahini"
  // "sauce (tahini, 150 g)"
  const plain = part && !/\s/.test(name.trim());
  const ofOne =
    plain && pieces.length === 2 && isNamedFood(pieces[0] ?? '') && startsWithMeasure(pieces[1] ?? '');
  const madeSo =
    ofOne ||
    (part &&
      pieces.some(isCounted) &&
      (equal !== undefined || pieces.every((x) => isCounted(x) || isNamedFood(x.toLowerCase()))));
  if (behind !== undefined && !plain) return null;
  if (!madeSo && (measured < 2 || bracket === undefined || pieces.length < 2)) return null;
  const start = row.start + row.text.indexOf(list, name.length);
  return { name, list: { text: list, start, end: start + list.length } };
}

const ITS_LABEL = /^(?:[A-Z][a-z]+(?: [a-z]+)?:|Also,?)\s+/;
/** "1 lb peas, soaked. Greens: 1 bunch collards. Also onion": lists in one row, without their labels. */
const FURTHER_LIST = /[a-z)]\.\s+(?:[A-Z][a-z]+(?: [a-z]+)?:\s|Also\b)/;
const SAYS_OF_IT = /\b(?:is|are|was|were|does|do|will|needs?|goes|makes?)\b/i;
/** A sentence that is a line of the list by itself: "1 onion in a little water till soft", "turmeric". */
const isLine = (sentence: string): boolean => {
  const words = sentence.replace(/\.$/, '').trim();
  if (SAYS_OF_IT.test(words)) return false;
  return (
    startsWithAmount(words) ||
    startsWithMeasure(words) ||
    namesFood(words) ||
    ingredientScore(words, false) >= LINE_SCORE
  );
};
const LINE_SCORE = 2.5;
/**
 * "Filling: 3 large potatoes, boiled. 1 onion in water till soft. Turmeric. No oil.": the lines of a labelled row, and
 * the sentences among them that only tell; null where it is no list of sentences.
 */
export function linesInSentences(row: Stretch): { lines: Stretch[]; told: Stretch[] } | null {
  if (FURTHER_LIST.test(row.text)) return null;
  const all = placed(
    row.text,
    row.text.split(/(?<=[a-z)]{2})(?<!\b(?:oz|tbsp|tsp|lb|approx|med|lg|sm|pt|qt|pkg))\.\s+/),
  ).map((x) => ({
    text: x.text.replace(/\.$/, ''),
    start: x.start + row.start,
    end: x.end + row.start,
  }));
  const lines = all.filter((x, i) => i === 0 || isLine(x.text));
  const told = all.filter((x) => !lines.includes(x));
  // where the others bring something too it is all told
  return lines.length < 3 || told.some((x) => /\d/.test(x.text)) ? null : { lines, told };
}

/** "Peanuts to scatter: 60 g, chopped", "Buns: wholemeal, one per burger": a food and how much of it, and nothing done. */
export function isFoodLabelled(row: string): boolean {
  const m =
    /^\s*([a-z][a-z -]{2,24}?)(?:,? (?:to|for|on|over) (?:the )?[a-z]+)?\s*(?::|\s[–—-]\s)\s*(?:[a-z-]+(?: [a-z-]+)?,\s+)?(\S.*)$/i.exec(
      row,
    );
  const [, name = '', much = ''] = m ?? [];
  if (
    !m ||
    row.split(' ').length > LONGEST_LABELLED ||
    /[.!;]\s+\S|\b(?:min|mins|minutes|hours?|is|are|was|has|or)\b|°/i.test(much)
  )
    return false;
  if (!namesFood(name)) return false;
  // "Salsa on top: 1 cup tomato, lime": what it is made of
  const [of = ''] = much.replace(/^[^a-z]*(?:[a-z]+\s+)?(?:of )?/i, '').split(/[,(]/);
  if (of.trim() && (findFood(of.trim().toLowerCase(), '', 1)[0]?.confidence ?? 0) >= SURE) return false;
  return (
    (startsWithMeasure(much) && !/,\s+(?:then|and)\b/.test(much)) ||
    /^(?:an?|one|two|three|half an?|\d) (?:per|each|a)\b/i.test(much)
  );
}
const LONGEST_LABELLED = 16;

/** "soy (1 tbsp)". */
const AMOUNT_IN_BRACKET = /\s*\([\d½¼¾⅓⅔][^()]{0,12}\)\.?$/;
/** "soy 1 tbsp", "salt: 1 tsp": a food with its amount behind it. */
const isCountedBehind = (part: string): boolean => {
  const bare = part.replace(AMOUNT_IN_BRACKET, '');
  const name =
    bare === part ? COUNTED_BEHIND.exec(clean(part).toLowerCase())?.[1] : clean(bare).toLowerCase();
  return name !== undefined && namesFood(name);
};

/** A row's lists apart, each with its place; the row alone where it is one. */
export function partsOfRow(row: Stretch): Stretch[] {
  // "3 leeks. 1 stick celery. 2 cloves garlic."
  // "(ok so four tins)" behind the last tells nothing more
  const sentences = row.text.replace(/(?<=[a-z]\.)\s+\([a-z' ]+\)[.!]?$/i, '').split(/(?<=[a-z)])\.\s+/);
  if (
    sentences.length > 1 &&
    sentences.every(
      (x) =>
        // "Soy 1 tbsp. Oil 1 tsp."
        (startsWithAmount(x) || isCountedBehind(x.replace(/\.$/, ''))) &&
        !/[()]/.test(x.replace(AMOUNT_IN_BRACKET, '')) &&
        x.split(' ').length <= SHORT,
    )
  )
    return placed(row.text, sentences).map((x) => ({
      text: x.text.replace(/\.$/, ''),
      start: x.start + row.start,
      end: x.end + row.start,
    }));
  if (!FURTHER_LIST.test(row.text)) return [row];
  return sentencesAt(row.text, row.start).map((part) => {
    const label = ITS_LABEL.exec(part.text)?.[0].length ?? 0;
    return { ...part, text: part.text.slice(label), start: part.start + label };
  });
}
