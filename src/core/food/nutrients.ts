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
