import { remember } from '@/core/memo';
import { foodOfName, SURE } from '@/core/food/find';
import { tokens } from '@/core/food/tokens';
import { readUnit } from '@/core/measure/units';
import { clean } from './clean';
import type { Stretch } from './source';
import { isNamed } from './title-said';

const FRACTION = '[½¼¾⅓⅔⅛]';
const NUMBER = String.raw`(?:\d+ ?${FRACTION}|\d+ \d\/\d|\d\/\d|\d+(?:[.,]\d+)?|${FRACTION}|half an?|half|one|two|three|four|five|six)`;
const NUMBER_OPENS = new RegExp(
  String.raw`(?<![\w.,/½¼¾⅓⅔⅛-])(?:about |~ ?|x ?)?(?:${NUMBER}(?: ?[-–] ?${NUMBER})?|(an?)(?= [a-z]))`,
  'gi',
);
const HOW_FULL = /(?: ?(?:heaped |level )?| (?:heaped |level |good )?)/y;
const GOES_ON = /[\w%/-]/;

/** An amount and its place. */
interface Amount {
  readonly index: number;
  readonly end: number;
}

/** Amounts as they stand in a list: "2 tbsp", "½ t", "about 30 g", "a pinch", "3". */
function amountsIn(text: string): Amount[] {
  const lower = text.toLowerCase();
  const out: Amount[] = [];
  for (const m of text.matchAll(NUMBER_OPENS)) {
    const behind = m.index + m[0].length;
    HOW_FULL.lastIndex = behind;
    HOW_FULL.test(lower);
    const unit = readUnit(lower, text, HOW_FULL.lastIndex);
    const end = unit ? unit.end - (text[unit.end - 1] === '.' ? 1 : 0) : 0;
    if (unit && !GOES_ON.test(text[end] ?? ' ')) out.push({ index: m.index, end });
    else if (m[1] === undefined && !GOES_ON.test(text[behind] ?? ' '))
      out.push({ index: m.index, end: behind });
  }
  return out;
}

/** What may stand between the items of a list; a stroke between two may as well mean either. */
const JOIN = /^(?:\s*[,;.+&·•|]\s*(?:and |plus )?|\s+(?:and|plus|\/)\s+|\s+)$/;
/** What may stand between a name and its amount. */
const BEFORE_AMOUNT = /^(?:\s*[:=,(–—-])?\s*$/;
const FEWEST = 2;

const trimmed = (text: string, from: number, to: number): Stretch => {
  const lead = /^\s*/.exec(text.slice(from, to))?.[0].length ?? 0;
  const words = text.slice(from, to).trim();
  return { text: words, start: from + lead, end: from + lead + words.length };
};

/** True for words that are one food's name and nothing else. */
/** Words of something said of a food. */
const SAYS =
  /\b(?:them|it|these|those|which|the|to|into|for|in|with|on|at|if|or|not|no|each|per|max|of|from|than|more|less|about)\b/i;
const isFoodName = (words: string): boolean =>
  /^[a-z][a-z' -]{1,30}$/i.test(words) && !SAYS.test(words) && isNamed(clean(words).toLowerCase(), SURE);

const withoutAmounts = (item: string): string =>
  amountsIn(item).reduceRight((said, { index, end }) => `${said.slice(0, index)} ${said.slice(end)}`, item);

/** The food that an item of such a list is of. */
const foodNamed = (item: string) =>
  foodOfName(
    tokens(
      clean(
        withoutAmounts(item)
          .replace(/[:=,(–—-]/g, ' ')
          .replace(/^\s*of /, ''),
      ).toLowerCase(),
    ),
  );

/** Splits words at the sign that ends an item: what is before it, and where the next item begins. */
function afterJoin(text: string, from: number, to: number): number | null {
  const m = /^[)\s]*(?:[,;.+&·•|/]|\b(?:and|plus)\b)?\s*(?:(?:and|plus)\b\s*)?/i.exec(text.slice(from, to));
  const sign = m?.[0] ?? '';
  return JOIN.test(sign.replace(/^\)/, '') || ' ') ? from + sign.length : null;
}

/** "soy 1 tbsp", "soy: 1 tbsp", "soy (1 tbsp)": names with their amounts behind them. */
function namesFirst(text: string, amounts: readonly Amount[]): Stretch[] | null {
  const out: Stretch[] = [];
  let from = 0;
  for (const m of amounts) {
    const before = text.slice(from, m.index);
    const name = /^[a-z][a-z' -]*[a-z]/i.exec(before)?.[0] ?? '';
    if (!isFoodName(name.replace(/\s+-$/, '')) || !BEFORE_AMOUNT.test(before.slice(name.length))) return null;
    let { end } = m;
    if (/\(\s*$/.test(before)) {
      if (text[end] !== ')') return null;
      end += 1;
    }
    out.push(trimmed(text, from, end));
    const next = afterJoin(text, end, text.length);
    if (next === null) return null;
    from = next;
  }
  return from >= text.length ? out : null;
}

/** "1 tbsp soy": amounts with their names behind them. */
function amountsFirst(text: string, amounts: readonly Amount[]): Stretch[] | null {
  const out: Stretch[] = [];
  for (const [i, m] of amounts.entries()) {
    const from = m.end;
    const to = amounts[i + 1]?.index ?? text.length;
    const between = text.slice(from, to);
    const name =
      /^\s*(?:of )?([a-z][a-z' ]*?)\s*(?:[,;.+&·•|/]|\s(?:and|plus)\b|$)\s*(?:(?:and|plus)\s*)?$/i.exec(
        between,
      );
    if (!name?.[1] || !isFoodName(name[1])) return null;
    out.push(trimmed(text, m.index, from + between.indexOf(name[1]) + name[1].length));
  }
  return out;
}

/**
 * A row that is a list and nothing else, each food with its amount on the same side: "salt: 1 tsp. sugar: 1 tbsp",
 * "1 T soy + ½ t salt"; null where any of its words is neither a food's name, an amount nor what joins them.
 */
export const countedList = remember(countedNow);
function countedNow(text: string): Stretch[] | null {
  if (text.length > LONGEST || !/\d|[½¼¾⅓⅔⅛]|\ban? /.test(text)) return null;
  const amounts = amountsIn(text);
  if (amounts.length < FEWEST) return null;
  // "1 tbsp soy / 1 tbsp tamari" may be either
  if (amounts.length === FEWEST && text.includes('/') && /\s\/\s/.test(text)) return null;
  const items = amounts[0]?.index === 0 ? amountsFirst(text, amounts) : namesFirst(text, amounts);
  // "tofu, 1 pack extra firm, 396 g": one food, and more of what it is
  const named = (items ?? []).map((x) => foodNamed(x.text)).filter((food) => food !== undefined);
  return new Set(named).size < named.length ? null : items;
}
const LONGEST = 240;
