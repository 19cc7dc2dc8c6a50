'use client';
import type { Cook } from '@/core/cook/schema';
import type { StoredSupper } from '@/data/db';
import { change } from './use-supper';

/** What to set out, soak, thaw and heat before the first step, and what was begun the evening before. */
export function SetOut({ cook, supper }: { cook: Cook; supper: StoredSupper }) {
  const ticked = new Set(supper.ticks);
  const evening = cook.tasks.filter((t) => t.day < 0);
  const several = cook.dishes.length > 1;
  const tick = (key: string) =>
    void change((s) => ({
      ticks: s.ticks.includes(key) ? s.ticks.filter((k) => k !== key) : [...s.ticks, key],
    }));
  const left = cook.setOut.filter((s) => !ticked.has(`${s.dish}:${s.line}`)).length;
  return (
    <details className="sheet px-4 py-3" open={supper.startedAt === null ? true : undefined}>
      <summary className="text-[17px] font-semibold [font-family:var(--font-head)]">
        Set out
        <span className="ml-2 text-[13.5px] font-normal text-mute">
          {left === 0 ? 'all of it is there' : `${left} of ${cook.setOut.length} to find`}
        </span>
      </summary>
      {evening.length > 0 && (
        <div className="mt-2 rounded-lg bg-wash px-3 py-2">
          <h3 className="font-semibold">The evening before</h3>
          <ul>
            {evening.map((t) => (
              <li key={t.id}>
                <span className="num">{t.start}</span> {t.text}
                {several ? `, ${cook.dishes[t.dish]?.title ?? ''}` : ''}
              </li>
            ))}
          </ul>
        </div>
      )}
      {cook.dishes.map((dish, d) => (
        <div key={d} className="mt-2">
          {several && <h3 className="font-semibold">{dish.title}</h3>}
          <ul className="gap-x-6 sm:columns-2">
            {cook.setOut
              .filter((s) => s.dish === d)
              .map((s) => {
                const key = `${s.dish}:${s.line}`;
                return (
                  <li key={key} className="break-inside-avoid">
                    <label className="flex min-h-9 items-center gap-2.5">
                      <input
                        type="checkbox"
                        className="size-5 flex-none accent-rim"
                        checked={ticked.has(key)}
                        onChange={() => tick(key)}
                      />
                      <span
                        className={`[overflow-wrap:anywhere] ${ticked.has(key) ? 'text-mute line-through' : ''}`}
                      >
                        {s.text}
                        <span className="ml-1.5 text-[12.5px] text-mute">{s.when}</span>
                      </span>
                    </label>
                  </li>
                );
              })}
          </ul>
          {dish.scaling.length > 0 && (
            <ul className="mt-1 list-disc pl-5 text-[13.5px] text-mute">
              {dish.scaling.map((says) => (
                <li key={says}>{says}</li>
              ))}
            </ul>
          )}
        </div>
      ))}
    </details>
  );
}
