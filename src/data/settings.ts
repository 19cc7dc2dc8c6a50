import { ownMeasure } from '@/core/cook/hand';
import { US_MEASURES, type MeasureSettings } from '@/core/measure/units';
import type { CopyFolder } from './copies';
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
  /** True where single keys act: "N" for a new recipe. */
  readonly singleKeys: boolean;
  /** The cook's own goals a day for food groups, in the group's unit. */
  readonly goals: Readonly<Record<string, number>>;
  /** A recipe being written in the New recipe sheet, until it is taken in. */
  readonly draft: string;
  /** When everything was last saved to a file, and when the cook was last reminded of it; 0 for never. */
  readonly savedAt: number;
  readonly remindedAt: number;
  /** Where copies are written by themselves, and when the last one was; null and 0 for never. */
  readonly copyFolder: CopyFolder | null;
  readonly copiedAt: number;
}
export const DEFAULT_SETTINGS: Settings = {
  measures: US_MEASURES,
  theme: 'system',
  openRecipe: null,
  diner: null,
  seeded: false,
  natural: false,
  currency: '€',
  singleKeys: true,
  goals: {},
  draft: '',
  savedAt: 0,
  remindedAt: 0,
  copyFolder: null,
  copiedAt: 0,
};

/** What is a place or a state of this browser rather than a setting: not in the file that a kitchen is saved to. */
export const PLACES = [
  'openRecipe',
  'diner',
  'seeded',
  'savedAt',
  'remindedAt',
  'copyFolder',
  'copiedAt',
  'draft',
] as const satisfies readonly (keyof Settings)[];

export async function readSettings(db: DulvetDatabase): Promise<Settings> {
  const [rows, weighed] = await Promise.all([db.settings.toArray(), db.hand.toArray()]);
  const settings: Settings = {
    ...DEFAULT_SETTINGS,
    ...Object.fromEntries(rows.map((r) => [r.key, r.value])),
  };
  const hand = Object.fromEntries(
    weighed.flatMap(({ unit, ml }) => {
      const own = ownMeasure(ml);
      return own ? [[unit, [own.low, own.best, own.high] as const]] : [];
    }),
  );
  return weighed.length > 0 ? { ...settings, measures: { ...settings.measures, hand } } : settings;
}

/** Changes one of the measures; the other stays as it is kept. */
export const setMeasure = (db: DulvetDatabase, patch: Partial<MeasureSettings>): Promise<string> =>
  db.transaction('rw', db.settings, async () => {
    const kept = (await db.settings.get('measures'))?.value as MeasureSettings | undefined;
    return db.settings.put({ key: 'measures', value: { ...DEFAULT_SETTINGS.measures, ...kept, ...patch } });
  });

export const setSetting = <K extends keyof Settings>(
  db: DulvetDatabase,
  key: K,
  value: Settings[K],
): Promise<string> => db.settings.put({ key, value });
