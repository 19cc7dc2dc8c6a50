'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { showRange } from '@/core/format/figures';
import { lineInUnits, type UnitSystem } from '@/core/format/units';
import { partsOf, servingsRow } from '@/core/format/markdown';
import type { MeasureSettings } from '@/core/measure/units';
import type { Library } from '@/core/read/library';
import type { ReadRecipe } from '@/core/read/types';
import { shownTitle } from '@/core/recipe/title';
import { database, type StoredRecipe } from '@/data/db';
import { listRecipes, rootOf } from '@/data/recipes';
import { Button } from '@/ui/button';
import { Choose } from '@/ui/choose';
import { Dialog } from '@/ui/dialog';
import { Toggles } from '@/ui/toggle';
import { judgeTable, useDiners, type TableDiner } from '@/kitchen/use-table';
import { useProtocols } from '@/kitchen/use-protocols';
import { VERDICT_WORDS } from './model';

const PAPERS = [
  ['A5', 'A5'],
  ['A4', 'A4'],
  ['letter', 'Letter'],
] as const;
type Paper = (typeof PAPERS)[number][0];
const SYSTEMS: readonly (readonly [UnitSystem, string])[] = [
  ['written', 'as written'],
  ['metric', 'grams and millilitres'],
  ['us', 'US cups and pounds'],
];

/** One recipe as it is written on a card: nothing to press, all that is needed at the stove and at the table. */
function Card({
  read,
  diner,
  system,
  measures,
}: {
  read: ReadRecipe;
  diner: TableDiner;
  system: UnitSystem;
  measures: MeasureSettings;
}) {
  const { audit, protocol } = diner;
  const { recipe } = read;
  const serves = servingsRow(read);
  // how many it feeds stands under the title already
  const notes = recipe.notes.filter((n) => n.text.trim().toLowerCase() !== serves?.toLowerCase());
  const figures = [
    audit.perServing.energyKcal && `${showRange(audit.perServing.energyKcal)} kcal`,
    audit.total.fatSharePercent && `${showRange(audit.total.fatSharePercent)} % of it fat`,
    audit.perServing.sodiumMg && `${showRange(audit.perServing.sodiumMg)} mg sodium`,
    audit.perServing.fibreG && `${showRange(audit.perServing.fibreG)} g fibre`,
  ].filter(Boolean);
  return (
    <article className="recipe-card" aria-label={audit.title}>
      <h2 className="text-[21px] font-semibold leading-tight">{audit.title}</h2>
      {serves && <p className="text-mute">{serves}</p>}
      <div className="recipe-card-body">
        <div>
          {partsOf(read).map(({ section, lines }, i) => (
            <section key={i} className="mb-2">
              {section && <h3 className="font-semibold">{section}</h3>}
              <ul className="space-y-0.5">
                {lines.map((line, j) => (
                  <li key={j}>{lineInUnits(line, system, measures)}</li>
                ))}
              </ul>
            </section>
          ))}
        </div>
        <ol className="list-decimal space-y-1.5 pl-5">
          {recipe.steps.map((step, i) => (
            <li key={i}>{step.text}</li>
          ))}
        </ol>
      </div>
      {notes.length > 0 && (
        <ul className="mt-2 space-y-1 border-t border-hair pt-1">
          {notes.map((note, i) => (
            <li key={i}>{note.text}</li>
          ))}
        </ul>
      )}
      <footer className="mt-3 border-t border-hair pt-1 text-[13px]">
        <p>
          A plate: {figures.length > 0 ? figures.join(', ') : 'figures not known'}. {protocol.name}:{' '}
          {VERDICT_WORDS[audit.verdict]}.
        </p>
        <p>
          {audit.allergens.length > 0
            ? `Has ${audit.allergens.join(', ')}.`
            : 'No allergen found in its words.'}
          {audit.allergenDoubts.length > 0 && ' Others cannot be ruled out: see what the packets say.'}
        </p>
      </footer>
    </article>
  );
}

/** A recipe card for paper, alone or beside another version of the same dish, in the units of whoever cooks from it. */
export function CardDialog({
  onOpenChange,
  doc,
  read,
  diner,
  library,
  measures,
}: {
  onOpenChange: (open: boolean) => void;
  doc: StoredRecipe;
  read: ReadRecipe;
  diner: TableDiner;
  library: Library;
  measures: MeasureSettings;
}) {
  const [paper, setPaper] = useState<Paper>('A4');
  const [system, setSystem] = useState<UnitSystem>('written');
  const [besideId, setBesideId] = useState('');
  const diners = useDiners();
  const { byId } = useProtocols();
  const kin = useLiveQuery(
    async () => (await listRecipes(database())).filter((r) => r.id !== doc.id && rootOf(r) === rootOf(doc)),
    [doc.id, doc.versionOf],
    [],
  );
  const other = kin.find((r) => r.id === besideId);
  const beside = useMemo(() => {
    if (!other) return null;
    const otherRead = library.read(other);
    const judged = judgeTable(diners, otherRead, other.role, byId);
    const same = judged.find((d) => d.id === diner.id) ?? judged[0];
    return same ? { read: otherRead, diner: same } : null;
  }, [other, library, diners, byId, diner.id]);
  return (
    <Dialog open onOpenChange={onOpenChange} title="Recipe card" wide="table" onPaper={false}>
      <style>{`@media print { @page { size: ${paper}; margin: 10mm } }`}</style>
      <div className="no-print mb-3 flex flex-wrap items-end gap-x-5 gap-y-2">
        <Toggles label="Paper" options={PAPERS} value={paper} onChange={setPaper} />
        <Toggles label="Amounts" options={SYSTEMS} value={system} onChange={setSystem} />
        {kin.length > 0 && (
          <Choose label="Beside it" value={besideId} onChange={setBesideId}>
            <option value="">nothing</option>
            {kin.map((r) => (
              <option key={r.id} value={r.id}>
                {shownTitle(r.text)}
              </option>
            ))}
          </Choose>
        )}
        <Button look="solid" className="ml-auto" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <div className={`recipe-cards ${beside ? 'recipe-cards-two' : ''}`} data-paper={paper}>
        <Card read={read} diner={diner} system={system} measures={measures} />
        {beside && <Card read={beside.read} diner={beside.diner} system={system} measures={measures} />}
      </div>
    </Dialog>
  );
}
