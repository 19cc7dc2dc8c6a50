import { escapePattern } from '@/core/escape';
import { auditRecipe } from '@/core/audit/audit';
import { dishOf, isComplete } from '@/core/audit/dish';
import type { RecipeAudit } from '@/core/audit/schema';
import type { Protocol, RoleId } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { conflictsOf, isSafe } from '@/core/read/allergens';
import { readRecipe } from '@/core/read/read';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';
import { NO_TASTES, type KitchenTastes } from '@/core/swap/tastes';
import { applyPlan } from './apply';
import {
  binding,
  changedIn,
  costOf,
  holds,
  lpOf,
  modelOf,
  selectionOf,
  type AdaptDiner,
  type Cut,
  type Model,
  type Selection,
  valueOf,
} from './model';
import { leastOf } from './reduce';
import { additionsFor } from './additions';
import { isBatter, type LineChoices } from './choice';
import { wrongIn } from './fence';
import { choicesOf, gramsOf } from './options';
import type { Change } from './schema';

/**
 * Solves an integer programme in LP format; null where nothing holds. Throws only for bugs.
 *
 * @param gap how far from the least an answer may be, in departure; 0 where nothing is said
 */
export type Solve = (lp: string, gap?: number) => ((name: string) => number) | null;

/** Somebody a dish is adapted for. */
export interface ForDiner {
  readonly protocol: Protocol;
  readonly allergens?: readonly string[];
  /** Size of their plate, 1 for the recipe's own. */
  readonly plate?: number;
}

export interface AdaptOptions {
  readonly role?: RoleId | undefined;
  readonly source?: string;
  /** How many plans beside the best one. */
  readonly alternatives?: number;
  /** Words of lines that must stay as they are. */
  readonly locked?: readonly string[];
  /** Words of lines that must not stay as they are. */
  readonly forced?: readonly string[];
  /** What this kitchen has, likes and has done before. */
  readonly tastes?: KitchenTastes | undefined;
}

/** What a search for plans is about. */
export interface Context {
  readonly diners: readonly ForDiner[];
  readonly settings: ReadSettings;
  readonly options: AdaptOptions;
  readonly role: RoleId;
  readonly solve: Solve;
}

/** A recipe on its way to a plan, with what was changed so far. */
export interface Draft {
  readonly read: ReadRecipe;
  readonly changes: readonly Change[];
}

/** Rounds of changes: a swap may bring to light a phrase of the method that the old line had covered. */
const MOST_ROUNDS = 4;
const MOST_TRIES = 6;
const AMOUNT = /[\d½¼¾⅓⅔⅛]/;
/** Departure by which a further plan may lie above the least that differs as much. */
const NEAR = 0.5;

export const fits = (audit: RecipeAudit) => audit.verdict === 'within' || audit.verdict === 'near';

/** A fresh audit, as anybody makes it who reads the text: the part it plays is what its own words say. */
export const auditFor = (read: ReadRecipe, diner: ForDiner, { options }: Context): RecipeAudit =>
  auditRecipe(read, diner.protocol, { role: options.role, source: options.source ?? '', plate: diner.plate });

/** True where everyone may eat it: every limit held by a fresh audit, no allergen of theirs in it. */
export const servesAll = (read: ReadRecipe, context: Context): boolean =>
  context.diners.every((d) => {
    const audit = auditFor(read, d, context);
    return fits(audit) && isSafe(conflictsOf(audit, d.allergens ?? []));
  });

const wordsOf = (line: ReadLine) => `${line.origin} ${line.line.text}`;

/** The integer programme of a recipe as it stands, with the choices its columns mean. */
export interface Programme {
  readonly model: Model;
  readonly lines: LineChoices[];
}

/**
 * @param ahead what a swap brings to light in the method counts as its own doing; else it is left to a later round
 * @param first where given, a later round: what was changed since, or has come beside the dish, stays
 * @param done  the changes of earlier rounds
 */
export function programme(
  read: ReadRecipe,
  { diners, settings, options, role }: Context,
  ahead: boolean,
  first: ReadRecipe | null = null,
  done: readonly Change[] = [],
): Programme {
  const known = first && new Set(first.lines.map(wordsOf));
  // so much of something that an earlier round put into a sentence
  const put = (line: ReadLine) =>
    line.origin === 'method' &&
    line.line.text.length > 3 &&
    done.some((c) => AMOUNT.test(c.to) && c.to.includes(line.line.text));
  const stays = (line: ReadLine) =>
    options.locked?.includes(line.line.text) === true ||
    put(line) ||
    (known !== null && line.origin === 'ingredients' && !known.has(wordsOf(line)));
  const locked = new Set(read.lines.flatMap((l, i) => (stays(l) ? [i] : [])));
  const lines = [
    ...choicesOf(read, settings, { locked, ahead, tastes: options.tastes ?? NO_TASTES }),
    ...(first ? [] : additionsFor(read, role, settings)),
  ];
  const people = diners.flatMap((d): AdaptDiner[] => {
    const dish = dishOf(read, d.plate);
    const complete = isComplete(dish) ? dish : { ...dish, lines: dish.lines.map((l) => l ?? []), ends: [] };
    return [{ protocol: d.protocol, allergens: d.allergens ?? [], dish: complete, role }];
  });
  const forced = new Set(read.lines.flatMap((l, i) => (options.forced?.includes(l.line.text) ? [i] : [])));
  // what is beside the dish is no part of its dough
  const bound = isBatter(first ?? read) ? binding(lines.filter((l) => l.index < read.lines.length)) : [];
  return { model: modelOf(lines, people, gramsOf(read), forced, bound), lines };
}

/** Where a line of a later text belongs in the first one: its own words, else its kind of food. */
export function originalLine(change: Change, now: ReadRecipe, first: ReadRecipe): number {
  // what is eaten beside the dish is a line of its own, after all others
  if (change.from === '') return first.lines.length;
  const same = first.lines.findIndex((l) => l.line.text === change.from);
  if (same >= 0) return same;
  const part = first.lines.findIndex((l) => l.foods.length > 1 && l.line.text.includes(change.from));
  if (part >= 0) return part;
  const kind = now.lines[change.line]?.foods[0]?.food?.kind;
  return Math.max(
    0,
    first.lines.findIndex((l) => l.foods.some((f) => f.food?.kind === kind)),
  );
}
/**
 * Changes of a further round beside the earlier ones. What only the method still called by the old food's name belongs to
 * the change of its line: it is the same change in another place.
 */
function merged(done: readonly Change[], more: readonly Change[], first: ReadRecipe): readonly Change[] {
  const known = new Set(first.lines.map((l) => l.line.text));
  const all = [...done];
  for (const c of more) {
    // words that an earlier change put there: it is that change which now says something else
    const source =
      c.from === '' || first.recipe.source.includes(c.from)
        ? -1
        : all.findIndex((d) => d.to.includes(c.from));
    const put = all[source];
    if (put)
      all[source] = { ...put, to: put.to.replace(new RegExp(`(?:the )?${escapePattern(c.from)}`), c.to) };
    else if (known.has(c.from) || !done.some((d) => d.line === c.line)) all.push(c);
  }
  return all;
}

/**
 * Carries a selection out, then goes on until a fresh audit serves everyone or nothing more can be done. A further
 * round only changes what the first ones left as it was.
 *
 * @param relaxed true goes on with what comes nearest where nothing holds
 */
export function carryOut(
  first: ReadRecipe,
  { lines }: Programme,
  selection: Selection,
  context: Context,
  relaxed = false,
): Draft {
  let draft: Draft = { read: first, changes: [] };
  let choices = lines;
  let chosen: Selection | null = selection;
  for (let round = 0; round < MOST_ROUNDS && chosen; round += 1) {
    const before = draft.read;
    const { text, changes } = applyPlan(before, choices, chosen, context.settings);
    const named = changes.map((c) => ({ ...c, line: originalLine(c, before, first) }));
    draft = {
      read: readRecipe(parseRecipe(text), context.settings),
      changes: merged(draft.changes, named, first),
    };
    if (changes.length === 0 || servesAll(draft.read, context)) return draft;
    let next = programme(draft.read, context, true, first, draft.changes);
    chosen = leastOf(next.model, [], context.solve);
    if (!chosen) {
      next = programme(draft.read, context, false, first, draft.changes);
      chosen = leastOf(next.model, [], context.solve);
      const near = !chosen && relaxed ? context.solve(lpOf(next.model, [], true)) : null;
      if (near) chosen = selectionOf(next.model, near);
    }
    choices = next.lines;
  }
  return draft;
}

const keyOf = (draft: Draft) =>
  draft.changes
    .map((c) => `${c.from}>${c.swap}`)
    .sort()
    .join('|');

/** A draft that serves everyone; `least` where no other selection of its programme changes less. */
export interface Found {
  readonly draft: Draft;
  readonly least: boolean;
}

/**
 * The programme with rows as much tighter as the words of a plan turned out above what it said: what is written cooks
 * down otherwise than line by line.
 */
function learnt(model: Model, selection: Selection, draft: Draft, context: Context): Model {
  const now = programme(draft.read, context, true).model;
  const kept = now.lines.map(() => 0);
  const rows = model.rows.map((row, r) => {
    const written = now.rows[r];
    if (row.hard || !written || written.name !== row.name) return row;
    // both sides as far as they lie from their limit
    const beyond = valueOf(written, kept) - written.most - (valueOf(row, selection) - row.most);
    return beyond > row.scale * 1e-6 ? { ...row, most: row.most - beyond } : row;
  });
  return { ...model, rows };
}

/**
 * Plans that hold in words, the least first, until enough differ or nothing more is found.
 *
 * @param most selections that may fail in words before it is given up
 */
export function search(
  read: ReadRecipe,
  of: Programme,
  wanted: number,
  context: Context,
  most = MOST_TRIES,
): Found[] {
  let { model } = of;
  const found: Found[] = [];
  const keys = new Set<string>();
  const cuts: Cut[] = [];
  let floor = 0;
  for (let tries = 0; tries < most + wanted && found.length < wanted; tries += 1) {
    // the first plan is proven the least; what is beside it need only be near
    const selection = leastOf(model, cuts, context.solve, { gap: found.length > 0 ? NEAR : 0, floor });
    if (!selection) {
      // what was learnt may have been that plan's alone
      if (model === of.model) break;
      model = of.model;
      continue;
    }
    // a solver's tolerance may let a hair too much pass: that selection is not one
    if (!holds(model, selection)) {
      cuts.push({ selection, differ: 1 });
      continue;
    }
    // cuts and tighter rows only take selections away: what comes later departs no less than what the whole gave
    if (found.length === 0 && model === of.model) floor = costOf(model, selection) - 1e-6;
    const draft = carryOut(read, of, selection, context);
    const serves =
      servesAll(draft.read, context) &&
      wrongIn(read, draft.read, draft.changes, context.settings).length === 0;
    // what does not hold in words is tried no more; another way is to differ in a third of its changes
    const changed = changedIn(selection);
    cuts.push({ selection, differ: serves ? Math.max(1, Math.ceil(changed / 3)) : 1 });
    if (!serves) {
      if (found.length === 0) model = learnt(of.model, selection, draft, context);
      continue;
    }
    const key = keyOf(draft);
    if (keys.has(key)) continue;
    keys.add(key);
    // the first selection that also holds in words is the least one, unless a later round added to it
    found.push({
      draft,
      least: found.length === 0 && model === of.model && draft.changes.length === changed,
    });
  }
  return found;
}
