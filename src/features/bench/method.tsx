import type { ReactNode } from 'react';
import type { RecipeAudit } from '@/core/audit/schema';

/** The method as written, the words that bring something marked. */
export function Method({ audit }: { audit: Pick<RecipeAudit, 'steps'> }) {
  return (
    <section aria-label="Method" className="sheet mt-3 px-4 py-3">
      <h2 className="text-[16px] font-semibold">Method</h2>
      <ol className="mt-1 list-decimal space-y-1.5 pl-5">
        {audit.steps.map((step, i) => (
          <li key={i}>
            {marked(step.text, step.findings)}
            {step.findings
              .filter((f) => f.rule.startsWith('technique-'))
              .map((f) => (
                <p key={f.rule} className="text-[13px] text-mute">
                  {f.span && <b className="font-semibold">{step.text.slice(f.span[0], f.span[1])}</b>}{' '}
                  {f.message}
                </p>
              ))}
          </li>
        ))}
      </ol>
    </section>
  );
}

function marked(text: string, findings: RecipeAudit['steps'][number]['findings']) {
  const spans = findings
    .filter((f) => f.rule === 'only-in-method')
    .flatMap((f) => (f.span ? [{ from: f.span[0], to: f.span[1], message: f.message }] : []))
    .sort((a, b) => a.from - b.from);
  const out: ReactNode[] = [];
  let at = 0;
  for (const { from, to, message } of spans) {
    if (from < at) continue;
    out.push(text.slice(at, from));
    out.push(
      <mark
        key={from}
        title={message}
        className="rounded-sm bg-transparent font-semibold text-over underline decoration-wavy decoration-1 underline-offset-4"
      >
        {text.slice(from, to)}
      </mark>,
    );
    at = to;
  }
  out.push(text.slice(at));
  return out;
}
