'use client';
import { useEffect, useMemo, useState } from 'react';
import type { FrontierPoint } from '@/core/adapt/frontier';
import { versionText, type Version } from '@/core/adapt/versions';
import type { RecipeAudit } from '@/core/audit/schema';
import { showNumber, showRange } from '@/core/format/figures';
import type { Range } from '@/core/range/range';
import type { StoredRecipe } from '@/data/db';
import { planner } from '@/workers/adapt';
import { plainRecipes } from '@/workers/library';
import { Button } from '@/ui/button';
import { Chart } from '@/ui/chart';
import { Dialog } from '@/ui/dialog';
import { Glyph } from '@/ui/glyph';
import { saveFile } from '@/ui/save-file';
import { useLibraryContext } from '../shelf/use-context';
import { shortLabel } from './model';
import type { TableDiner } from './use-table';

const FIGURES = [
  ['Energy, kcal', (a: RecipeAudit) => a.perServing.energyKcal],
  ['Weight, g', (a: RecipeAudit) => a.perServing.weightG],
  ['Fat share, %', (a: RecipeAudit) => a.total.fatSharePercent],
  ['kcal in 100 g', (a: RecipeAudit) => a.total.energyDensityKcalPer100G],
  ['Sodium, mg', (a: RecipeAudit) => a.perServing.sodiumMg],
  ['Free sugar, g', (a: RecipeAudit) => a.perServing.freeSugarG],
  ['Fibre, g', (a: RecipeAudit) => a.perServing.fibreG],
  ['Protein, g', (a: RecipeAudit) => a.perServing.proteinG],
  ['Iron, mg', (a: RecipeAudit) => a.perServing.ironMg],
  ['Calcium, mg', (a: RecipeAudit) => a.perServing.calciumMg],
] as const satisfies readonly (readonly [string, (a: RecipeAudit) => Range | null])[];

/** The plate that 500 kcal buy, its area in scale with the largest. */
function Plate({ grams, most }: { grams: Range | null; most: number }) {
  if (!grams) return <span className="text-mute">not known</span>;
  const r = 30 * Math.sqrt(Math.min(1, grams.best / most));
  return (
    <span className="flex items-center gap-2">
      <svg width="64" height="64" viewBox="-32 -32 64 64" aria-hidden>
        <circle r={r} fill="var(--wash)" stroke="var(--rim)" strokeWidth="2" />
        <circle r={r * 0.72} fill="none" stroke="var(--hair)" strokeWidth="1.5" />
      </svg>
      <span className="num">{showRange(grams)} g</span>
    </span>
  );
}

/** The sheet as Markdown, for printing and sending on. */
function sheetOf(title: string, versions: readonly Version[]): string {
  const row = (cells: readonly string[]) => `| ${cells.join(' | ')} |`;
  return [
    `# ${title}: versions side by side`,
    '',
    row(['', ...versions.map((v) => v.name)]),
    row(['---', ...versions.map(() => '---')]),
    ...FIGURES.map(([name, of]) =>
      row([
        name,
        ...versions.map((v) => {
          const r = of(v.audit);
          return r ? showRange(r) : 'not known';
        }),
      ]),
    ),
    row([
      '500 kcal buy, g',
      ...versions.map((v) => (v.gramsFor500 ? showRange(v.gramsFor500) : 'not known')),
    ]),
    row(['Allergens', ...versions.map((v) => v.audit.allergens.join(', ') || 'none named')]),
    '',
    ...versions.flatMap((v) => [
      `## ${v.name}`,
      '',
      ...(v.changes.length > 0
        ? v.changes.map((c) => `- ${c.from || 'new'} → ${c.to || 'left out'}: ${c.technique}`)
        : ['As it stands.']),
      '',
    ]),
  ].join('\n');
}

function Frontier({
  points,
  limit,
  onTake,
}: {
  points: readonly FrontierPoint[];
  limit: number | null;
  onTake: (point: FrontierPoint) => void;
}) {
  const [chosen, setChosen] = useState<number | null>(null);
  const chart = useMemo(() => {
    const x = points.map((p) => p.departure);
    const colour = (name: string) =>
      typeof document === 'undefined'
        ? '#1b2f6b'
        : getComputedStyle(document.documentElement).getPropertyValue(name);
    return {
      data: [
        {
          type: 'scatter',
          mode: 'lines+markers',
          x,
          y: points.map((p) => p.fatShare.best),
          error_y: {
            type: 'data',
            symmetric: false,
            array: points.map((p) => p.fatShare.high - p.fatShare.best),
            arrayminus: points.map((p) => p.fatShare.best - p.fatShare.low),
            color: colour('--within-soft'),
          },
          line: { shape: 'hv', color: colour('--within') },
          marker: { size: 11, color: colour('--rim') },
          hovertemplate: '%{y:.0f} % fat, departure %{x:.1f}<extra></extra>',
        },
      ],
      layout: {
        xaxis: {
          title: { text: 'departure: changes, and what they take from taste' },
          rangemode: 'tozero',
          zeroline: false,
        },
        yaxis: { title: { text: 'fat share, %' }, rangemode: 'tozero', zeroline: false },
        shapes:
          limit === null
            ? []
            : [
                {
                  type: 'line',
                  xref: 'paper',
                  x0: 0,
                  x1: 1,
                  y0: limit,
                  y1: limit,
                  line: { color: colour('--rim'), width: 2 },
                },
              ],
      },
    };
  }, [points, limit]);
  const point = chosen === null ? null : points[chosen];
  return (
    <section className="mt-5" aria-label="Frontier">
      <h3 className="font-semibold">How little, how far</h3>
      <p className="text-mute">
        Each point is a plan: the least change that brings the fat share so low.
        {limit !== null && ` The line is the limit, ${showNumber(limit)} %.`}
      </p>
      <Chart
        data={chart.data}
        layout={chart.layout}
        height={260}
        label="Fat share against departure"
        onPoint={setChosen}
      />
      <ul className="num flex flex-wrap gap-1.5">
        {points.map((p, i) => (
          <li key={i}>
            <button
              type="button"
              aria-pressed={i === chosen}
              onClick={() => setChosen(i)}
              className={`min-h-8 rounded-lg border-2 px-2 text-[13px] ${i === chosen ? 'border-rim' : 'border-hair'}`}
            >
              {p.changes.length === 0
                ? 'as written'
                : p.changes.length === 1
                  ? 'one change'
                  : `${p.changes.length} changes`}
              : {showRange(p.fatShare)} %
              {p.sodium && <span className="text-mute">, {showRange(p.sodium)} mg</span>}
            </button>
          </li>
        ))}
      </ul>
      {point && point.changes.length > 0 && (
        <div className="mt-2 rounded-[10px] bg-wash px-3 py-2">
          <ul>
            {point.changes.map((c, i) => (
              <li key={i}>
                {c.from || 'new'} → <b className="font-semibold">{c.to || 'left out'}</b>
              </li>
            ))}
          </ul>
          <Button className="mt-2" onClick={() => onTake(point)}>
            Make these changes
          </Button>
        </div>
      )}
    </section>
  );
}

/** A dish as written, moderate and light, side by side, and the frontier between them. */
export function CompareDialog({
  open,
  onOpenChange,
  doc,
  title,
  current,
  onKeep,
  onTake,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  doc: StoredRecipe;
  title: string;
  current: TableDiner;
  onKeep: (text: string) => void;
  onTake: (text: string, changes: number) => void;
}) {
  const context = useLibraryContext();
  const [found, setFound] = useState<{
    of: StoredRecipe;
    protocol: string;
    versions: Version[];
    frontier: FrontierPoint[];
  } | null>(null);
  const { protocol } = current;
  useEffect(() => {
    if (!open) return;
    let here = true;
    const [recipe] = plainRecipes([doc]);
    if (!recipe) return;
    void planner()
      .compare(recipe, protocol, context)
      .then((r) => {
        if (here) setFound({ of: doc, protocol: protocol.id, ...r });
      });
    return () => {
      here = false;
    };
  }, [open, doc, protocol, context]);
  const ready = found?.of === doc && found.protocol === protocol.id ? found : null;
  const versions = ready?.versions ?? [];
  const most = Math.max(1, ...versions.map((v) => v.gramsFor500?.best ?? 0));
  const fat =
    protocol.limits.find((l) => l.of === 'fatKcal' && l.per === 'energy' && l.bound === 'most')?.limit ??
    null;
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Versions side by side"
      says={`${title}, looked at with ${current.name}’s limits (${protocol.name})`}
      wide
    >
      {!ready ? (
        <p className="text-mute">Making them …</p>
      ) : (
        <>
          <div className="overflow-x-auto">
            <table className="num w-full min-w-[560px] border-collapse text-[13.5px]">
              <thead>
                <tr className="border-b-2 border-rim text-left align-bottom">
                  <th scope="col" className="py-1 text-[12px] font-medium text-mute">
                    a plate
                  </th>
                  {versions.map((v) => (
                    <th key={v.id} scope="col" className="px-2 py-1 font-semibold">
                      {v.name} <Glyph mark={v.audit.verdict} size={12} />
                      <span className="block text-[12px] font-normal text-mute">
                        {v.changes.length === 0 ? 'nothing changed' : `${v.changes.length} changes`}
                        {!v.reached && ', as near as swaps get'}
                      </span>
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {FIGURES.map(([name, of]) => (
                  <tr key={name} className="border-b border-hair/50">
                    <th scope="row" className="whitespace-nowrap py-[3px] pr-3 text-left font-normal">
                      {name}
                    </th>
                    {versions.map((v) => {
                      const r = of(v.audit);
                      return (
                        <td key={v.id} className="px-2">
                          {r ? showRange(r) : '?'}
                        </td>
                      );
                    })}
                  </tr>
                ))}
                {protocol.limits.map((limit, i) => (
                  <tr key={limit.id} className="border-b border-hair/50">
                    <th scope="row" className="whitespace-nowrap py-[3px] pr-3 text-left font-normal">
                      {shortLabel(limit.label)}
                    </th>
                    {versions.map((v) => (
                      <td key={v.id} className="px-2">
                        <Glyph mark={v.audit.limits[i]?.verdict ?? 'unknown'} size={12} />
                      </td>
                    ))}
                  </tr>
                ))}
                <tr className="border-b border-hair/50">
                  <th scope="row" className="whitespace-nowrap py-[3px] pr-3 text-left font-normal">
                    500 kcal buy
                  </th>
                  {versions.map((v) => (
                    <td key={v.id} className="px-2">
                      <Plate grams={v.gramsFor500} most={most} />
                    </td>
                  ))}
                </tr>
                <tr className="border-b border-hair/50">
                  <th scope="row" className="whitespace-nowrap py-[3px] pr-3 text-left font-normal">
                    Allergens
                  </th>
                  {versions.map((v) => (
                    <td key={v.id} className="px-2">
                      {v.audit.allergens.join(', ') || 'none named'}
                    </td>
                  ))}
                </tr>
                <tr>
                  <th scope="row" className="py-1 text-left align-top font-normal">
                    Changed
                  </th>
                  {versions.map((v) => (
                    <td key={v.id} className="px-2 py-1 align-top">
                      <ul className="space-y-1">
                        {v.changes.map((c, i) => (
                          <li key={i} className="[overflow-wrap:anywhere]">
                            {c.from ? (
                              <s className="text-mute decoration-1">{c.from}</s>
                            ) : (
                              <span className="text-mute">new</span>
                            )}{' '}
                            → {c.to || 'left out'}
                          </li>
                        ))}
                      </ul>
                      {v.flavour?.bland && (
                        <p className="mt-1 text-near">Likely bland: {v.flavour.because}.</p>
                      )}
                    </td>
                  ))}
                </tr>
              </tbody>
            </table>
          </div>
          <div className="no-print mt-3 flex flex-wrap gap-1.5">
            {versions
              .filter((v) => v.changes.length > 0)
              .map((v) => (
                <Button key={v.id} onClick={() => onKeep(versionText(v))}>
                  Keep the {v.name.toLowerCase()} one as a recipe of its own
                </Button>
              ))}
            <Button
              look="plain"
              onClick={() => saveFile('versions.md', 'text/markdown', sheetOf(title, versions))}
            >
              Save the sheet
            </Button>
            <Button look="plain" onClick={() => window.print()}>
              Print
            </Button>
          </div>
          {ready.frontier.length > 1 && (
            <Frontier points={ready.frontier} limit={fat} onTake={(p) => onTake(p.text, p.changes.length)} />
          )}
        </>
      )}
    </Dialog>
  );
}
