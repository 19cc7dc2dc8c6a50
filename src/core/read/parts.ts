import { escapePattern } from '@/core/escape';
import { tokens } from '@/core/food/tokens';
import { exact, range, type Range } from '@/core/range/range';
import type { Recipe } from '@/core/recipe/source';

/** How much of a part (a sauce, a filling) is eaten with the dish, and the words that say so. */
export interface PartShare {
  readonly share: Range;
  readonly says: string;
}

const FRACTIONS: readonly (readonly [RegExp, number])[] = [
  [/^(?:a |one )?half(?: of)?$|^½$|^1\/2$|^50 ?%$/, 1 / 2],
  [/^(?:a |one )?third(?: of)?$|^⅓$|^1\/3$/, 1 / 3],
  [/^two[- ]thirds(?: of)?$|^⅔$|^2\/3$/, 2 / 3],
  [/^(?:a |one )?quarter(?: of)?$|^(?:one )?fourth(?: of)?$|^¼$|^1\/4$/, 1 / 4],
  [/^three[- ]quarters(?: of)?$|^¾$|^3\/4$/, 3 / 4],
  [/^(?:a |one )?fifth(?: of)?$|^1\/5$/, 1 / 5],
  [/^(?:a |one )?sixth(?: of)?$|^1\/6$/, 1 / 6],
  [/^(?:an |one )?eighth(?: of)?$|^⅛$|^1\/8$/, 1 / 8],
  [/^(?:a |one )?tenth(?: of)?$|^1\/10$/, 1 / 10],
];
const FRACTION =
  '((?:a |an |one )?(?:half|third|quarter|fourth|fifth|sixth|eighth|tenth)|two[- ]thirds|three[- ]quarters|[½⅓⅔¼¾⅛]|1\\/(?:2|3|4|5|6|8|10)|2\\/3|3\\/4|50 ?%)';

const ANY_FRACTION = new RegExp(FRACTION, 'i');

function fractionOf(words: string): number | null {
  const said = words.trim().toLowerCase();
  return FRACTIONS.find(([pattern]) => pattern.test(said))?.[1] ?? null;
}
const NOT_A_NAME = new Set(['for', 'the', 'and', 'of', 'a', 'to', 'with', 'from', 'method', 'ingredient']);

/** Words that a section's name goes by in the steps: "For the cheese sauce" is "cheese sauce" or "sauce". */
function namesOf(section: string): string[] {
  const plain = section
    .toLowerCase()
    .replace(/\(.*?\)/g, ' ')
    .replace(/[:,].*$/, ' ');
  const words = plain.split(/[^a-zà-ÿ-]+/).filter((w) => w && !NOT_A_NAME.has(w));
  const last = words.at(-1);
  return last ? [...new Set([words.join(' '), last])] : [];
}

const KEPT_FOR =
  '(?:another|other|next|later|tomorrow|leftover|lunch|future|(?:the )?freezer|the week|days?)';

interface Said {
  readonly used: number | null;
  readonly kept: number | null;
  readonly plates: number | null;
  readonly restUsed: boolean;
  readonly restKept: boolean;
  readonly words: string;
}

/** What the method says of one part. */
function saidOf(name: string, text: string): Said {
  const key = `(?:[\\w-]+ ){0,2}${escapePattern(name)}`;
  const of = `(?:\\s+of)?\\s+(?:the |your |this )?`;
  const at = (pattern: string) => new RegExp(pattern, 'i').exec(text);
  const perPlate = at(
    `${FRACTION}${of}${key}[^.;]{0,24}\\b(?:on|per|for|over|onto|to|goes on|into)\\s+(?:each|one|every|a|single)\\s+(?:plate|serving|person|bowl|portion|potato)`,
  );
  const kept = at(
    `\\b(?:reserve|save|keep|freeze|refrigerate|store|set aside|chill|put away)\\b[^.;]{0,12}?\\b${FRACTION}${of}${key}[^.;]{0,40}\\b(?:for|until)\\s+(?:the )?${KEPT_FOR}|\\bfreeze\\s+${FRACTION}${of}${key}`,
  );
  const used = at(
    `\\b(?:use|using|add|stir in|stir|pour|spoon|spread|toss|mix in|mix|fold in|top|dress|needs?|takes?|cover)\\b[^.;]{0,30}?\\b${FRACTION}${of}${key}`,
  );
  const goes = at(`\\b(?:only |just )?${FRACTION}${of}${key}\\s+(?:goes|went|go)\\s+(?:on|in|into|over)\\b`);
  const talked = (verbs: string, behind = '') =>
    at(
      `\\b${escapePattern(name)}\\b[^.;]{0,60}(?:[.;][^.;]{0,12})?\\b(?:we|i|you|they)(?: will| only| just| usually| always| reckon| probably){0,2} (?:${verbs})\\s+(?:only |just |about |roughly |maybe )*${FRACTION}${behind}`,
    );
  const ate = talked('get through|go through|use|used|eat|need|take|want');
  const back = talked('keep|save|hold|freeze|put', '(?: of it)?(?: back| away| aside| for)?');
  const rest = '(?:the )?(?:rest|remainder|remaining|other half|leftover)';
  const restKept =
    at(
      `\\b(?:reserve|save|keep|freeze|refrigerate|store|chill)\\b[^.;]{0,12}\\b${rest}\\b[^.;]{0,50}(?:\\bfor\\s+(?:the )?${KEPT_FOR}|\\bkeeps?\\b|$|[.;])|\\b${rest}\\b[^.;]{0,30}\\b(?:keeps?|freezes?|will keep|can be frozen|is for|goes in the freezer)\\b`,
    ) ?? at(`\\bmakes (?:twice|double|more than)\\b`);
  const restUsed = at(
    `\\b(?:add|pour|stir in|spoon|spread|top with|drizzle|serve with|use)\\b[^.;]{0,20}\\b${rest}\\b(?![^.;]{0,40}\\b(?:${KEPT_FOR}|keeps?|freez)\\b)|\\b${rest}\\b[^.;]{0,30}\\b(?:for dipping|at the table|on the side|in a jug|to serve|goes on|is eaten)\\b`,
  );
  const fraction = (m: RegExpExecArray | null) =>
    m ? fractionOf(m.slice(1).find((g) => g !== undefined) ?? '') : null;
  return {
    plates: fraction(perPlate),
    kept: fraction(kept ?? back),
    used: perPlate ? null : fraction(used ?? goes ?? ate),
    restKept: restKept !== null,
    restUsed: restUsed !== null,
    words: (perPlate ?? kept ?? back ?? used ?? goes ?? ate ?? restKept)?.[0].trim() ?? '',
  };
}

function shareOf(said: Said, servings: Range): Range | null {
  if (said.plates !== null) {
    const most = (n: number) => Math.min(1, n * (said.plates as number));
    return range(most(servings.low), most(servings.best), most(servings.high));
  }
  if (said.kept !== null) return exact(1 - said.kept);
  if (said.used === null) return null;
  if (said.restKept) return exact(said.used);
  // "use half of it … add the rest": all of it goes in
  if (said.restUsed) return null;
  // only half is said to go in; where the rest goes, nobody says
  return range(said.used, said.used, 1);
}

/**
 * Parts of a dish of which only some is eaten with it: "use half of the sauce, freeze the rest", "an eighth
 * of the cheese sauce goes on each plate", "For the sauce (use half)". By section; the whole where nothing
 * is said.
 */
export function partShares(recipe: Recipe, servings: Range): ReadonlyMap<string, PartShare> {
  const out = new Map<string, PartShare>();
  const sections = new Set(recipe.lines.flatMap((l) => (l.section ? [l.section] : [])));
  if (sections.size === 0) return out;
  const text = recipe.steps.map((s) => s.text).join(' ');
  // without a fraction the method says nothing of a part
  const someFraction = ANY_FRACTION.test(text);
  for (const section of sections) {
    const inHeading = new RegExp(`\\(?\\b(?:use|you need|need)\\s+(?:only )?${FRACTION}`, 'i').exec(section);
    const fraction = inHeading ? fractionOf(inHeading[1] ?? '') : null;
    if (fraction !== null) {
      out.set(section, { share: exact(fraction), says: `“${section}”` });
      continue;
    }
    if (!someFraction) continue;
    for (const name of namesOf(section)) {
      if (tokens(name).length === 0) continue;
      const said = saidOf(name, text);
      const share = shareOf(said, servings);
      if (!share) continue;
      out.set(section, { share, says: `“${said.words}”` });
      break;
    }
  }
  return out;
}
