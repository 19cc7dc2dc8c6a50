import type { Food } from '@/core/food/table';
import type { Limit, Protocol, RoleId } from '@/core/protocol';
import { partOfLimit } from '@/core/protocol/part';
import { sumBounds } from '@/core/range/bounds';
import type { Range } from '@/core/range/range';
import { beliefOf } from '@/core/caution/beliefs';
import { cautionsOfLine } from '@/core/caution/cautions';
import type { ReadLine } from '@/core/read/types';
import { isAmount, limitFor } from './limits';
import type { Finding } from './schema';

const few = (n: number): string =>
  n >= 10
    ? Math.round(n).toString()
    : n >= 1
      ? (Math.round(n * 10) / 10).toString()
      : Number(n.toPrecision(1)).toString();
const span = (r: Range, unit: string) =>
  few(r.low) === few(r.high) ? `${few(r.best)} ${unit}` : `${few(r.low)}–${few(r.high)} ${unit}`;

/** More of one thing than a household pot holds. */
const ABSURD_GRAMS = 25_000;

const HIDES: Record<string, string> = { oil: 'oil', salt: 'salt', sugar: 'sugar' };

const foodsOf = (line: ReadLine): Food[] =>
  [...line.foods, ...line.alternatives].flatMap((f) => (f.food ? [f.food] : []));

/** What a banned thing is called in a line: named, or hidden in a product. */
function banMessage(limit: Limit, line: ReadLine, value: Range): string {
  const foods = foodsOf(line);
  const surely = value.low > 0;
  const maybe = surely ? '' : 'perhaps ';
  switch (limit.of) {
    case 'oilG': {
      const plain = foods.some((f) => f.kindClass === 'oil');
      const products = foods.filter((f) => f.adds.includes('oil')).map((f) => f.name.toLowerCase());
      if (plain) return `${maybe}oil or solid fat, ${span(value, 'g')} in the dish`;
      return products.length > 0
        ? `${maybe}oil in a product: ${products.join(', ')}`
        : 'some brands hold oil: read the label';
    }
    case 'nutG':
      return `${maybe}a high-fat plant food, ${span(value, 'g')} in the dish`;
    case 'refinedG':
      return `${maybe}refined grain; the whole one is allowed`;
    case 'addedSodiumMg':
      return `${maybe}added salt: ${span(value, 'mg')} sodium in the dish`;
    case 'sweetG':
      return `${maybe}an added sweetener or juice`;
    case 'animalG':
      return `${maybe}an animal food, in a plant-based kitchen`;
    default:
      return `${maybe}${limit.label.toLowerCase()}`;
  }
}

const remembered = new WeakMap<readonly unknown[], WeakMap<Protocol, Map<string, readonly Finding[]>>>();

/**
 * Findings of one line under a protocol; `servings` divides what the whole dish holds. Remembered by the
 * foods read, which stay the same value while the line's words do.
 */
export function findingsOf(
  line: ReadLine,
  protocol: Protocol,
  role: RoleId,
  servings: Range,
): readonly Finding[] {
  // a line of a part that is not eaten whole brings less than its words do by themselves
  if (line.origin === 'method' || line.share) return judgeLine(line, protocol, role, servings);
  const key = `${role}|${servings.low}|${servings.high}`;
  let byProtocol = remembered.get(line.foods);
  if (!byProtocol) remembered.set(line.foods, (byProtocol = new WeakMap()));
  let known = byProtocol.get(protocol);
  if (!known) byProtocol.set(protocol, (known = new Map()));
  const before = known.get(key);
  if (before) return before;
  const found = judgeLine(line, protocol, role, servings);
  known.set(key, found);
  return found;
}

function judgeLine(line: ReadLine, protocol: Protocol, role: RoleId, servings: Range): Finding[] {
  const out: Finding[] = [];
  const place = line.origin === 'method' ? line.span : null;
  const at = place ? ([place[0], place[1]] as [number, number]) : null;
  if (line.origin === 'method')
    out.push({
      rule: 'only-in-method',
      level: 'watch',
      message: `only the method names this: ${line.foods[0]?.readings.join('; ') ?? ''}`,
      span: at,
    });
  if (line.missing === 'food') {
    const near =
      line.foods.find((f) => !f.food)?.candidates[0] ?? line.alternatives.find((f) => !f.food)?.candidates[0];
    const which = [...line.foods, ...line.alternatives].find((f) => !f.food)?.text.trim();
    const ring = line.foods.find((f) => f.cycle)?.cycle;
    out.push({
      rule: 'not-understood',
      level: 'watch',
      message: ring
        ? `made of itself: ${ring.join(' → ')}; it cannot be counted`
        : `${which ? `“${which}” is no food this kitchen knows` : 'no food was found here'}${near ? `; nearest is ${near.food.name.toLowerCase()}` : ''}`,
      span: at,
    });
  }
  if (line.missing === 'amount')
    out.push({
      rule: 'no-amount',
      level: 'watch',
      message: line.nothing
        ? 'it says an amount of nothing: a slip of the pen?'
        : 'the amount could not be read: say it, or weigh it',
      span: at,
    });
  const heaviest = Math.max(0, ...line.foods.map((f) => f.grams?.high ?? 0));
  if (heaviest > ABSURD_GRAMS)
    out.push({
      rule: 'absurd-amount',
      level: 'watch',
      message: `that is up to ${Math.round(heaviest / 1000)} kg: a slip of the pen?`,
      span: at,
    });
  const { corners } = line;
  if (corners) {
    for (const limit of protocol.limits) {
      const own = sumBounds([corners], partOfLimit(limit));
      if (Number.isNaN(own.high) || limit.bound === 'least') continue;
      if (limit.limit === 0) {
        if (own.high > 1e-9)
          out.push({
            rule: limit.id,
            level: own.low > 1e-9 ? 'banned' : 'watch',
            message: banMessage(limit, line, own),
            span: at,
          });
      } else if (isAmount(limit)) {
        const bound = limitFor(limit, role);
        const low = own.low / servings.high;
        const high = own.high / servings.low;
        if (low > bound)
          out.push({
            rule: limit.id,
            level: 'over',
            message: `alone more than the whole dish may hold: ${few(low)} of ${few(bound)} ${limit.unit}`,
            span: at,
          });
        else if (high > bound * 0.5)
          out.push({
            rule: limit.id,
            // alone it may already be too much, or it may be little: that is open, not near
            level: high > bound ? 'watch' : 'near',
            message: `${high > bound ? 'perhaps alone too much' : 'much of the limit'}: up to ${few(high)} of ${few(bound)} ${limit.unit}`,
            span: at,
          });
      }
    }
  }
  for (const f of line.foods) {
    if (!f.food) continue;
    if (f.confidence < 0.85)
      out.push({
        rule: 'not-sure',
        level: 'note',
        message: `read as ${f.food.name.toLowerCase()}, not quite sure`,
        span: at,
      });
    const hidden = f.food.adds.filter(
      (a) =>
        !(a === 'salt' && f.food?.kindClass === 'salt') &&
        !(a === 'oil' && f.food?.kindClass === 'oil') &&
        !(a === 'sugar' && f.food?.kindClass === 'sweet'),
    );
    if (hidden.length > 0)
      out.push({
        rule: 'hidden',
        level: 'note',
        message: `bought, it usually holds ${hidden.map((h) => HIDES[h]).join(', ')}: read the label`,
        span: at,
      });
  }
  const belief = beliefOf(line, servings);
  if (belief) out.push({ rule: belief.rule, level: 'note', message: belief.says, span: at });
  for (const c of cautionsOfLine(line)) out.push({ rule: c.id, level: 'watch', message: c.says, span: at });
  return out;
}
