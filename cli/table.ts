import type { AuditLimit, RecipeAudit, Verdict } from '../src/core/audit/schema';
import type { Protocol } from '../src/core/protocol';
import { showNumber, showRange } from '../src/core/format/figures';
import type { Adaptation, Plan } from '../src/core/adapt/schema';
import type { Label } from '../src/core/label/schema';
import type { Steps } from '../src/core/steps/schema';

const MARK: Record<Verdict, string> = {
  within: '○ within',
  near: '◐ near',
  over: '◆ over',
  depends: '◌ depends',
  unknown: '◌ unknown',
};

const limitRow = (l: AuditLimit): string => {
  const value = l.value
    ? showRange(l.value)
    : l.atLeast
      ? `${showRange({ low: l.atLeast, best: l.atLeast, high: l.atLeast })} and more`
      : 'not known';
  const bound =
    l.limit === 0
      ? 'none allowed'
      : `${l.bound === 'least' ? 'at least' : 'of'} ${showRange({ low: l.limit, best: l.limit, high: l.limit })} ${l.unit}`;
  return `  ${l.label.padEnd(40)} ${value.padStart(14)}  ${bound.padEnd(24)} ${MARK[l.verdict]}`;
};

/** More of one thing than anybody adds at the stove, grams a plate. */
const PLENTY_G = 150;

/** How much more the dish takes, and of which line less is enough. */
function roomRows(audit: RecipeAudit): string[] {
  const room = (audit.headroom ?? []).flatMap((r) =>
    r.grams !== null && r.grams > 0 && r.grams < PLENTY_G * audit.servings.best && r.measure
      ? [`${r.measure} ${r.food.name.toLowerCase()}`]
      : [],
  );
  return [
    ...(room.length > 0 ? [`  room in the pot for one of: ${room.join(', ')}`] : []),
    ...(audit.less ?? []).map((l) => `  enough by itself: ${Math.floor(l.keep * 100)} % of “${l.text}”`),
  ];
}

/** An audit as a table for a terminal. */
export function auditTable(audit: RecipeAudit, protocol: Protocol): string {
  const rows = audit.lines.map((line) => {
    const c = line.contribution;
    const cell = (r: typeof c.energyKcal, width: number) => (r ? showRange(r) : '?').padStart(width);
    const marks = line.findings
      .filter((f) => f.level !== 'note')
      .map((f) => `      ${f.level === 'banned' || f.level === 'over' ? '◆' : '◌'} ${f.message}`);
    const name = line.food
      ? `${line.food.name}${line.also.some((f) => f.food?.id !== line.food?.id) ? ' and more' : ''}`
      : '?';
    return [
      `  ${line.text.slice(0, 46).padEnd(47)}${name.slice(0, 26).padEnd(27)}${(line.grams ? `${showRange(line.grams)} g` : '?').padStart(13)}${cell(c.energyKcal, 11)}${cell(c.fatSharePoints, 10)}${cell(c.sodiumMg, 12)}`,
      ...marks,
    ].join('\n');
  });
  return [
    `${audit.title}  (${audit.servingsText}; ${protocol.name}, ${audit.role})`,
    `  ${'line'.padEnd(47)}${'read as'.padEnd(27)}${'grams'.padStart(13)}${'kcal'.padStart(11)}${'fat pts'.padStart(10)}${'sodium mg'.padStart(12)}`,
    ...rows,
    '',
    ...audit.limits.map(limitRow),
    `  verdict: ${MARK[audit.verdict]}`,
    ...(audit.deciding.length ? [`  would settle it: ${audit.deciding.join('; ')}`] : []),
    ...(audit.unresolved.length ? [`  not understood: ${audit.unresolved.join('; ')}`] : []),
    ...audit.variants.map((v) => `  ${v.id} ${v.lines.map((l) => `“${l}”`).join(', ')}: ${MARK[v.verdict]}`),
    ...roomRows(audit),
    ...audit.cautions.filter((c) => !c.medical).map((c) => `  mind: ${c.says} (${c.source})`),
    ...(audit.notAdapted ? [`  left alone: ${audit.notAdapted}`] : []),
    ...audit.problems.map((p) => `  note: ${p}`),
    '',
  ].join('\n');
}

/** A packet's reading as a table for a terminal. */
export function labelTable(label: Label): string {
  const figure = (r: Label['fatSharePercent'], unit: string) =>
    r ? `${showRange(r)} ${unit}` : 'not printed';
  const per = label.per100g.energyKcal ? label.per100g : label.perServing;
  const rows = [
    `${label.name}  (${label.layout === 'unknown' ? 'layout not known' : `${label.layout.toUpperCase()} layout`}${label.servingG ? `, serving ${showNumber(label.servingG)} g` : ''})`,
    `  ${per === label.per100g ? 'in 100 g' : 'a serving'}: ${figure(per.energyKcal, 'kcal')}, fat ${figure(per.fatG, 'g')}, sugar ${figure(per.sugarG, 'g')}, sodium ${figure(per.sodiumMg, 'mg')}`,
    `  fat share of energy: ${figure(label.fatSharePercent, '%')}`,
    `  sodium for each kcal: ${figure(label.sodiumMgPerKcal, 'mg')} (rule of thumb: no more than 1)`,
    ...label.ingredients.map(
      (i) =>
        `  ${'  '.repeat(i.depth)}${i.text}${i.share ? ` ${showRange(i.share)} %` : ''}${i.hidden.length ? `  ◆ ${[...new Set(i.hidden.map((h) => h.class))].join(', ')}` : ''}`,
    ),
    ...(label.mayContain.length ? [`  may contain: ${label.mayContain.join(', ')}`] : []),
    ...label.claims.map((c) => `  claim “${c.claim}”: ${c.holds}; ${c.because} (${c.source})`),
    ...label.verdicts.map(
      (v) => `  ${MARK[v.verdict]} ${v.protocol}${v.because.length ? `: ${v.because.join('; ')}` : ''}`,
    ),
    ...label.problems.map((p) => `  note: ${p}`),
  ];
  return `${rows.join('\n')}\n`;
}

function planRows(plan: Plan, title: string, tastes?: string): string[] {
  return [
    `${title}: ${plan.changes.length === 0 ? 'nothing to change' : `${plan.changes.length} ${plan.changes.length === 1 ? 'change' : 'changes'}`}, departure ${plan.departure.toFixed(2)}, ${MARK[plan.after.verdict]}`,
    ...plan.changes.flatMap((c) => [
      `    ${c.from}  →  ${c.to || '(left out)'}`,
      `      ${c.name} (${c.role}): ${c.technique}`,
      ...c.cautions.map((w) => `      mind: ${w}`),
    ]),
    ...(tastes && plan.changes.length > 0 ? [`    on the tongue: ${tastes}`] : []),
  ];
}

/**
 * An adaptation as a table for a terminal, the best plan's text last.
 *
 * @param tastes what each plan costs the dish on the tongue, a sentence each
 */
export function adaptationTable(
  adaptation: Adaptation,
  protocol: Protocol,
  tastes: readonly string[],
): string {
  const { before, plans, infeasible } = adaptation;
  const rows = [`${before.title}: ${MARK[before.verdict]} for ${protocol.name}`];
  plans.forEach((p, i) =>
    rows.push(...planRows(p, i === 0 ? '  the least change' : `  another way, ${i}`, tastes[i])),
  );
  if (infeasible) {
    rows.push(`  no plan: ${infeasible.because}`);
    rows.push(
      ...infeasible.without.map(
        (w) =>
          `  without the limit on ${w.limit.toLowerCase()}: ${w.changes === null ? 'no plan either' : `${w.changes} ${w.changes === 1 ? 'change' : 'changes'}`}`,
      ),
    );
    rows.push(
      ...infeasible.unlocked.map(
        (u) =>
          `  if “${u.line}” might change: ${u.changes === null ? 'no plan either' : `${u.changes} ${u.changes === 1 ? 'change' : 'changes'}`}`,
      ),
    );
    if (infeasible.closest && infeasible.closest.changes.length > 0) {
      rows.push(...planRows(infeasible.closest, '  the closest'));
      rows.push(...infeasible.closest.after.limits.filter((l) => l.verdict !== 'within').map(limitRow));
    }
  }
  const [best] = plans;
  if (best && best.changes.length > 0) rows.push('', best.text);
  return `${rows.join('\n')}\n`;
}

const minutesText = (r: { low: number; high: number }): string =>
  `${r.low === r.high ? showNumber(r.low) : `${showNumber(r.low)}–${showNumber(r.high)}`} min`;

/** What each clause of a method does, as rows for a terminal. */
export function stepsTable(recipe: Steps['recipes'][number]): string {
  const rows = [recipe.title];
  recipe.steps.forEach(({ text, clauses }, i) => {
    rows.push(`  ${i + 1}. ${text}`);
    for (const c of clauses) {
      const facts = [
        c.polarity === 'do' ? null : c.polarity,
        c.foods.map((f) => f.text).join(' + ') || null,
        c.medium && `in ${c.medium}`,
        c.celsius && `${showNumber(c.celsius.best)} °C`,
        c.heat && `${c.heat} heat`,
        c.minutes && minutesText(c.minutes),
        c.until && `until ${c.until}`,
        c.tools.join(', ') || null,
      ].filter(Boolean);
      rows.push(`     ${c.action ?? '·'}: ${facts.join('; ')}`);
    }
  });
  return `${rows.join('\n')}\n`;
}
