import { allergensOfFood } from '@/core/format/allergens';
import { showRange } from '@/core/format/figures';
import type { PacketReading as Reading } from '@/core/label/packet';
import { NUTRIENTS, type Label, type LabelNutrient } from '@/core/label/schema';
import { Glyph, type Mark } from '@/ui/glyph';
import type { TableDiner } from '@/kitchen/use-diner';

const WORDS: Record<LabelNutrient, readonly [string, string]> = {
  energyKcal: ['Energy', 'kcal'],
  fatG: ['Fat', 'g'],
  saturatedFatG: ['saturated', 'g'],
  carbohydrateG: ['Carbohydrate', 'g'],
  sugarG: ['sugars', 'g'],
  addedSugarG: ['added sugars', 'g'],
  fibreG: ['Fibre', 'g'],
  proteinG: ['Protein', 'g'],
  sodiumMg: ['Sodium', 'mg'],
};
const HOLDS: Record<Label['claims'][number]['holds'], readonly [Mark, string]> = {
  surely: ['within', 'holds'],
  possibly: ['depends', 'may hold'],
  impossible: ['over', 'cannot be true'],
  unknown: ['unknown', 'cannot be judged'],
};
const CLASS_WORDS: Record<string, string> = {
  oil: 'oil or fat',
  salt: 'salt',
  sugar: 'sugar',
  'refined-starch': 'refined starch',
  sweetener: 'sweetener',
};

/** What Dulvet reads in a packet's words, as they are typed. */
export function PacketReading({ reading, diners }: { reading: Reading; diners: readonly TableDiner[] }) {
  const { label } = reading;
  const seen = new Set<string>();
  const own = diners.filter((d) => !seen.has(d.protocol.id) && seen.add(d.protocol.id));
  const hidden = label.ingredients.filter((i) => i.hidden.length > 0);
  return (
    <section aria-label="What is read" aria-live="polite" className="space-y-4">
      <div>
        <h3 className="font-semibold">What is read</h3>
        {!reading.ok && (
          <p className="rounded-lg bg-wash px-3 py-2">{reading.why} Until then recipes cannot use it.</p>
        )}
        {label.problems.map((p) => (
          <p key={p} className="mt-1 rounded-lg bg-wash px-3 py-2">
            {p}
          </p>
        ))}
      </div>
      <table className="num w-full text-[13.5px]">
        <caption className="mb-1 text-left text-[13px] text-mute">
          What the printed figures can mean, after the rounding that a {label.layout === 'us' ? 'US' : 'EU'}{' '}
          label may do
        </caption>
        <thead className="text-left text-[12px] text-mute">
          <tr>
            <th scope="col" className="font-medium">
              <span className="sr-only">Figure</span>
            </th>
            <th scope="col" className="text-right font-medium">
              a serving{label.servingG ? `, ${label.servingG} g` : ''}
            </th>
            <th scope="col" className="text-right font-medium">
              100 g
            </th>
          </tr>
        </thead>
        <tbody>
          {NUTRIENTS.map((n) => {
            const [name, unit] = WORDS[n];
            const cell = (r: Label['perServing'][LabelNutrient] | undefined) =>
              r ? `${showRange(r)} ${unit}` : 'not printed';
            const part = /^[a-z]/.test(name);
            return (
              <tr key={n} className="border-b border-hair/50 last:border-0">
                <th scope="row" className={`py-[3px] text-left font-normal ${part ? 'pl-4 text-mute' : ''}`}>
                  {name}
                </th>
                <td className="text-right">{cell(label.perServing[n])}</td>
                <td className="text-right">{cell(label.per100g[n])}</td>
              </tr>
            );
          })}
          <tr className="border-t-[1.5px] border-hair">
            <th scope="row" className="py-[3px] text-left font-normal">
              Fat’s share of energy
            </th>
            <td />
            <td className="text-right">
              {label.fatSharePercent ? `${showRange(label.fatSharePercent)} %` : 'not known'}
            </td>
          </tr>
          <tr>
            <th scope="row" className="py-[3px] text-left font-normal">
              Sodium for each kcal (rule of thumb: 1 mg)
            </th>
            <td />
            <td className="text-right">
              {label.sodiumMgPerKcal ? `${showRange(label.sodiumMgPerKcal)} mg` : 'not known'}
            </td>
          </tr>
        </tbody>
      </table>
      {label.ingredients.length > 0 && (
        <div>
          <h3 className="font-semibold">Under other names</h3>
          {hidden.length === 0 ? (
            <p className="text-mute">
              No name of oil, salt, sugar or refined starch stands in the ingredients.
            </p>
          ) : (
            <ul className="num mt-0.5">
              {hidden.map((i, k) => (
                <li key={k} className="flex items-baseline gap-2">
                  <span className="translate-y-[2px]">
                    <Glyph mark="over" size={11} label={false} />
                  </span>
                  <span>
                    <b className="font-semibold">{i.text}</b> is{' '}
                    {[...new Set(i.hidden.map((h) => CLASS_WORDS[h.class] ?? h.class))].join(' and ')}
                    {i.share && (
                      <span className="text-mute">
                        , {showRange(i.share)} % of it by the order of the list
                      </span>
                    )}
                  </span>
                </li>
              ))}
            </ul>
          )}
          {label.mayContain.length > 0 && (
            <p className="text-[13px] text-mute">May contain {label.mayContain.join(', ')}.</p>
          )}
        </div>
      )}
      {reading.ok && allergensOfFood(reading.food) && (
        <p className="flex items-baseline gap-2">
          {reading.food.allergensNotKnown && (
            <span className="translate-y-[2px]">
              <Glyph mark="unknown" size={12} label={false} />
            </span>
          )}
          <span>Allergens: {allergensOfFood(reading.food)}</span>
        </p>
      )}
      {label.claims.length > 0 && (
        <div>
          <h3 className="font-semibold">Claims printed on it</h3>
          <ul className="mt-0.5">
            {label.claims.map((c) => (
              <li key={c.claim} className="flex items-baseline gap-2" title={c.source}>
                <span className="translate-y-[2px]">
                  <Glyph mark={HOLDS[c.holds][0]} size={12} label={false} />
                </span>
                <span>
                  “{c.claim}” {HOLDS[c.holds][1]}: {c.because}
                </span>
              </li>
            ))}
          </ul>
        </div>
      )}
      <div>
        <h3 className="font-semibold">A serving of it, by itself</h3>
        <ul className="mt-0.5">
          {label.verdicts
            .filter((v) => own.some((d) => d.protocol.id === v.protocol))
            .map((v) => (
              <li key={v.protocol} className="flex items-baseline gap-2">
                <span className="translate-y-[2px]">
                  <Glyph mark={v.verdict} size={12} />
                </span>
                <span>
                  <b className="font-semibold">
                    {own.find((d) => d.protocol.id === v.protocol)?.protocol.name}
                  </b>
                  {v.because.length > 0 && `: ${v.because.join('; ')}`}
                </span>
              </li>
            ))}
        </ul>
      </div>
    </section>
  );
}
