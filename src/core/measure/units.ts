import { escapePattern } from '@/core/escape';
import rawUnits from '@content/compiled/units.json';
import rawVague from '@content/compiled/vague.json';
import type { Units, Vague } from '@/core/food/schema';

// both checked by Zod when content is compiled
const units = rawUnits as unknown as Units;
/** Readings of loose words: pinch, heaping, to taste. */
export const VAGUE = rawVague as unknown as Vague;

export type UnitKind = 'volume' | 'mass' | 'count' | 'vague';
export interface Unit {
  readonly id: string;
  readonly kind: UnitKind;
  /** Millilitres or grams of one, [low, best, high]; null for counts and vague measures. */
  readonly size: readonly [number, number, number] | null;
  /** True for what a shop sells: a can, a bag, a block. */
  readonly package: boolean;
}

/** Which cup and tablespoon a recipe means. */
export interface MeasureSettings {
  readonly cup: 'us' | 'metric';
  readonly tablespoon: 'us' | 'australian';
  /** Millilitres of the cook's own loose measures, as she weighed them: low, best, high. */
  readonly hand?: Readonly<Record<string, readonly [number, number, number]>> | undefined;
}
export const US_MEASURES: MeasureSettings = { cup: 'us', tablespoon: 'us' };

/** Millilitres of the metric cup and of the Australian tablespoon. */
export const METRIC_CUP_ML = 250;
export const AUSTRALIAN_TABLESPOON_ML = 20;

const three = (size: number | readonly [number, number, number]): readonly [number, number, number] =>
  typeof size === 'number' ? [size, size, size] : size;

const byName = new Map<string, Unit>();
const byExact = new Map<string, Unit>();
/** Every unit, by its id. */
export const UNITS = new Map<string, Unit>();

function enter(unit: Unit, names: readonly string[], exactNames: readonly string[] = []) {
  UNITS.set(unit.id, unit);
  for (const name of names) byName.set(name, unit);
  for (const name of exactNames) byExact.set(name, unit);
}
for (const [id, u] of Object.entries(units.volume))
  enter({ id, kind: 'volume', size: three(u.ml), package: false }, u.names, u.exact);
for (const [id, u] of Object.entries(units.mass))
  enter({ id, kind: 'mass', size: three(u.g), package: false }, u.names);
for (const [id, u] of Object.entries(units.count))
  enter({ id, kind: 'count', size: null, package: u.package ?? false }, u.names);
for (const [id, u] of Object.entries(units.vague))
  enter({ id, kind: 'vague', size: null, package: false }, u.names);

const longestFirst = [...byName.keys()].sort((a, b) => b.length - a.length);
/** Names of all units in lower case, as a pattern: the longest first. */
export const UNIT_PATTERN = longestFirst.map(escapePattern).join('|');
const NAME = new RegExp(`(?:${UNIT_PATTERN})(?![a-z])\\.?`, 'y');
const EXACT = new RegExp(
  `(?:${[...byExact.keys()]
    .sort((a, b) => b.length - a.length)
    .map(escapePattern)
    .join('|')})(?![A-Za-z'])\\.?`,
  'y',
);

/**
 * The unit whose name starts at a position.
 *
 * @param text lower case, for names; `written` is the same text as written, for "T" against "t".
 */
export function readUnit(text: string, written: string, at: number): { unit: Unit; end: number } | null {
  EXACT.lastIndex = at;
  const precise = EXACT.exec(written);
  if (precise) {
    const unit = byExact.get(precise[0].replace(/\.$/, ''));
    if (unit) return { unit, end: EXACT.lastIndex };
  }
  NAME.lastIndex = at;
  const found = NAME.exec(text);
  if (!found) return null;
  const unit = byName.get(found[0]) ?? byName.get(found[0].replace(/\.$/, ''));
  return unit ? { unit, end: NAME.lastIndex } : null;
}

/** Millilitres of one of a volume unit under the cook's settings. */
export function millilitres(unit: Unit, settings: MeasureSettings): readonly [number, number, number] | null {
  if (unit.kind !== 'volume') return null;
  if (unit.id === 'cup' && settings.cup === 'metric') return three(METRIC_CUP_ML);
  if (unit.id === 'tbsp' && settings.tablespoon === 'australian') return three(AUSTRALIAN_TABLESPOON_ML);
  return unit.size;
}

/** The factor words ("heaping", "about") at a position, and the sizes ("large"). */
type Factor = {
  readonly id: string;
  readonly factor: readonly [number, number, number];
  readonly why: string;
};
function matcher(entries: readonly (readonly [string, readonly string[], Factor])[]) {
  const map = new Map<string, Factor>();
  for (const [, names, factor] of entries) for (const name of names) map.set(name, factor);
  const pattern = new RegExp(
    `(?:${[...map.keys()]
      .sort((a, b) => b.length - a.length)
      .map(escapePattern)
      .join('|')})(?![a-z])`,
    'y',
  );
  return (text: string, at: number): { factor: Factor; end: number } | null => {
    pattern.lastIndex = at;
    const found = pattern.exec(text);
    const factor = found && map.get(found[0]);
    return factor ? { factor, end: pattern.lastIndex } : null;
  };
}
export const readModifier = matcher(
  Object.entries(VAGUE.modifiers).map(
    ([id, m]) => [id, m.names, { id, factor: m.factor, why: m.why }] as const,
  ),
);
export const readSize = matcher(
  Object.entries(VAGUE.sizes).map(
    ([id, s]) => [id, s.names, { id, factor: s.factor, why: `${id} one` }] as const,
  ),
);
