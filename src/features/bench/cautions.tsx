import type { RecipeAudit } from '@/core/audit/schema';

/** Cautions that apply, those that concern somebody's medicine first; what is kept is not adapted. */
export function Cautions({ audit, medical }: { audit: RecipeAudit; medical: boolean }) {
  const said = audit.cautions
    .filter((c) => medical || !c.medical)
    .sort((a, b) => Number(b.prominent || b.medical) - Number(a.prominent || a.medical));
  if (said.length === 0 && !audit.notAdapted) return null;
  return (
    <section className="mt-3 rounded-[10px] border-[1.5px] border-near-fill px-3 py-2">
      <h3 className="font-semibold">Mind</h3>
      <ul className="mt-0.5 space-y-1">
        {audit.notAdapted && <li className="font-medium">{audit.notAdapted}</li>}
        {said.map((c) => (
          <li
            key={c.id}
            title={c.source}
            className={medical && (c.medical || c.prominent) ? 'font-medium' : ''}
          >
            {c.says}
          </li>
        ))}
      </ul>
    </section>
  );
}
