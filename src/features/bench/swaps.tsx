'use client';
import { showNumber, showRange } from '@/core/format/figures';
import type { AuditLimit, RecipeAudit } from '@/core/audit/schema';
import type { SwapPreview } from '@/core/swap/rank';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { shortLabel } from './model';

/** What a swap does, in a phrase: the limit it moves most. */
function effectOf(before: RecipeAudit, after: RecipeAudit): string {
  const moved = before.limits
    .map((b, i) => ({ b, a: after.limits[i] }))
    .filter((p): p is { b: AuditLimit; a: AuditLimit } => Boolean(p.a?.value && p.b.value))
    .map(({ b, a }) => ({ b, a, by: ((b.value?.best ?? 0) - (a.value?.best ?? 0)) / (b.limit || 10) }))
    .sort((x, y) => Math.abs(y.by) - Math.abs(x.by))[0];
  if (!moved || Math.abs(moved.by) < 0.01) return 'moves no limit';
  const amount = (moved.b.value?.best ?? 0) - (moved.a.value?.best ?? 0);
  const unit = moved.b.unit === '% kcal' ? 'points' : (moved.b.unit.split(' ')[0] ?? '');
  const what = moved.b.id === 'fat-share' ? '' : ` ${shortLabel(moved.b.label).toLowerCase()}`;
  return `${showNumber(Math.abs(amount))} ${unit}${what} ${amount > 0 ? 'less' : 'more'}`;
}

/** A plate's limits and figures before and after. */
export function BeforeAfter({ before, after }: { before: RecipeAudit; after: RecipeAudit }) {
  const rows = before.limits.flatMap((b, i) => {
    const a = after.limits[i];
    if (!a) return [];
    const moved = Math.abs((a.value?.best ?? 0) - (b.value?.best ?? 0));
    const same = a.verdict === b.verdict && moved < Math.max(0.05, b.limit * 0.03);
    return same ? [] : [{ b, a }];
  });
  const figures = [
    ['Fibre, g', before.perServing.fibreG, after.perServing.fibreG],
    ['Protein, g', before.perServing.proteinG, after.perServing.proteinG],
    ['kcal', before.perServing.energyKcal, after.perServing.energyKcal],
  ] as const;
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
        {figures.map(([label, b, a]) => (
          <tr key={label} className="text-mute">
            <th scope="row" className="text-left font-normal">
              {label}
            </th>
            <td className="text-right">{b ? showNumber(b.best) : '?'}</td>
            <td className="text-right">{a ? showNumber(a.best) : '?'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface OptionProps {
  preview: SwapPreview;
  before: RecipeAudit;
  on: boolean;
  onChoose: () => void;
  onApply: () => void;
}

function Option({ preview, before, on, onChoose, onApply }: OptionProps) {
  const { swap, swapped, after } = preview;
  const mind = [
    ...preview.unsafe.map((a) => `holds ${a}: somebody here must not eat it`),
    ...(preview.brings.length ? [`brings in ${preview.brings.join(', ')}`] : []),
    ...(preview.takes.length ? [`takes out ${preview.takes.join(', ')}`] : []),
    ...swap.cautions,
  ];
  return (
    <li
      className={`mt-2 rounded-[10px] ${on ? 'border-2 border-rim p-[9px]' : 'border-[1.5px] border-hair p-[9.5px]'}`}
    >
      <button
        type="button"
        aria-expanded={on}
        onClick={onChoose}
        className="flex w-full items-baseline justify-between gap-3 text-left"
      >
        <span className="font-semibold">{swap.name}</span>
        <span
          className={`num shrink-0 text-[13px] font-semibold ${preview.gain > 0.02 ? 'text-within' : 'text-mute'}`}
        >
          {effectOf(before, after)}
        </span>
      </button>
      <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-2.5 text-[13px]">
        <dt className="text-mute">how</dt>
        <dd>{swap.technique}</dd>
        {mind.length > 0 && (
          <>
            <dt className="text-mute">mind</dt>
            <dd className={preview.unsafe.length > 0 ? 'font-semibold text-over' : ''}>{mind.join(' · ')}</dd>
          </>
        )}
      </dl>
      {on && (
        <div className="mt-2 border-t border-hair pt-2">
          <p className="text-[13px] font-semibold">The recipe will read</p>
          <ul className="text-[13px]">
            {swapped.lines.map((l) => (
              <li key={l} className="border-l-[3px] border-within pl-2">
                {l}
              </li>
            ))}
            {swapped.lines.length === 0 && (
              <li className="border-l-[3px] border-within pl-2 text-mute">this line goes</li>
            )}
            {swapped.steps.slice(0, 3).map((s) => (
              <li key={s} className="mt-1 border-l-[3px] border-within-soft pl-2 text-mute">
                {s}
              </li>
            ))}
          </ul>
          <BeforeAfter before={before} after={after} />
          <Button look="solid" keys="A" onClick={onApply} className="mt-2">
            Swap it
          </Button>
        </div>
      )}
    </li>
  );
}

/** Swaps for the chosen line, the most helpful first, each with its preview. */
export function Swaps({
  previews,
  before,
  chosen,
  onChoose,
  onApply,
}: {
  previews: readonly SwapPreview[];
  before: RecipeAudit;
  chosen: number;
  onChoose: (index: number) => void;
  onApply: (preview: SwapPreview) => void;
}) {
  return (
    <section aria-label="Swaps" className="mt-4">
      <h3 className="text-[16px] font-semibold">
        Swaps{' '}
        <span className="hidden text-[12px] font-normal text-mute sm:inline">S for the next, A to apply</span>
      </h3>
      <ul>
        {previews.slice(0, 8).map((preview, i) => (
          <Option
            key={preview.swap.id}
            preview={preview}
            before={before}
            on={chosen === i}
            onChoose={() => onChoose(chosen === i ? -1 : i)}
            onApply={() => onApply(preview)}
          />
        ))}
      </ul>
    </section>
  );
}
