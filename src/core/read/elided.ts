import type { ReadLine } from './types';

/** Words that say which kind of something it is, and name nothing themselves. */
const KINDS =
  /^(?:white|wholemeal|wholewheat|whole wheat|wholegrain|brown|plain|strong|red|green|yellow|black|smoked|silken|firm|soft|sweet|rye|spelt)$/;

/**
 * "400 g wholemeal bread flour", "100 g white": a line whose name is only a kind is of what the line before it is, as a
 * line of ingredients in full words; null where the line says what it is, or none before it does.
 */
export function ofTheSame(line: ReadLine, before: ReadLine | undefined): ReadLine['line'] | null {
  const [own] = line.foods;
  const [other] = before?.foods ?? [];
  if (line.missing !== 'food' || line.foods.length !== 1 || !own || own.food || !other?.food) return null;
  if (!KINDS.test(own.phrase.trim().toLowerCase())) return null;
  const head = other.phrase.trim().split(/\s+/).at(-1);
  return head ? { ...line.line, text: `${line.line.text} ${head}` } : null;
}
