import type { RecipeAudit } from '@/core/audit/schema';
import { showNumber, showRange } from '@/core/format/figures';
import { Glyph } from '@/ui/glyph';
import { shortLabel } from '@/kitchen/words';

const FIGURES = [
  ['Fibre, g', 'fibreG'],
  ['Protein, g', 'proteinG'],
  ['Iron, mg', 'ironMg'],
  ['Calcium, mg', 'calciumMg'],
  ['kcal', 'energyKcal'],
] as const;

/** A plate's limits, figures and cost before and after. */
export function BeforeAfter({
  before,
  after,
  costs = null,
}: {
  before: RecipeAudit;
  after: RecipeAudit;
  /** What a plate costs, in words; null where no price is kept. */
  costs?: { readonly before: string; readonly after: string } | null;
}) {
  const rows = before.limits.flatMap((b, i) => {
    const a = after.limits[i];
    if (!a) return [];
    const moved = Math.abs((a.value?.best ?? 0) - (b.value?.best ?? 0));
    const same = a.verdict === b.verdict && moved < Math.max(0.05, b.limit * 0.03);
    return same ? [] : [{ b, a }];
  });
  return (
    <table className="num mt-2 w-full text-[13px]">
      <caption className="sr-only">A plate before and after</caption>
      <thead className="text-mute">
        <tr>
          <th scope="col" className="text-left font-medium">
            a plate
          </th>
          <th scope="col" className="text-right font-medium">
            before
          </th>
          <th scope="col" className="text-right font-medium">
            after
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ b, a }) => (
          <tr key={b.id}>
            <th scope="row" className="text-left font-normal">
              {shortLabel(b.label)}
            </th>
            <td className="text-right">
              {b.value ? showRange(b.value) : '?'} <Glyph mark={b.verdict} size={11} />
            </td>
            <td className="text-right font-semibold">
              {a.value ? showRange(a.value) : '?'} <Glyph mark={a.verdict} size={11} />
            </td>
          </tr>
        ))}
        {FIGURES.map(([label, field]) => {
          const [b, a] = [before.perServing[field], after.perServing[field]];
          return (
            <tr key={label} className="text-mute">
              <th scope="row" className="text-left font-normal">
                {label}
              </th>
              <td className="text-right">{b ? showNumber(b.best) : '?'}</td>
              <td className="text-right">{a ? showNumber(a.best) : '?'}</td>
            </tr>
          );
        })}
        {costs && (
          <tr className="text-mute">
            <th scope="row" className="text-left font-normal">
              Cost
            </th>
            <td className="pl-2 text-right align-top [text-wrap:balance]">{costs.before}</td>
            <td className="pl-3 text-right align-top [text-wrap:balance]">{costs.after}</td>
          </tr>
        )}
      </tbody>
    </table>
  );
}
