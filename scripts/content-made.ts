import { z } from 'zod';
import { TABLE_FIELDS } from '../src/core/food/nutrients';
import type { FoodRow, KindRow } from '../src/core/food/schema';
import { csv, fail, yaml } from './content-files';

/** What makes of a food differ by: lowest and highest per 100 g. */
export type Span = [number, number];

/** A row worked out of others, to be checked like one that stands in a file. */
export interface MadeRow {
  readonly where: string;
  readonly row: Record<string, unknown> & { like: string };
}

const FIGURES = TABLE_FIELDS;

const round = (value: number) => Number(value.toPrecision(value >= 100 ? 4 : 3));
const split = (text: string | undefined, by: string) =>
  (text ?? '')
    .split(by)
    .map((n) => n.trim())
    .filter(Boolean);
const base = (byId: ReadonlyMap<string, FoodRow>, id: string, where: string): FoodRow =>
  byId.get(id) ?? fail(where, `"${id}" is no food`);

/**
 * `forms.csv`: a food with more or less water (cooked, dried, tinned): figures of its dry matter stay in proportion.
 * Sodium is as said where it is said.
 */
export function formRows(byId: ReadonlyMap<string, FoodRow>): MadeRow[] {
  return csv('foods/forms.csv').map((row, i) => {
    const where = `foods/forms.csv, row ${i + 2} (${row.id})`;
    const of = base(byId, row.of ?? '', where);
    if (of.waterG === null) fail(where, `the water of "${of.id}" is not known`);
    const water = row.water ? Number(row.water) : of.waterG;
    if (!(water >= 0 && water < 99.5)) fail(where, `"${row.water}" is no share of water`);
    const factor = (100 - water) / (100 - of.waterG);
    const figures = Object.fromEntries(
      FIGURES.map((f) => [f, of[f] === null ? null : round(of[f] * factor)]),
    );
    const sodium = (row.na ?? '').split('-').map(Number);
    const said = Boolean(row.na);
    return {
      where,
      row: {
        ...of,
        ...figures,
        id: row.id,
        name: row.name,
        names: split(row.names, '|'),
        kind: row.kind || of.kind,
        nova: Number(row.nova || of.nova),
        waterG: water,
        ...(said ? { sodiumMg: sodium.length === 3 ? sodium[1] : sodium[0] } : {}),
        spans: said && sodium.length === 3 ? { sodiumMg: [sodium[0], sodium[2]] } : {},
        refuse: Number(row.refuse || 0),
        adds: [...new Set([...of.adds, ...split(row.adds, ' ')])],
        // "-gluten": sold free of it
        allergens: [...new Set([...of.allergens, ...split(row.allergens, ' ')])].filter(
          (a) => !a.startsWith('-') && !split(row.allergens, ' ').includes(`-${a}`),
        ),
        might: split(row.might, ' '),
        variant: row.variant || null,
        source: `${of.source}; for its water worked out of ${of.name.toLowerCase()}`,
        sd: {},
        classes: undefined,
        portions: undefined,
        like: row.like ?? '',
      },
    };
  });
}

const amount = z.union([z.number().nonnegative(), z.string().regex(/^[\d.]+-[\d.]+-[\d.]+$/)]);
const MixFile = z.array(
  z
    .object({
      id: z.string(),
      name: z.string(),
      names: z.array(z.string()).default([]),
      kind: z.string(),
      nova: z.number(),
      /** Grams of each food, a number or low-best-high where makes differ. */
      of: z.record(z.string(), amount),
      /** Grams that leave as water while it is made, of what goes in. */
      loses: z.number().nonnegative().default(0),
      allergens: z.array(z.string()).default([]),
      might: z.array(z.string()).default([]),
      refuse: z.number().default(0),
      like: z.string().default(''),
      variant: z.string().nullable().default(null),
    })
    .strict(),
);

const three = (value: z.infer<typeof amount>): [number, number, number] => {
  if (typeof value === 'number') return [value, value, value];
  const [low = 0, best = 0, high = 0] = value.split('-').map(Number);
  return [low, best, high];
};

const ADDED = { oil: 'oil', salt: 'salt', sweet: 'sugar' } as const;

/** `mixes.yaml`: a product worked out of what it is usually made of, its makes' differences as spans. */
export function mixRows(known: ReadonlyMap<string, FoodRow>, kinds: Record<string, KindRow>): MadeRow[] {
  const byId = new Map(known);
  return yaml('foods/mixes.yaml', MixFile).map(({ of, loses, names, ...mix }) => {
    const where = `foods/mixes.yaml, ${mix.id}`;
    const parts = Object.entries(of).map(([id, grams]) => ({
      food: base(byId, id, where),
      grams: three(grams),
    }));
    const total = parts.reduce((sum, p) => sum + p.grams[1], 0) - loses;
    if (!(total > 0)) fail(where, 'nothing is left of it');
    const figures: Record<string, number | null> = {};
    const spans: Record<string, Span> = {};
    for (const name of FIGURES) {
      const at = (end: 0 | 1 | 2) => {
        const sum = parts.reduce(
          (all, p) => all + (p.food[name] ?? (p.grams[2] === 0 ? 0 : NaN)) * p.grams[end],
          0,
        );
        return Number.isNaN(sum) ? null : (sum - (name === 'waterG' ? loses * 100 : 0)) / total;
      };
      const [low, best, high] = [at(0), at(1), at(2)];
      figures[name] = best === null ? null : round(Math.max(0, best));
      if (name !== 'waterG' && low !== null && high !== null && high - low > 0.02 * Math.max(high, 1))
        spans[name] = [round(Math.max(0, low)), round(high)];
    }
    const addedAt = (end: 0 | 1 | 2) =>
      new Set(
        parts.flatMap((p) => {
          if (p.grams[end] === 0) return [];
          const kind = kinds[p.food.kind]?.class;
          const own = kind && kind in ADDED ? [ADDED[kind as keyof typeof ADDED]] : [];
          return [...p.food.adds, ...own];
        }),
      );
    const [least, adds, most] = [addedAt(0), addedAt(1), addedAt(2)];
    const row = {
      ...mix,
      names,
      ...figures,
      spans,
      allergens: [...new Set([...parts.flatMap((p) => p.food.allergens), ...mix.allergens])],
      adds: [...adds],
      perhaps: [...most].filter((a) => !least.has(a)),
      source: `worked out of its usual parts (common practice): ${parts
        .map((p) => p.food.name.toLowerCase())
        .join('; ')}`,
      sd: {},
    };
    // a mix may be made of a mix that stands before it
    byId.set(mix.id, { ...row, classes: [], portions: {} } as unknown as FoodRow);
    return { where, row };
  });
}
