import { AT, TABLE_FIELDS } from './nutrients';
import { carbohydrateKcal, type Food } from './table';

/** Deviations to each side: what 19 of 20 samples of a food lie within, where they scatter normally. */
const DEVIATIONS = 2;

const known = new WeakMap<Food, readonly Float64Array[]>();

/**
 * What a food's figures may be as nature varies, per gram: energy at its ends crossed with all others at
 * theirs, which reaches every extreme a limit can ask for. Undefined where no deviation was measured.
 */
export function naturalSpread(food: Food): readonly Float64Array[] | undefined {
  if (Object.keys(food.sd).length === 0) return undefined;
  const before = known.get(food);
  if (before) return before;
  const at = (energy: -1 | 1, others: -1 | 1) => {
    const v = Float64Array.from(food.perGram);
    for (const name of TABLE_FIELDS) {
      const by = (DEVIATIONS * (food.sd[name] ?? 0)) / 100;
      v[AT[name]] = Math.max(0, (v[AT[name]] as number) + by * (name === 'energyKcal' ? energy : others));
    }
    v[AT.fatKcal] = 9 * (v[AT.fatG] as number);
    v[AT.proteinKcal] = 4 * (v[AT.proteinG] as number);
    v[AT.carbohydrateKcal] = carbohydrateKcal(v);
    if ((v[AT.addedSodiumMg] as number) > 0) v[AT.addedSodiumMg] = v[AT.sodiumMg] as number;
    return v;
  };
  const spread = [at(-1, -1), at(-1, 1), at(1, -1), at(1, 1)];
  known.set(food, spread);
  return spread;
}
