import type { Cook } from '@/core/cook/schema';

/** The whole supper as a sheet to print: what to set out, then every task in its time, a box to tick before each. */
export function PrintSheet({ cook, cooks }: { cook: Cook; cooks: readonly string[] }) {
  const several = cook.dishes.length > 1;
  return (
    <section className="print-only" aria-hidden>
      <h2 className="mt-3 text-[15px] font-semibold">Set out</h2>
      <ul className="columns-2 gap-6">
        {cook.setOut.map((s) => (
          <li key={`${s.dish}:${s.line}`}>
            ☐ {s.text}
            {several ? ` (${cook.dishes[s.dish]?.title ?? ''})` : ''}
          </li>
        ))}
      </ul>
      <h2 className="mt-3 text-[15px] font-semibold">Then</h2>
      <ol>
        {cook.tasks.map((t) => (
          <li key={t.id} className="flex gap-3 border-t border-hair py-1" style={{ breakInside: 'avoid' }}>
            <span className="num w-[92px] flex-none">
              ☐ {t.day < 0 ? 'eve ' : ''}
              {t.start}
            </span>
            <span className="min-w-0 flex-1">
              {t.words.length === 0
                ? t.text
                : t.words.map((p) => (p.amount ? `${p.amount} ${p.text}` : p.text)).join('')}
              {several && <span className="text-mute"> · {cook.dishes[t.dish]?.title}</span>}
            </span>
            <span className="w-[150px] flex-none text-right text-mute">
              {[
                t.cook === null ? null : cooks[t.cook],
                t.celsius === null ? null : `${t.celsius} °C`,
                `${Math.max(1, Math.round(t.minutes.best))} min`,
              ]
                .filter(Boolean)
                .join(' · ')}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}
