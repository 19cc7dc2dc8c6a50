import { isHarmless } from '@/core/food/tokens';
import { type ClauseSpan, type Sentence } from '@/core/step/clauses';
import {
  AUXILIARIES,
  CONJUNCTIONS,
  DEFINITE,
  DETERMINERS,
  NEGATORS,
  ORDINARY,
  PREPOSITIONS,
  PRONOUNS,
  SUBJECTS,
  TOOLS,
  verbOf,
} from '@/core/step/lexicon';
import { isRemark } from '@/core/step/remark';
import { polarityOf, verbNegated } from '@/core/step/polarity';
import { type Token } from '@/core/step/tokens';
import { isMeasure } from './measured';
import { type Scan, type Source, lineOf, textOf } from './scan';

const TELLS_OF = new Set(['which', 'who', 'whose', 'where']);

/** What a sentence puts into the dish and nobody here knows: the dish cannot be judged without it. */
export function unknowns(scan: Scan, source: Source, s: Sentence, c: ClauseSpan): void {
  if (source.names || source.tail) return;
  const verb = c.verb;
  if (!verb?.verb.brings || verb.form === 'ed' || verb.form === 's') return;
  if (
    isRemark(s, c) ||
    c.opener === 'until' ||
    c.opener === 'if' ||
    c.opener === 'unless' ||
    verbNegated(s, c)
  )
    return;
  let i = c.verbAt + 1;
  // "top with", "finish with": what stands behind "with"; "add", "stir in": the object
  const needsWith = [
    'top',
    'garnish',
    'finish',
    'serve',
    'dress',
    'coat',
    'fill',
    'stuff',
    'brush',
    'rub',
    'dust',
    'cover',
    'layer',
    'sprinkle',
    'drizzle',
    'scatter',
    'spread',
    'splash',
    'dot',
    'wrap',
    'baste',
    'glaze',
    'toss',
    'mash',
    'loosen',
    'thicken',
    'mix',
    'blend',
    'eat',
  ].includes(verb.verb.id);
  const object = [
    'add',
    'stir',
    'pour',
    'throw',
    'chuck',
    'bung',
    'splash',
    'crumble',
    'fold',
    'whisk',
    'swirl',
    'tip',
    'drizzle',
    'scatter',
    'sprinkle',
    'spoon',
    'spread',
  ].includes(verb.verb.id);
  if (needsWith) {
    let at = -1;
    for (let k = i; k < c.to; k += 1)
      if (
        s.tokens[k]?.word === 'with' ||
        (verb.verb.id === 'serve' && ['on', 'over', 'in'].includes(s.tokens[k]?.word ?? ''))
      ) {
        at = k;
        break;
      }
    if (at >= 0) i = at + 1;
    else if (!object) return;
  } else if (!object) return;
  let run: number[] = [];
  const judge = () => {
    const last = run.at(-1);
    if (last !== undefined) {
      const t = s.tokens[last] as Token;
      const known = run.some((k) => s.named[k - s.from] !== null);
      const ordinary = ORDINARY.has(t.word) || ORDINARY.has(t.normal) || isHarmless(t.normal);
      const inList =
        scan.cover.lines.some((l) => run.some((k) => l.words.has(s.tokens[k]?.normal ?? ''))) ||
        scan.cover.parts.some((p) => p.has(t.normal)) ||
        scan.cover.title.has(t.normal);
      const definite = DEFINITE.has(s.tokens[(run[0] ?? 0) - 1]?.word ?? '');
      // "don't overdo it": what is not to be done
      const refused = s.tokens[(run[0] ?? 0) - 1]?.word ?? '';
      const made =
        (verbOf(t.word) !== undefined && !known) ||
        (NEGATORS.has(refused) && refused !== 'no' && refused !== 'without');
      if (
        !known &&
        !ordinary &&
        !inList &&
        !definite &&
        !made &&
        (t.word.length > 2 || isMeasure(s.tokens[(run[0] ?? last) - 1]?.word ?? '')) &&
        !TOOLS.at(s.tokens, last) &&
        polarityOf(s, c, run[0] ?? last, last + 1) !== 'not' &&
        polarityOf(s, c, run[0] ?? last, last + 1) !== 'remark'
      ) {
        const from = run[0] ?? last;
        const span: [number, number] = [s.tokens[from]?.start ?? 0, t.end];
        scan.out.push(
          lineOf(scan, source, span, textOf(source, s, from, last + 1), null, null, 'not understood', 'do'),
        );
      }
    }
    run = [];
  };
  for (; i < c.to; i += 1) {
    const t = s.tokens[i] as Token;
    const stop =
      t.kind !== 'word' ||
      DETERMINERS.has(t.word) ||
      PREPOSITIONS.has(t.word) ||
      CONJUNCTIONS.has(t.word) ||
      PRONOUNS.has(t.word) ||
      AUXILIARIES.has(t.word) ||
      NEGATORS.has(t.word) ||
      // "until it falls off the spoon": what it does
      SUBJECTS.has(s.tokens[i - 1]?.word ?? '') ||
      (t.word.endsWith('ly') && t.word.length > 4);
    // "the tahini, which is runny, and the rest": what is told of it
    if (TELLS_OF.has(t.word)) {
      judge();
      while (i + 1 < c.to && s.tokens[i + 1]?.kind !== 'mark') i += 1;
      continue;
    }
    if (!stop) {
      if (!isMeasure(t.word)) run.push(i);
      continue;
    }
    judge();
    if (PREPOSITIONS.has(t.word) && !['of', 'in', 'over', 'with', 'on'].includes(t.word)) return;
    if (['in', 'on', 'over'].includes(t.word) && i > c.verbAt + 1 && !(verb.verb.id === 'serve')) return;
    if (t.kind === 'mark' && t.word !== ',') return;
  }
  judge();
}
