import { namesFood } from '@/core/food/find';
import { numberOf, readQuantity } from '@/core/measure/quantity';

/**
 * Words of a sentence put otherwise before it is read, each as long as it was, so that places stay; of a row, as they
 * come.
 */

const ANIMAL_THINGS =
  'parmesan|feta|cheddar|mozzarella|halloumi|ricotta|cream cheese|cheese|mayonnaise|mayo|butter|cream|yogh?urt|chicken|bacon|beef|ham|sausage|tuna|salmon|mince|egg';
const STYLE = new RegExp(
  String.raw`\b(${ANIMAL_THINGS})[- ](?:style|type|like|esque|alt\.?(?=\s*(?:$|[,;(.]))|subs?(?=\s*(?:$|[,;(.])))(?:\s+(?:vegan|plant(?:[- ]based)?|dairy[- ]free|soya?|nut))?(?:\s+(?:cubes?|stuff|topping|blocks?|shreds?|shavings|spread|slices?|crumbles?|sprinkles?|pieces|chunks|strips|bits|thing|product|alternative|one))?(?!\s+(?:made|tofu|tempeh|seitan|beans?|sauce|dressing|dip|pieces)\b)`,
  'gi',
);
/** "feta-style cubes", "parmesan-style vegan stuff": the thing that is bought to stand in for it. */
export const styled = (text: string, keep = false): string =>
  /style|type|like|esque|alt|sub/i.test(text)
    ? text.replace(STYLE, (all: string, name: string) => {
        const put = `vegan ${name.toLowerCase()}`;
        if (!namesFood(put) || (keep && put.length > all.length)) return all;
        return keep ? put.padEnd(all.length) : put;
      })
    : text;

const SPOON = '(?:tsps?|tbsps?|teaspoons?|tablespoons?|ml|g)';
const EVERY_BATCH = new RegExp(
  String.raw`\b(\d[\d./]*|[½¼¾]|half an?|an?|one|two) ?(${SPOON})((?: of)?(?: [a-z]+){0,3}?),? (?:an?|per|each|every|for (?:each|every)) (?:batch|panful|round|lot|go)\b([^.;()]*?\b(\d|two|three|four|five|six) (?:batches|panfuls|rounds|lots|goes)\b)?`,
  'gi',
);
/** Batches of a panful that nobody counts: common practice. */
const MOST_BATCHES = 4;
/** "1 tsp oil per batch, 3 batches": all of it. */
export const ofAllBatches = (text: string): string =>
  /batch|panful|round|lots|goes/i.test(text)
    ? text.replace(
        EVERY_BATCH,
        (all: string, n: string, unit: string, food: string, _: string, many?: string) => {
          const one = readQuantity(/^an? /i.test(`${n} `) ? '1' : n, 0)?.best ?? (/half/i.test(n) ? 0.5 : 1);
          const times = many ? (numberOf(many.toLowerCase()) ?? 1) : null;
          const amount =
            times === null ? `${one}-${one * MOST_BATCHES}` : `${Math.round(one * times * 100) / 100}`;
          const put = `${amount} ${unit}${food}`;
          return put.length > all.length ? all : put.padEnd(all.length);
        },
      )
    : text;

const EVERY_DAY = /\bevery (morning|day|evening|night|breakfast|lunch)\b/gi;
/** "30 g walnuts every morning": on each of them. */
export const onEachDay = (text: string): string =>
  text.replace(EVERY_DAY, (all: string, day: string) => `each ${day}`.padEnd(all.length));

const BUT_OURS =
  /((?:an?|the|some|\d[\d./]*|one|two|three)\s+)?((?:[a-z]+ ){0,2}?[a-z]+)(?:,| -| –| —)?\s+(?:but|although|though|only|except)\s+(?:that )?(?:i|we)(?: just| always| usually| now)* (?:use|do|put(?: in)?|have|take|make|add|go for) ((?:the |an? |some |our |my |[\d½¼¾][\d./]*\s?)?[a-z]+(?: [a-z]+){0,3}?) instead\b(?! of)/gi;
/** "an egg, but we use flax instead": put as what stands in for it. */
export const standsInFor = (text: string): string =>
  / instead/i.test(text)
    ? text.replace(BUT_OURS, (all: string, article: string | undefined, words: string, ours: string) => {
        const said = words.split(' ');
        for (let n = 0; n < said.length; n += 1) {
          const name = said.slice(n).join(' ');
          if (!namesFood(name)) continue;
          const before = `${article ?? ''}${said
            .slice(0, n)
            .map((w) => `${w} `)
            .join('')}`;
          const its = /(?:\b(?:an?|the|some|one) )?$/i.exec(before)?.[0] ?? '';
          const put = `${before.slice(0, before.length - its.length)}${ours} instead of ${its}${name}`;
          return put.length > all.length ? all : put.padEnd(all.length);
        }
        return all;
      })
    : text;
