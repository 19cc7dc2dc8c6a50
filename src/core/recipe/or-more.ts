import { readQuantity } from '@/core/measure/quantity';
import { readUnit, VAGUE } from '@/core/measure/units';
import { mul, type Measure, type Three } from './reader';

const factorOf = (id: string) => VAGUE.modifiers[id] as { factor: Three; why: string };
const AT_LEAST = factorOf('atLeast');
const HEAPED = factorOf('heaping');
const TWICE = 2;

const BIT = String.raw`(?:even |just )*(?:a (?:bit|little|touch|tad|lot) |slightly |rather |much |some )?`;
/** "or more", "could be a bit more", "1 tsp+": that much, or more than that. */
const OR_MORE = new RegExp(
  String.raw`\b(?:or|if not|maybe|perhaps|(?:could|might|can) be|sometimes|often|usually|possibly|probably)\s+${BIT}more\b(?! (?:than|like))|(?<=\d ?(?:tbsps?|tsps?|cups?|g|ml|oz)?)\+(?=\s*(?:of )?[a-z])|\band a bit\b`,
);
/** "(heaped)", "heaped tsp": how full the spoon is, wherever it is said. */
const FULL = /\b(?:heaped|heaping|rounded|generous(?:ly)?|piled high|brimming|overflowing)\b/;
/** "sometimes 2", "or even three", "(2 on Sundays)", ", 3 if small": another time's amount of the same measure. */
const AT_TIMES =
  /(?:[,(;–-]\s*|[.!]\s+|\s(?=or|sometimes|often|usually|maybe|even|up|max))(?:(?:or|sometimes|often|usually|mostly|occasionally|normally|generally|at times|maybe|perhaps|even|up to|max|more often|use|even up to|(?:which |who |it |she |he )?gets?|(?:it |that )?(?:could|can|might|may|would) (?:take|be|stand|go to|use|have))\s+)*(?=\d|two\b|three\b|four\b)/g;
/** What may follow such a number: its own measure, and then when, or nothing. */
const THEN_ENDS = /^\s*(?:$|[,);.!]|(?:if|for|on|at|when|in|max|tops|maximum|some days|will do|really)\b)/;
/** No other time's measure is more than so many times the one that is said. */
const MOST_TIMES = 4;

/** An amount by which its own line says that it may be more than it says. */
export function orMore(measures: readonly Measure[], text: string): readonly Measure[] {
  const [first] = measures;
  if (!first) return measures;
  const by = (factor: Three, reading: string) =>
    measures.map((m) => ({ ...m, factor: mul(m.factor, factor), readings: [...m.readings, reading] }));
  const more = OR_MORE.exec(text);
  if (more) return by([1, AT_LEAST.factor[1], TWICE], `“${more[0].trim()}”: ${AT_LEAST.why}`);
  const spoon = first.unit?.kind === 'volume' || first.unit?.kind === 'vague';
  const full = FULL.exec(text);
  // said before the measure it is in its factor already
  if (full && spoon && first.factor[2] === 1) return by(HEAPED.factor, `“${full[0]}”: ${HEAPED.why}`);
  if (measures.length > 1 || first.each) return measures;
  for (const at of text.matchAll(AT_TIMES)) {
    const q = readQuantity(text, at.index + at[0].length);
    if (!q || q.article || q.high <= first.quantity[2] || q.low > first.quantity[2] * MOST_TIMES) continue;
    const gap = /^[ -]*/.exec(text.slice(q.end))?.[0].length ?? 0;
    const unit = readUnit(text, text, q.end + gap);
    if (unit && unit.unit.id !== first.unit?.id) continue;
    if (!THEN_ENDS.test(text.slice(unit?.end ?? q.end))) continue;
    return [
      {
        ...first,
        quantity: [first.quantity[0], Math.max(first.quantity[1], q.low), q.high],
        readings: [...first.readings, `“${text.slice(at.index, q.end).trim()}”: as much as that`],
      },
    ];
  }
  return measures;
}
