import { exportArchive } from './archive';
import type { DulvetDatabase } from './db';
import { changesSinceCopy } from './edits';
import { readSettings, setSetting } from './settings';

/** What is used of a folder that the cook chose (File System Access). */
export interface CopyFolder {
  readonly name: string;
  readonly getFileHandle: (
    name: string,
    options: { create: boolean },
  ) => Promise<{
    createWritable: () => Promise<{ write: (text: string) => Promise<void>; close: () => Promise<void> }>;
  }>;
  readonly removeEntry: (name: string) => Promise<void>;
  readonly keys: () => AsyncIterable<string>;
  readonly queryPermission?: (mode: { mode: 'readwrite' }) => Promise<string>;
  readonly requestPermission?: (mode: { mode: 'readwrite' }) => Promise<string>;
}

/** Days of which a copy is kept. */
const DAYS_KEPT = 7;
const NAME = /^dulvet-kitchen-\d{4}-\d{2}-\d{2}\.json$/;

/** The file of a day: copies of one day are one file. */
export const copyName = (now: number): string =>
  `dulvet-kitchen-${new Date(now).toISOString().slice(0, 10)}.json`;

/**
 * Writes everything into the folder, as the file that "Save to a file" gives, and takes away copies older than the last
 * seven. A copy that cannot be written whole leaves the one before as it was: a writable file takes its place on closing.
 *
 * @returns the file's name
 * @throws where the browser refuses the folder
 */
export async function writeCopy(db: DulvetDatabase, folder: CopyFolder, now: number): Promise<string> {
  const { archive } = await exportArchive(db);
  const name = copyName(now);
  const file = await (await folder.getFileHandle(name, { create: true })).createWritable();
  await file.write(JSON.stringify(archive, null, 2));
  await file.close();
  const copies: string[] = [];
  for await (const entry of folder.keys()) if (NAME.test(entry)) copies.push(entry);
  for (const old of copies.sort().slice(0, -DAYS_KEPT)) await folder.removeEntry(old);
  await setSetting(db, 'copiedAt', now);
  await setSetting(db, 'savedAt', now);
  return name;
}

/** What became of a copy that was looked for: written, not needed, or the folder must be allowed again. */
export type Copied = 'written' | 'none' | 'refused';

/** A copy where a folder is chosen and something has changed since the last one. */
export async function copyIfChanged(db: DulvetDatabase, now: number): Promise<Copied> {
  const { copyFolder, copiedAt } = await readSettings(db);
  if (!copyFolder) return 'none';
  if (copiedAt > 0 && (await changesSinceCopy(db, copiedAt)) === 0) return 'none';
  const allowed = await copyFolder.queryPermission?.({ mode: 'readwrite' });
  if (allowed !== undefined && allowed !== 'granted') return 'refused';
  await writeCopy(db, copyFolder, now);
  return 'written';
}
