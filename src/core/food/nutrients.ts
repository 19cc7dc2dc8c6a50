/** Figures that composition tables give, per 100 g. */
export const TABLE_FIELDS = [
  'energyKcal',
  'proteinG',
  'fatG',
  'saturatedFatG',
  'carbohydrateG',
  'fibreG',
  'sugarG',
  'addedSugarG',
  'freeSugarG',
  'sodiumMg',
  'potassiumMg',
  'calciumMg',
  'ironMg',
  'waterG',
  'alcoholG',
] as const;

/**
 * The components of a food's vector, in order. The first ones are figures of composition tables; the
 * last ones are weights of food classes and the parts that a maker or cook added, which bans and
 * allowances look at. All per 100 g in a food's row, absolute in a line's corner.
 */
export const FIELDS = [
  ...TABLE_FIELDS,
  'weightG',
  'fatKcal',
  'freeSugarKcal',
  'oilG',
  'nutG',
  'flaxG',
  'refinedG',
  'addedSodiumMg',
  'sweetG',
  'animalG',
  'carbohydrateKcal',
  'proteinKcal',
  'avocadoG',
  'oliveG',
  'coconutG',
  'soyG',
  'flourG',
  'cannedG',
  'wineG',
  'unrefinedSweetG',
  'fermentedSodiumMg',
  'tableSodiumMg',
  'nova4G',
  'nova4Kcal',
] as const;

export type Field = (typeof FIELDS)[number];

/**
 * Components that are parts of others, which a limit may leave out of them: half of the sodium in fermented soy. Where
 * only bounds are known they move apart from what they are part of.
 */
export const PARTS: ReadonlySet<Field> = new Set<Field>([
  'fermentedSodiumMg',
  'tableSodiumMg',
  'avocadoG',
  'unrefinedSweetG',
]);

/** Position of each component in a vector. */
export const AT = Object.fromEntries(FIELDS.map((name, index) => [name, index])) as Record<Field, number>;

/** An empty vector: nothing of anything. */
export const zeros = (): Float64Array => new Float64Array(FIELDS.length);

/** A vector times a factor. */
export function scaled(vector: Float64Array, factor: number): Float64Array {
  const out = new Float64Array(vector.length);
  for (let i = 0; i < vector.length; i += 1) out[i] = (vector[i] as number) * factor;
  return out;
}

/** Sum of vectors. */
export function summed(vectors: readonly Float64Array[]): Float64Array {
  const out = zeros();
  for (const vector of vectors)
    for (let i = 0; i < out.length; i += 1) out[i] = (out[i] as number) + (vector[i] as number);
  return out;
}

/** Fields that divide, and those that are taken away: each moves by itself, all others together. */
const APART: readonly ((name: Field) => boolean)[] = [
  (name) => name === 'energyKcal',
  (name) => name === 'weightG',
  (name) => PARTS.has(name),
];

/**
 * Corners of a box of bounds, so many that every limit finds its extreme among them: a limit looks at one component,
 * or at one less its parts, against energy, weight or nothing. Wider than the truth where components hang together.
 */
export function outerCorners(low: Float64Array, high: Float64Array): Float64Array[] {
  const moves = APART.filter((is) =>
    FIELDS.some((name, i) => is(name) && (low[i] as number) !== (high[i] as number)),
  );
  return Array.from({ length: 2 ** (moves.length + 1) }, (_, bits) =>
    Float64Array.from(low, (value, i) => {
      const own = moves.findIndex((is) => is(FIELDS[i] as Field)) + 1;
      return (bits >> own) & 1 ? (high[i] as number) : value;
    }),
  );
}
