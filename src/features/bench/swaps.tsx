'use client';
import { showNumber } from '@/core/format/figures';
import type { AuditLimit, RecipeAudit } from '@/core/audit/schema';
import type { ReadRecipe } from '@/core/read/types';
import { isRefused } from '@/core/swap/coverage';
import type { SwapPreview } from '@/core/swap/rank';
import { database, type StoredSwapUse } from '@/data/db';
import { sayOfSwap } from '@/data/kitchen';
import { keep } from '@/data/saving';
import { Toggle } from '@/ui/toggle';
import { Button } from '@/ui/button';
import { usePlateCost, type Kitchen, type PlateCost } from '@/kitchen/use-kitchen';
import { BeforeAfter } from './before-after';
import { Keeps } from './keeps';
import { shortLabel } from '@/kitchen/words';
import type { TableDiner } from '@/kitchen/use-table';

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

/** How a swap went here before, and whether it worked. */
function Before({ use, onWorked }: { use: StoredSwapUse; onWorked: (worked: boolean | null) => void }) {
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2 text-[13px]">
      <span>{use.times === 1 ? 'Made here once.' : `Made here ${use.times} times.`} Did it work?</span>
      {[true, false].map((worked) => (
        <Toggle
          key={String(worked)}
          pressed={use.worked === worked}
          onPress={() => onWorked(use.worked === worked ? null : worked)}
          className="px-2"
        >
          {worked ? 'it did' : 'it did not'}
        </Toggle>
      ))}
    </div>
  );
}

interface OptionProps {
  preview: SwapPreview;
  before: RecipeAudit;
  read: ReadRecipe;
  on: boolean;
  table: readonly TableDiner[];
  use: StoredSwapUse | undefined;
  plateCost: PlateCost;
  onChoose: () => void;
  onApply: () => void;
  onWorked: (worked: boolean | null) => void;
}

/** What a swap that moves no limit does all the same. */
const still = ({ moves, brings, takes }: SwapPreview): string | null =>
  moves
    ? null
    : brings.length + takes.length > 0
      ? 'changes the allergen, and no figure that a limit looks at'
      : 'changes no figure that a limit looks at';

function Option({
  preview,
  before,
  read,
  on,
  table,
  use,
  plateCost,
  onChoose,
  onApply,
  onWorked,
}: OptionProps) {
  const { swap, swapped, after } = preview;
  const unmoved = still(preview);
  const notFor = table.filter((d) => isRefused(swap, d.protocol)).map((d) => d.name);
  const [was, becomes] = on ? [plateCost(read), plateCost(preview.read)] : [null, null];
  const mind = [
    ...preview.unsafe.map((a) => `holds ${a}: somebody here must not eat it`),
    ...(notFor.length > 0 ? [`not for ${notFor.join(', ')}`] : []),
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
        <dd>
          {swap.technique}
          {swap.minutes > 0 && <span className="text-mute">, {swap.minutes} min more</span>}
        </dd>
        {unmoved && (
          <>
            <dt className="text-mute">does</dt>
            <dd>{unmoved}</dd>
          </>
        )}
        {preview.leans.length > 0 && (
          <>
            <dt className="text-mute">here</dt>
            <dd>{preview.leans.join(' · ')}</dd>
          </>
        )}
        {mind.length > 0 && (
          <>
            <dt className="text-mute">mind</dt>
            <dd className={preview.unsafe.length > 0 ? 'font-semibold text-over' : ''}>{mind.join(' · ')}</dd>
          </>
        )}
      </dl>
      {on && (
        <div className="mt-2 border-t border-hair pt-2">
          <Keeps keeps={swap.keeps} because={swap.because} />
          <p className="mt-1.5 text-[13px] font-semibold">The recipe will read</p>
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
          <BeforeAfter
            before={before}
            after={after}
            costs={was !== null && becomes !== null ? { before: was, after: becomes } : null}
          />
          {use && <Before use={use} onWorked={onWorked} />}
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
  read,
  chosen,
  table,
  kitchen,
  onChoose,
  onApply,
}: {
  previews: readonly SwapPreview[];
  before: RecipeAudit;
  read: ReadRecipe;
  chosen: number;
  table: readonly TableDiner[];
  kitchen: Kitchen;
  onChoose: (index: number) => void;
  onApply: (preview: SwapPreview) => void;
}) {
  const plateCost = usePlateCost(kitchen);
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
            read={read}
            on={chosen === i}
            table={table}
            use={kitchen.uses.get(preview.swap.id)}
            plateCost={plateCost}
            onWorked={(worked) =>
              void keep('how it went', () => sayOfSwap(database(), preview.swap.id, worked, Date.now()))
            }
            onChoose={() => onChoose(chosen === i ? -1 : i)}
            onApply={() => onApply(preview)}
          />
        ))}
      </ul>
    </section>
  );
}
