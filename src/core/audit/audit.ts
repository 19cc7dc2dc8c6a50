import { techniquesIn } from '@/core/caution/beliefs';
import { cautionsOf, whyNotAdapted } from '@/core/caution/cautions';
import { zeros } from '@/core/food/nutrients';
import type { Corners } from '@/core/range/bounds';
import type { Protocol, RoleId } from '@/core/protocol';
import { exact, type Range } from '@/core/range/range';
import { allergensOfLines } from '@/core/read/allergens';
import { gramsTogether } from '@/core/read/corners';
import { widestGrams } from '@/core/read/line';
import type { ReadFood, ReadLine, ReadRecipe } from '@/core/read/types';
import { deciding } from './deciding';
import { dishOf, isComplete, type CompleteDish } from './dish';
import { headroom, inSpoons, lessOf } from './headroom';
import { contribution, per100g, perServing, totals } from './figures';
import { findingsOf } from './findings';
import { judgeLimit, worst } from './limits';
import { roleOf } from './role';
import type { AuditLine, Finding, RecipeAudit } from './schema';

const NOTHING_AT_ALL: Corners = [zeros()];

const showShare = (r: Range): string =>
  r.low === r.high
    ? `${Math.round(r.best * 100)} %`
    : `${Math.round(r.low * 100)}–${Math.round(r.high * 100)} %`;

const plain = (r: Range | null): Range | null => (r ? { low: r.low, best: r.best, high: r.high } : null);

const refOf = (f: ReadFood) =>
  f.food ? { id: f.food.id, name: f.food.name, confidence: f.confidence } : null;
const partOf = (f: ReadFood) => ({ text: f.text, food: refOf(f), grams: plain(f.grams) });

export function amountOf(line: ReadLine): AuditLine['amount'] {
  const measure = line.words?.foods[0]?.measures[0];
  if (!measure) return null;
  const [low, best, high] = [0, 1, 2].map(
    (i) => (measure.quantity[i] as number) * (measure.factor[i] as number),
  ) as [number, number, number];
  return { low, best, high, unit: measure.unit?.id ?? null };
}

/** Grams that go into the dish, of those that a part is made of. */
function shareOfGrams(grams: Range | null, share: Range | undefined): Range | null {
  if (!grams || !share) return plain(grams);
  return { low: grams.low * share.low, best: grams.best * share.best, high: grams.high * share.high };
}

function auditLine(line: ReadLine, findings: readonly Finding[], energy: Range | null): AuditLine {
  const first = line.foods[0];
  return {
    text: line.line.text,
    section: line.line.section,
    amount: amountOf(line),
    grams: shareOfGrams(
      line.foods.length > 1
        ? gramsTogether(line.foods.map((f) => f.grams))
        : (first?.grams ?? widestGrams(line)),
      line.share?.share,
    ),
    food: first ? refOf(first) : null,
    also: line.foods.slice(1).map(partOf),
    alternatives: line.alternatives.map(partOf),
    preparation: line.words ? [...line.words.preparation] : [],
    optional: line.optional,
    assumed: line.assumed,
    share: plain(line.share?.share ?? null),
    toTaste: line.toTaste,
    origin: line.origin,
    step: line.step,
    readings: [
      ...[...line.foods, ...line.alternatives].flatMap((f) => f.readings),
      ...(line.share
        ? [`${showShare(line.share.share)} of this part is eaten with the dish: ${line.share.says}`]
        : []),
      ...(line.assumed ? ['served beside: the dish is judged with it and without'] : []),
    ],
    foodSource: first?.food?.source ?? null,
    contribution: contribution(line.corners, energy),
    findings: [...findings],
  };
}

const NO_FIGURES = Object.fromEntries(
  Object.keys(totals({ lines: [], yields: [], servings: exact(1), potG: null, ends: [] })).map((name) => [
    name,
    null,
  ]),
) as RecipeAudit['per100g'];

export interface AuditOptions {
  readonly source?: string;
  /** False leaves the figures per 100 g out (null): a view that does not show them need not wait for them. */
  readonly per100g?: boolean;
  readonly role?: RoleId | undefined;
  /** Size of the plate against the recipe's own (1): a bigger plate is a larger share of the pot. */
  readonly plate?: number | undefined;
  /** True works out how much more of what the dish takes, and of which line less is enough. */
  readonly headroom?: boolean;
}

const techniqueFindings = (text: string): Finding[] =>
  techniquesIn(text).map(({ id, says, span }) => ({
    rule: `technique-${id}`,
    level: 'note',
    message: says,
    span: [span[0], span[1]],
  }));

const roomIn = (protocol: Protocol, role: RoleId, dish: CompleteDish): NonNullable<RecipeAudit['headroom']> =>
  headroom(protocol, role, dish).map((r) => ({
    food: { id: r.food.id, name: r.food.name },
    grams: Number.isFinite(r.grams) ? r.grams : null,
    measure: Number.isFinite(r.grams) ? inSpoons(r.food, r.grams) : null,
    limit: r.limit,
  }));

const lessIn = (
  read: ReadRecipe,
  protocol: Protocol,
  role: RoleId,
  dish: CompleteDish,
): NonNullable<RecipeAudit['less']> =>
  lessOf(protocol, role, dish).map(({ line, keep }) => ({
    line,
    text: read.lines[line]?.line.text ?? '',
    keep,
  }));

/** A recipe in which all that is optional or served beside is eaten, or nothing of it. */
function variantOf(read: ReadRecipe, id: 'with' | 'without'): ReadRecipe {
  const lines = read.lines.map((l) => {
    if (!(l.optional || l.assumed)) return l;
    if (id === 'without') return { ...l, corners: NOTHING_AT_ALL };
    // its last corner is nothing at all: the others are what it brings where it is eaten
    const eaten = l.corners?.filter((c) => c.some((v) => v !== 0)) ?? null;
    return eaten && eaten.length > 0 ? { ...l, corners: eaten } : l;
  });
  return { ...read, lines, ends: read.ends.map((end) => variantOf(end, id)) };
}

/** The dish with all that is optional or served beside, and without it. */
function variantsOf(
  read: ReadRecipe,
  plate: number,
  protocol: Protocol,
  role: RoleId,
): RecipeAudit['variants'] {
  const loose = read.lines.filter((l) => l.optional || l.assumed);
  if (loose.length === 0) return [];
  return (['with', 'without'] as const).map((id) => {
    const dish = dishOf(variantOf(read, id), plate);
    const limits = protocol.limits.map((limit) => judgeLimit(limit, role, dish));
    return {
      id,
      lines: loose.map((l) => l.line.text),
      verdict: worst(
        dish.lines.some((l) => l === null)
          ? [...limits.map((l) => l.verdict), 'unknown']
          : limits.map((l) => l.verdict),
      ),
      limits: limits.map((l) => ({ id: l.id, value: plain(l.value), verdict: l.verdict })),
    };
  });
}

/**
 * Audits a read recipe against one protocol: what each line brings, bounds of every figure, a verdict
 * for each limit and for the dish. Never `within` where any reading of the words would be over.
 */
export function auditRecipe(read: ReadRecipe, protocol: Protocol, options: AuditOptions = {}): RecipeAudit {
  const guessed = options.role === undefined ? roleOf(read) : null;
  const role = options.role ?? guessed?.role ?? 'main';
  const dish = dishOf(read, options.plate);
  const { servings } = dish;
  const total = totals(dish);
  const complete = isComplete(dish) ? dish : null;
  const limits = protocol.limits.map((limit) => judgeLimit(limit, role, dish));
  const findings = read.lines.map((l) => findingsOf(l, protocol, role, servings));
  const ofStep = new Map<number, Finding[]>();
  read.lines.forEach((l, j) => {
    if (l.step === null || l.step === undefined) return;
    const known = ofStep.get(l.step);
    if (known) known.push(...(findings[j] ?? []));
    else ofStep.set(l.step, [...(findings[j] ?? [])]);
  });
  const unresolved = read.lines.filter((l) => l.missing !== null).map((l) => l.line.text);
  const asked = new Set<string>();
  if (complete)
    protocol.limits.forEach((limit, i) => {
      if (limits[i]?.verdict !== 'depends') return;
      for (const index of deciding(limit, role, complete))
        asked.add(index < 0 ? 'how many it feeds' : (read.lines[index]?.line.text ?? ''));
    });
  const oilGoes = protocol.limits.some((l) => l.of === 'oilG' && l.bound === 'most' && l.limit <= 1);
  const problems = [...read.recipe.problems];
  if (read.lines.every((l) => l.origin === 'method'))
    problems.push('No ingredient list was found in this text.');
  if (!read.servings.said) problems.push('The recipe does not say how many it feeds; read as one to eight.');
  const allergens = allergensOfLines(read.lines);
  return {
    source: options.source ?? '',
    title: read.recipe.title,
    role,
    roleBecause: guessed?.because ?? null,
    servings: plain(read.servings.range) as Range,
    servingsText: read.servings.text,
    lines: read.lines.map((l, i) => auditLine(l, findings[i] ?? [], total.energyKcal)),
    steps: read.steps.map((s, i) => ({
      text: s.text,
      findings: [...(ofStep.get(i) ?? []), ...(oilGoes ? techniqueFindings(s.text) : [])],
    })),
    total,
    perServing: perServing(dish, total),
    per100g: options.per100g === false ? NO_FIGURES : per100g(dish, total),
    limits,
    allergens: [...allergens.allergens],
    allergenDoubts: allergens.allergenDoubts.map(({ because, allergens: which }) => ({
      because,
      allergens: which && [...which],
    })),
    variants: variantsOf(read, options.plate ?? 1, protocol, role),
    cautions: cautionsOf(read, role),
    notAdapted: whyNotAdapted(read),
    headroom: options.headroom && complete ? roomIn(protocol, role, complete) : null,
    less: options.headroom && complete ? lessIn(read, protocol, role, complete) : null,
    verdict:
      unresolved.length > 0 || read.lines.length === 0 || complete === null
        ? worst([...limits.map((l) => l.verdict), 'unknown'])
        : worst(limits.map((l) => l.verdict)),
    deciding: [...asked],
    unresolved,
    problems,
  };
}
