import { US_MEASURES, type MeasureSettings } from '@/core/measure/units';
import type { DulvetDatabase } from './db';

export type Theme = 'system' | 'day' | 'night';

/** What the cook set, with what holds until she does. */
export interface Settings {
  readonly measures: MeasureSettings;
  readonly theme: Theme;
  readonly openRecipe: string | null;
  readonly diner: string | null;
  readonly seeded: boolean;
  /** True where figures also vary as nature does. */
  readonly natural: boolean;
  /** The sign before money. */
  readonly currency: string;
}
export const DEFAULT_SETTINGS: Settings = {
  measures: US_MEASURES,
  theme: 'system',
  openRecipe: null,
  diner: null,
  seeded: false,
  natural: false,
  currency: '€',
};

export async function readSettings(db: DulvetDatabase): Promise<Settings> {
  const rows = await db.settings.toArray();
  return { ...DEFAULT_SETTINGS, ...Object.fromEntries(rows.map((r) => [r.key, r.value])) };
}

export const setSetting = <K extends keyof Settings>(
  db: DulvetDatabase,
  key: K,
  value: Settings[K],
): Promise<string> => db.settings.put({ key, value });
