'use client';
import { isAmount } from '@/core/audit/limits';
import type { RecipeAudit } from '@/core/audit/schema';
import { partOf } from '@/core/range/bounds';
import { partOfLimit } from '@/core/protocol/part';
import { roleLabel, shareOf, type Limit } from '@/core/protocol';
import { showNumber, showRange } from '@/core/format/figures';
import type { ReadRecipe } from '@/core/read/types';
import { Key } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { leftOutWords, limitWords, verdictWords } from '@/kitchen/words';

/** How a limit's value is worked out, in a sentence. */
function working(limit: Limit, audit: RecipeAudit): string {
  const plates = `${showRange(audit.servings)} plates`;
  switch (limit.per) {
    case 'energy':
      return 'What its lines bring in kcal, divided by the energy of the whole dish; fat counts 9 kcal a gram, sugar and starch 4.';
    case 'kcal':
      return 'What its lines bring, divided by the energy of the whole dish.';
    case '1000kcal':
      return 'What its lines bring, for each 1000 kcal of the dish.';
    case '100g':
      return 'What its lines bring, in 100 g of the dish as eaten: after what boils off, is taken up or poured away.';
    case 'day':
      return `What its lines bring, on ${plates}; ${roleLabel(audit.role)} may hold ${showNumber(shareOf(audit.role) * 100)} % of the day’s ${showNumber(limit.limit)}.`;
    default:
      return `What its lines bring, on ${plates}.`;
  }
}

/** Why a limit's number is what it is: its source, the working, and line by line the readings behind it. */
export function LimitPanel({
  audit,
  limit,
  index,
  read,
  onSelect,
  onClose,
}: {
  audit: RecipeAudit;
  limit: Limit;
  index: number;
  read: ReadRecipe;
  onSelect: (line: number) => void;
  onClose: () => void;
}) {
  const judged = audit.limits[index];
  if (!judged) return null;
  const part = partOfLimit(limit);
  const lines = read.lines
    .map((line, i) => {
      const values = line.corners?.map((c) => partOf(c, part)) ?? null;
      return {
        i,
        audited: audit.lines[i],
        best: values?.[0] ?? null,
        low: values ? Math.min(...values) : null,
        high: values ? Math.max(...values) : null,
      };
    })
    .filter((l) => l.best === null || (l.high ?? 0) > 1e-6)
    .sort((a, b) => (b.best ?? Infinity) - (a.best ?? Infinity));
  const unit = limit.of.endsWith('Kcal') ? 'kcal' : limit.of.endsWith('Mg') ? 'mg' : 'g';
  return (
    <>
      <div className="flex items-start justify-between gap-2">
        <h2 className="text-[17px] font-semibold leading-tight">
          Why {judged.label.toLowerCase()}{' '}
          {judged.value
            ? `${showRange(judged.value)} ${judged.unit.replace(' a serving', '').replace('% kcal', '%')}`
            : 'is not known'}
        </h2>
        <button
          type="button"
          onClick={onClose}
          className="rounded px-1.5 text-[13px] text-mute hover:bg-pick"
        >
          Close
          <Key>Esc</Key>
        </button>
      </div>
      <p className="mt-1 flex items-baseline gap-2">
        <span className="translate-y-[2px]">
          <Glyph mark={judged.verdict} size={13} />
        </span>
        <span>
          {verdictWords(judged)}: {limitWords(limit)}
          {isAmount(limit) && limit.per === 'day' && `, on this plate ${showNumber(judged.limit)}`}
          {leftOutWords(limit) && `, ${leftOutWords(limit)}`}
        </span>
      </p>
      {limit.because && <p className="mt-1">The school’s reason: {limit.because}.</p>}
      <p className="mt-1 text-[13px] text-mute">Source: {limit.source}.</p>
      <h3 className="mt-3 font-semibold">The working</h3>
      <p>{working(limit, audit)}</p>
      {audit.total.energyKcal && !isAmount(limit) && limit.per !== '100g' && (
        <p className="num text-[13px] text-mute">The whole dish: {showRange(audit.total.energyKcal)} kcal.</p>
      )}
      {audit.total.weightG && limit.per === '100g' && (
        <p className="num text-[13px] text-mute">
          The whole dish as eaten: {showRange(audit.total.weightG)} g.
        </p>
      )}
      <h3 className="mt-3 font-semibold">Line by line, in the whole dish</h3>
      {lines.length === 0 && <p className="text-mute">No line brings any of it.</p>}
      <ul className="mt-1 space-y-1">
        {lines.map(({ i, audited, best, low, high }) => (
          <li key={i}>
            <details>
              <summary className="flex min-h-7 cursor-pointer items-baseline justify-between gap-2">
                <span className="[overflow-wrap:anywhere]">{audited?.text}</span>
                <span className="num flex-none font-semibold">
                  {best === null ? '?' : `${showRange({ low: low ?? 0, best, high: high ?? 0 })} ${unit}`}
                </span>
              </summary>
              <ol className="mb-1 list-decimal space-y-0.5 rounded-[10px] bg-wash p-2 pl-7 text-[13px]">
                <li>
                  Read as <b>{audited?.food?.name ?? 'nothing known'}</b>
                  {audited?.grams && `, ${showRange(audited.grams)} g`}.
                </li>
                {audited?.readings.map((r) => (
                  <li key={r}>{r}</li>
                ))}
                {audited?.foodSource && <li>Figures: {audited.foodSource}.</li>}
                <li>
                  <button
                    type="button"
                    onClick={() => onSelect(i)}
                    className="font-semibold text-rim underline"
                  >
                    To the line
                  </button>
                </li>
              </ol>
            </details>
          </li>
        ))}
      </ul>
    </>
  );
}
