import { escapePattern } from '@/core/escape';
import raw from '@content/compiled/swaps.json';
import type { ReadLine, ReadRecipe } from '@/core/read/types';
import type { SwapFile, SwapRow } from './schema';

// checked by Zod when content is compiled
const file = raw as unknown as SwapFile;

/** All swaps of the knowledge base. */
export const SWAPS: readonly SwapRow[] = file.swaps;

/** What a food does in a dish, with the words that say so. */
export interface DishRole {
  readonly id: string;
  readonly label: string;
  readonly evidence: string;
}

const patterns = file.roles.map((row) => ({
  row,
  line: row.line ? new RegExp(row.line, 'i') : null,
  steps: row.steps ? new RegExp(row.steps, 'i') : null,
  title: row.title ? new RegExp(row.title, 'i') : null,
}));

/** Clauses of the method that name the food, or its kind's word. */
function clausesOf(read: ReadRecipe, line: ReadLine): string[] {
  const food = line.foods[0]?.food;
  if (!food) return [];
  if (line.origin === 'method' && line.step !== null)
    return [clauseAround(read.steps[line.step]?.text ?? '', line.span?.[0] ?? 0)];
  const words = line.foods[0]?.text.split(' ') ?? [];
  const telling = [words.at(-1) ?? '', KIND_WORD[food.kind] ?? ''].filter((w) => w.length > 2);
  const out: string[] = [];
  for (const step of read.steps) {
    const clauses = step.text.split(/[.;!]/);
    clauses.forEach((clause, i) => {
      const names = telling.some((w) => new RegExp(`\\b${escapePattern(w)}`, 'i').test(clause));
      if (!names || /\b(?:extra|more)\b/i.test(clause)) return;
      // "Toss in the oil. Roast for 30 minutes": the next sentence says what it is for
      out.push(TOSSED.test(clause) ? `${clause}.${clauses[i + 1] ?? ''}` : clause);
    });
  }
  return out;
}
const MIXES =
  /\b(?:mix|stir|whisk|beat|fold|add|cream|rub|knead|sift|mash|blend|blitz|whizz|combine|tip|pour|in)\w*\b/i;
const TOSSED = /\b(?:toss|coat|rub|massage|drizzle|turn|mix)\w*\b/i;
const KIND_WORD: Record<string, string> = {
  oil: 'oil',
  salt: 'salt',
  sugar: 'sugar',
  syrup: 'syrup',
  'solid-fat': 'butter',
};
function clauseAround(text: string, at: number): string {
  const from = Math.max(text.lastIndexOf('.', at), text.lastIndexOf(';', at)) + 1;
  const to = text.slice(at).search(/[.;]/);
  return text.slice(from, to < 0 ? undefined : at + to);
}

/** True where a food that the role asks for is in the dish. */
const beside = (p: (typeof patterns)[number], read: ReadRecipe): boolean => {
  const wanted = p.row.beside;
  return (
    wanted !== undefined &&
    read.lines.some((l) =>
      l.foods.some((f) => f.food && (wanted.includes(f.food.kind) || wanted.includes(f.food.id))),
    )
  );
};

/** Evidence that a role fits, by one kind of evidence at a time: the surest kind is asked of all roles first. */
const EVIDENCE: readonly ((
  p: (typeof patterns)[number],
  read: ReadRecipe,
  line: ReadLine,
) => string | null)[] = [
  (p, read, line) => {
    if (!p.row.both || !beside(p, read)) return null;
    if (p.line && !p.line.test(line.line.text)) return null;
    if (!p.steps) return `beside a ${p.row.beside?.[0] ?? ''}`;
    const clauses = clausesOf(read, line);
    return clauses.length > 0 && clauses.every((c) => p.steps?.test(c)) ? 'the method says so' : null;
  },
  (p, _read, line) => {
    if (p.row.both) return null;
    // "plus extra for the tin" is not what the line is for
    const own = line.line.text.replace(/,?\s*\b(?:plus|and) (?:a little )?(?:extra|more)\b.*$/i, '');
    const found = p.line?.exec(`${own} ${line.line.section ?? ''}`)?.[0];
    return found ? `“${found.trim()}” in the line or its section` : null;
  },
  (p, read) => {
    return !p.row.both && beside(p, read) ? `beside a ${p.row.beside?.[0] ?? ''}` : null;
  },
];

/** Roles that a food of a kind may have, in the order they are asked for. */
export const rolesOf = (kind: string): readonly Pick<DishRole, 'id' | 'label'>[] => [
  ...new Map(
    patterns.filter((p) => p.row.kinds.includes(kind)).map(({ row: { id, label } }) => [id, { id, label }]),
  ).values(),
];

const labelOf = (id: string) => patterns.find((p) => p.row.id === id)?.row.label;

/** What the first food of a line does in the dish, the cook's own word first; the last resort is `any`. */
export function roleOf(read: ReadRecipe, line: ReadLine): DishRole {
  const kind = line.foods[0]?.food?.kind;
  const said = line.role === null ? undefined : labelOf(line.role);
  if (line.role !== null && said) return { id: line.role, label: said, evidence: 'you said so' };
  const mine = patterns.filter((p) => kind && p.row.kinds.includes(kind));
  const single = mine.filter((p) => !p.row.both);
  const as = (p: (typeof patterns)[number], evidence: string): DishRole => ({
    id: p.row.id,
    label: p.row.label,
    evidence,
  });
  const clauses = clausesOf(read, line);
  // what only the method names, and mixes into nothing, is no part of the dough
  const apart = line.origin === 'method' && !clauses.some((c) => MIXES.test(c));
  for (const evidence of EVIDENCE)
    for (const p of mine) {
      const found = apart && p.row.beside ? null : evidence(p, read, line);
      if (found) return as(p, found);
    }
  // the first clause that touches the food says what it is for
  for (const clause of clauses)
    for (const p of single) {
      const found = p.steps?.exec(clause)?.[0];
      if (found && (!p.row.every || clauses.every((c) => p.steps?.test(c))))
        return as(p, `“${found.trim()}” in the method`);
    }
  for (const p of apart ? single.filter((x) => x.row.apart) : single) {
    const found = p.title?.exec(read.recipe.title)?.[0];
    if (found) return as(p, `“${found}” in the title`);
  }
  const plain = mine.find((p) => !p.line && !p.steps && !p.title && !p.row.beside);
  return plain
    ? as(plain, 'by its kind')
    : { id: 'any', label: 'in the dish', evidence: 'nothing more is said' };
}

/** Swaps for a line's food in its role; where few know the role, those for any role too. */
export function swapsFor(line: ReadLine, role: DishRole): SwapRow[] {
  const food = line.foods[0]?.food;
  if (!food) return [];
  const matches = SWAPS.filter((s) => s.from.foods?.includes(food.id) || s.from.kinds?.includes(food.kind));
  const forRole = matches.filter((s) => s.roles.includes(role.id));
  const forAny = matches.filter((s) => !s.roles.includes(role.id) && s.roles.includes('any'));
  // words of the method are only changed by what fits them
  if (line.origin === 'method') return forRole;
  return forRole.length >= 2 ? forRole : [...forRole, ...forAny];
}
