import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import type { StepClause } from '@/core/steps/schema';
import { stepsOf } from '@/core/steps/steps';
import { Builder } from './builder';
import { isDeed } from './deed';
import type { Task } from './task';

const CUTS = new Set([
  'slice',
  'dice',
  'mince',
  'shred',
  'cut',
  'cube',
  'halve',
  'quarter',
  'julienne',
  'tear',
  'trim',
]);

/** Deeds of the knife and the sieve that the method tells of lines itself: they are not done twice. */
function toldOf(steps: readonly { readonly clauses: readonly StepClause[] }[]): Map<number, Set<string>> {
  const out = new Map<number, Set<string>>();
  for (const step of steps)
    for (const c of step.clauses)
      if (c.action !== null && c.polarity === 'do')
        for (const l of c.foods.flatMap((f) => f.lines)) {
          const own = out.get(l) ?? new Set();
          out.set(l, own.add(c.action));
          // the knife's work by whatever name
          if (CUTS.has(c.action)) own.add('chop');
        }
  return out;
}

/**
 * What there is to do for a dish: each deed of its method, and what its lines ask for before, with what must be done
 * before what. Deeds follow each other as they are told, except where they plainly act on something else: another part,
 * another pot, the oven, "meanwhile".
 *
 * @param times how much more is made than the recipe says
 */
export function tasksOf(read: ReadRecipe, settings: ReadSettings, times = 1): Task[] {
  const steps = stepsOf(read, settings);
  const builder = new Builder(read, times, toldOf(steps));
  steps.forEach((step, s) => {
    let end = 0;
    let sentence = '';
    let began = false;
    let part: string | null = null;
    let named: StepClause['foods'] = [];
    step.clauses.forEach((told, k) => {
      const c = named.length > 0 ? { ...told, foods: [...named, ...told.foods] } : told;
      const between = step.text.slice(end, c.span[0]);
      const opens = k === 0 || /[.!?;:\n]/.test(between) || /[.!?;:]\s*$/.test(step.text.slice(0, c.span[0]));
      const text = step.text.slice(...c.span);
      // "meanwhile toast the seeds, add the onion": only what comes first is begun beside the rest
      const before = opens || began ? between : sentence + between;
      sentence = before + text;
      began = isDeed(c, text, opens);
      const next = step.clauses.slice(k + 1).find((n) => isDeed(n, step.text.slice(...n.span), false));
      const until = next?.span[0] ?? step.text.length;
      const whole = step.text.slice(c.span[0], until);
      if (opens)
        part =
          builder.partOf(/^[^:.;\n]{2,40}(?=:)/.exec(step.text.slice(c.span[0]))?.[0] ?? between) ?? part;
      // "cook the quinoa: simmer 15 minutes": the words before the colon name what follows does
      if (next && c.minutes === null && c.polarity === 'do' && /^\s*:/.test(step.text.slice(c.span[1]))) {
        named = c.foods;
        end = c.span[1];
        return;
      }
      named = [];
      const start = c.span[0];
      builder.clause(c, `s${s}.${k}`, { step: s, text, sentence, opens, start, until, whole, part });
      end = c.span[1];
    });
  });
  return builder.finished();
}
