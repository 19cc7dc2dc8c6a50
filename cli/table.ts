import type { AuditLimit, RecipeAudit, Verdict } from '../src/core/audit/schema';
import type { Protocol } from '../src/core/protocol';
import { showRange } from '../src/core/format/figures';

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
      : `of ${showRange({ low: l.limit, best: l.limit, high: l.limit })} ${l.unit}`;
  return `  ${l.label.padEnd(40)} ${value.padStart(14)}  ${bound.padEnd(24)} ${MARK[l.verdict]}`;
};

/** An audit as a table for a terminal. */
export function auditTable(audit: RecipeAudit, protocol: Protocol): string {
  const rows = audit.lines.map((line) => {
    const c = line.contribution;
    const cell = (r: typeof c.energyKcal, width: number) => (r ? showRange(r) : '?').padStart(width);
    const marks = line.findings
      .filter((f) => f.level !== 'note')
      .map((f) => `      ${f.level === 'banned' || f.level === 'over' ? '◆' : '◌'} ${f.message}`);
    const name = line.food ? `${line.food.name}${line.also.length ? ' and more' : ''}` : '?';
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
    ...audit.problems.map((p) => `  note: ${p}`),
    '',
  ].join('\n');
}
