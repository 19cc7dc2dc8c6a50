import type { RecipeAudit } from '@/core/audit/schema';
import { showRange } from '@/core/format/figures';
import type { Range } from '@/core/range/range';

type Figure = readonly [label: string, of: (a: RecipeAudit) => Range | null];

const AMOUNTS = [
  ['Energy, kcal', 'energyKcal'],
  ['Fat, g', 'fatG'],
  ['Protein, g', 'proteinG'],
  ['Fibre, g', 'fibreG'],
  ['Free sugar, g', 'freeSugarG'],
  ['Sodium, mg', 'sodiumMg'],
  ['Iron, mg', 'ironMg'],
  ['Calcium, mg', 'calciumMg'],
] as const;

/** What figures are given for: a plate, or 100 g as eaten. */
export type Per = 'plate' | '100g';

/** Figures of a plate or of 100 g, and those that are the same for both. */
export const figuresOf = (per: Per): readonly Figure[] => [
  ...AMOUNTS.map(([label, field]): Figure => [
    label,
    (a) => (per === 'plate' ? a.perServing : a.per100g)[field],
  ]),
  ...(per === 'plate'
    ? [
        ['Weight, g', (a: RecipeAudit) => a.perServing.weightG] as const,
        ['kcal in 100 g', (a: RecipeAudit) => a.total.energyDensityKcalPer100G] as const,
      ]
    : []),
  ['Fat share, %', (a) => a.total.fatSharePercent],
];

export const shown = (r: Range | null): string => (r ? showRange(r) : 'not known');
