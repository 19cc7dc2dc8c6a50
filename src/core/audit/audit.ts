import { roleFromTitle, type Protocol, type RoleId } from '@/core/protocol';
import { exact, type Range } from '@/core/range/range';
import { gramsTogether } from '@/core/read/corners';
import { widestGrams } from '@/core/read/line';
import type { ReadFood, ReadLine, ReadRecipe } from '@/core/read/types';
import { deciding } from './deciding';
import { dishOf, isComplete } from './dish';
import { contribution, per100g, perServing, totals } from './figures';
import { findingsOf } from './findings';
import { judgeLimit, worst } from './limits';
import type { AuditLine, Finding, RecipeAudit } from './schema';

const plain = (r: Range | null): Range | null => (r ? { low: r.low, best: r.best, high: r.high } : null);

const refOf = (f: ReadFood) =>
  f.food ? { id: f.food.id, name: f.food.name, confidence: f.confidence } : null;
const partOf = (f: ReadFood) => ({ text: f.text, food: refOf(f), grams: plain(f.grams) });

function amountOf(line: ReadLine): AuditLine['amount'] {
  const measure = line.words?.foods[0]?.measures[0];
  if (!measure) return null;
  const [low, best, high] = [0, 1, 2].map(
    (i) => (measure.quantity[i] as number) * (measure.factor[i] as number),
  ) as [number, number, number];
  return { low, best, high, unit: measure.unit?.id ?? null };
}

function auditLine(line: ReadLine, findings: readonly Finding[], energy: Range | null): AuditLine {
  const first = line.foods[0];
  return {
    text: line.line.text,
    section: line.line.section,
    amount: amountOf(line),
    grams: plain(
      line.foods.length > 1
        ? gramsTogether(line.foods.map((f) => f.grams))
        : (first?.grams ?? widestGrams(line)),
    ),
    food: first ? refOf(first) : null,
    also: line.foods.slice(1).map(partOf),
    alternatives: line.alternatives.map(partOf),
    preparation: line.words ? [...line.words.preparation] : [],
    optional: line.optional,
    toTaste: line.toTaste,
    origin: line.origin,
    step: line.step,
    readings: [...line.foods, ...line.alternatives].flatMap((f) => f.readings),
    foodSource: first?.food?.source ?? null,
    contribution: contribution(line.corners, energy),
    findings: [...findings],
  };
}

const NO_FIGURES = Object.fromEntries(
  Object.keys(totals({ lines: [], yields: [], potassium: [], servings: exact(1), potG: null })).map(
    (name) => [name, null],
  ),
) as RecipeAudit['per100g'];

export interface AuditOptions {
  readonly source?: string;
  /** False leaves the figures per 100 g out (null): a view that does not show them need not wait for them. */
  readonly per100g?: boolean;
  readonly role?: RoleId | undefined;
}

/**
 * Audits a read recipe against one protocol: what each line brings, bounds of every figure, a verdict
 * for each limit and for the dish. Never `within` where any reading of the words would be over.
 */
export function auditRecipe(read: ReadRecipe, protocol: Protocol, options: AuditOptions = {}): RecipeAudit {
  const role = options.role ?? roleFromTitle(read.recipe.title);
  const servings = read.servings.range;
  const dish = dishOf(read);
  const total = totals(dish);
  const complete = isComplete(dish) ? dish : null;
  const limits = protocol.limits.map((limit) => judgeLimit(limit, role, dish));
  const findings = read.lines.map((l) => findingsOf(l, protocol, role, servings));
  const unresolved = read.lines.filter((l) => l.missing !== null).map((l) => l.line.text);
  const asked = new Set<string>();
  if (complete)
    protocol.limits.forEach((limit, i) => {
      if (limits[i]?.verdict !== 'depends') return;
      for (const index of deciding(limit, role, complete))
        asked.add(index < 0 ? 'how many it feeds' : (read.lines[index]?.line.text ?? ''));
    });
  const problems = [...read.recipe.problems];
  if (read.lines.every((l) => l.origin === 'method'))
    problems.push('No ingredient list was found in this text.');
  if (!read.servings.said) problems.push('The recipe does not say how many it feeds; read as one to eight.');
  const allergens = new Set(
    read.lines.flatMap((l) => [...l.foods, ...l.alternatives].flatMap((f) => f.food?.allergens ?? [])),
  );
  return {
    source: options.source ?? '',
    title: read.recipe.title,
    role,
    servings: plain(servings) as Range,
    servingsText: read.servings.text,
    lines: read.lines.map((l, i) => auditLine(l, findings[i] ?? [], total.energyKcal)),
    steps: read.steps.map((s, i) => ({
      text: s.text,
      findings: read.lines.flatMap((l, j) => (l.step === i ? (findings[j] ?? []) : [])),
    })),
    total,
    perServing: perServing(total, servings),
    per100g: options.per100g === false ? NO_FIGURES : per100g(dish, total),
    limits,
    allergens: [...allergens].sort(),
    verdict:
      unresolved.length > 0 || read.lines.length === 0 || complete === null
        ? worst([...limits.map((l) => l.verdict), 'unknown'])
        : worst(limits.map((l) => l.verdict)),
    deciding: [...asked],
    unresolved,
    problems,
  };
}
