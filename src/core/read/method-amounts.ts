import rawMethod from '@content/compiled/method.json';
import type { Food } from '@/core/food/table';
import { unsaid, weigh } from '@/core/food/weigh';
import { US_MEASURES } from '@/core/measure/units';
import { range, type Range } from '@/core/range/range';
import { readLineWords } from '@/core/recipe/line';
import { clauseStart } from './clauses';
import type { MethodFile } from './schema';

const { amounts } = rawMethod as unknown as MethodFile;

/** "a drizzle of", "2 tbsp": the amount in the words just before a mention. */
function amountBefore(
  text: string,
  start: number,
  end: number,
  food: Food,
): { grams: Range; why: string } | null {
  const from = Math.max(clauseStart(text, start), start - 48);
  const before = text.slice(from, start);
  const m =
    /(?:(?:about |around |another |an? extra |a further |the remaining |remaining |extra )?(?:\d[\d\s/.,½⅓⅔¼¾⅛–-]*|an? (?:good |generous |small |little |big |large |heaped |scant |few )?|one |two |three |half an? |a couple of )\s*(?:more |extra )?(?:[a-zA-Z.]+\s+)?(?:of )?(?:the |your |good |extra |more )*(?:[a-z-]+ )?)$/i.exec(
      before,
    );
  if (!m) return null;
  const phrase =
    `${m[0].replace(/\b(?:another|extra|further|the remaining|remaining|more|the|your)\b/gi, ' ')} ${text.slice(start, end)}`
      .replace(/\s+/g, ' ')
      .trim();
  const words = readLineWords(phrase).foods[0];
  if (!words || !words.measures.some((x) => x.unit)) return null;
  const weighed = weigh(words, food, US_MEASURES);
  return weighed ? { grams: weighed.grams, why: `“${m[0].trim()}”: ${weighed.readings.join('; ')}` } : null;
}

/** Grams that a mention brings, and why; null where nothing can be said of them. */
export function readingOf(
  text: string,
  start: number,
  end: number,
  food: Food,
  servings: number,
): { grams: Range; why: string } | null {
  const amount = amountBefore(text, start, end, food);
  if (amount) return amount;
  if (food.kind === 'oil' || food.kind === 'solid-fat' || food.kind === 'animal-fat') {
    const clause = text.slice(clauseStart(text, start), end);
    const which = /\b(?:grease|greas|brush|wipe|line|coat|spray|rub)/i.test(clause)
      ? 'oil-grease'
      : /\b(?:drizzl|finish|trickle)/i.test(clause)
        ? 'oil-drizzle'
        : 'oil';
    const rule = amounts[which];
    return rule ? { grams: range(...rule.grams), why: `no amount: ${rule.why}` } : null;
  }
  const guess = unsaid(food, null, servings);
  return guess ? { grams: guess.grams, why: guess.readings.join('; ') } : null;
}
