'use client';
import { useMemo, useState } from 'react';
import { roleOf } from '@/core/audit/role';
import { partsOfDish, plateOf, type Shares } from '@/core/portion/plate';
import { PROTOCOLS, type Protocol } from '@/core/protocol';
import { exact } from '@/core/range/range';
import { keptText } from '@/core/read/library';
import type { StoredCooking } from '@/data/db';
import { useLibrary } from '@/kitchen/use-library';
import { useProtocols } from '@/kitchen/use-protocols';
import { useDiners } from '@/kitchen/use-table';
import { verdictWords } from '@/kitchen/words';
import { Glyph } from '@/ui/glyph';

/** Parts of a part that plates take, as cooks say them. */
const SHARES: readonly (readonly [number, string])[] = [
  [0, 'none'],
  [1 / 12, 'a twelfth'],
  [1 / 8, 'an eighth'],
  [1 / 6, 'a sixth'],
  [1 / 5, 'a fifth'],
  [1 / 4, 'a quarter'],
  [1 / 3, 'a third'],
  [1 / 2, 'half'],
  [1, 'all of it'],
];
const nearest = (share: number) =>
  SHARES.reduce((a, b) => (Math.abs(b[0] - share) < Math.abs(a[0] - share) ? b : a))[0];

/** What is on each plate, part by part: unequal eaters, an eighth of the sauce; each judged by its own. */
export function Plates({ cooking }: { cooking: StoredCooking }) {
  const { library } = useLibrary(null);
  const diners = useDiners();
  const { byId } = useProtocols();
  const [said, setSaid] = useState<ReadonlyMap<string, number>>(new Map());
  const read = useMemo(() => library.read(keptText(cooking.id, cooking.after)), [library, cooking]);
  const parts = partsOfDish(read);
  const { role } = roleOf(read);
  const rows = diners.map((d) => {
    const usual = d.appetite / Math.max(1, read.servings.range.best * cooking.times);
    const share = (part: string | null) => said.get(`${d.id} ${part ?? ''}`) ?? nearest(usual);
    const shares: Shares = new Map(parts.map((p) => [p, exact(share(p) * cooking.times)]));
    const protocol = byId(d.protocol) ?? (PROTOCOLS[0] as Protocol);
    return { d, share, plate: plateOf(read, shares, protocol, role) };
  });
  const left = parts.map((p) => 1 - rows.reduce((s, r) => s + r.share(p), 0));
  return (
    <details className="sheet px-4 py-3">
      <summary className="text-[17px] font-semibold [font-family:var(--font-head)]">On the plates</summary>
      <p className="mt-1 text-[13.5px] text-mute">
        How much of each part is on whose plate; each plate is judged by its own.
      </p>
      <div className="mt-2 overflow-x-auto">
        <table className="w-full border-collapse text-left">
          <thead>
            <tr className="text-[12.5px] text-mute">
              <th scope="col" className="py-1 pr-2 font-medium">
                Plate
              </th>
              {parts.map((p) => (
                <th key={p ?? ''} scope="col" className="py-1 pr-2 font-medium">
                  {p ?? 'the dish'}
                </th>
              ))}
              <th scope="col" className="py-1 font-medium">
                Judged
              </th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ d, share, plate }) => {
              const worst = plate.limits.find((l) => l.verdict === plate.verdict);
              return (
                <tr key={d.id} className="border-t border-hair">
                  <th scope="row" className="py-1.5 pr-2 font-semibold">
                    {d.name}
                  </th>
                  {parts.map((p) => (
                    <td key={p ?? ''} className="py-1.5 pr-2">
                      <select
                        className="field py-0.5"
                        aria-label={`${d.name}: how much of ${p ?? 'the dish'}`}
                        value={share(p)}
                        onChange={(e) =>
                          setSaid(new Map(said).set(`${d.id} ${p ?? ''}`, Number(e.target.value)))
                        }
                      >
                        {SHARES.map(([n, name]) => (
                          <option key={name} value={n}>
                            {name}
                          </option>
                        ))}
                      </select>
                    </td>
                  ))}
                  <td className="py-1.5">
                    <span className="flex items-center gap-1.5">
                      <Glyph mark={plate.verdict} />
                      {plate.verdict === 'within' || !worst
                        ? plate.verdict
                        : `${worst.label.toLowerCase()} ${verdictWords(worst)}`}
                    </span>
                  </td>
                </tr>
              );
            })}
          </tbody>
          <tfoot>
            <tr className="border-t border-hair text-[13px] text-mute">
              <th scope="row" className="py-1.5 pr-2 text-left font-medium">
                left
              </th>
              {left.map((share, i) => (
                <td key={parts[i] ?? ''} className="num py-1.5">
                  {share < -0.001 ? 'more is eaten than there is' : `${Math.round(share * 100)} %`}
                </td>
              ))}
              <td />
            </tr>
          </tfoot>
        </table>
      </div>
    </details>
  );
}
