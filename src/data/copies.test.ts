import 'fake-indexeddb/auto';
import { readArchive } from './archive';
import { copyIfChanged, copyName, writeCopy, type CopyFolder } from './copies';
import { DulvetDatabase } from './db';
import { newRecipe, saveRecipe } from './recipes';
import { readSettings, setSetting } from './settings';

const NOW = Date.UTC(2026, 10, 20, 9);
const DAY = 24 * 60 * 60 * 1000;
let n = 0;
const fresh = () => new DulvetDatabase(`copies-${(n += 1)}`);

/** A folder in memory; `allowed` is what the browser says of it. */
function folder(allowed?: string): CopyFolder & { readonly files: Map<string, string> } {
  const files = new Map<string, string>();
  return {
    name: 'Copies',
    files,
    getFileHandle: (name) =>
      Promise.resolve({
        createWritable: () => {
          let text = '';
          return Promise.resolve({
            write: (more: string) => Promise.resolve(void (text += more)),
            close: () => Promise.resolve(void files.set(name, text)),
          });
        },
      }),
    removeEntry: (name) => Promise.resolve(void files.delete(name)),
    async *keys() {
      yield* [...files.keys()];
    },
    ...(allowed === undefined ? {} : { queryPermission: () => Promise.resolve(allowed) }),
  };
}

test('a copy is the file that everything is saved to, and is read back', async () => {
  const db = fresh();
  await saveRecipe(db, newRecipe('Barley pot\nServes 2\n\n200 g barley', NOW));
  const copies = folder();
  expect(await writeCopy(db, copies, NOW)).toBe('dulvet-kitchen-2026-11-20.json');
  const back = readArchive(copies.files.get(copyName(NOW)) ?? '');
  expect(back.ok && back.archive.recipes.map((r) => r.text)).toEqual([
    'Barley pot\nServes 2\n\n200 g barley',
  ]);
  expect(await readSettings(db)).toMatchObject({ copiedAt: NOW, savedAt: NOW });
});

test('the last seven days are kept, and no other file is touched', async () => {
  const db = fresh();
  const copies = folder();
  copies.files.set('dulvet-kitchen.json', 'mine');
  for (let d = 0; d < 10; d += 1) await writeCopy(db, copies, NOW + d * DAY);
  expect([...copies.files.keys()].sort()).toEqual(
    [...Array.from({ length: 7 }, (_, d) => copyName(NOW + (d + 3) * DAY)), 'dulvet-kitchen.json'].sort(),
  );
});

test('where the browser no longer allows the folder nothing is written, and it is said', async () => {
  const db = fresh();
  expect(await copyIfChanged(db, NOW)).toBe('none');
  const refused = folder('prompt');
  jest.spyOn(db.settings, 'toArray').mockResolvedValue([{ key: 'copyFolder', value: refused }] as never);
  expect(await copyIfChanged(db, NOW)).toBe('refused');
  expect(refused.files.size).toBe(0);
});

test('nothing changed, nothing copied', async () => {
  const db = fresh();
  const copies = folder('granted');
  await setSetting(db, 'copiedAt', NOW);
  const rows = await db.settings.toArray();
  jest
    .spyOn(db.settings, 'toArray')
    .mockResolvedValue([...rows, { key: 'copyFolder', value: copies }] as never);
  expect(await copyIfChanged(db, NOW + DAY)).toBe('none');
  expect(copies.files.size).toBe(0);
});
