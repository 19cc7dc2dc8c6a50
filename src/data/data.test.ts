import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { ArchiveSchema, exportArchive, readArchive } from './archive';
import { emptyKitchen, importArchive, undoImport } from './bring-in';
import { DulvetDatabase } from './db';
import { seedDemo } from './demo';
import { changeRecipe } from './edits';
import { listDiners, newDiner, removeDiner, saveDiner } from './diners';
import {
  emptyBin,
  getRecipe,
  listRecipes,
  listThrownAway,
  newRecipe,
  restoreRecipe,
  saveRecipe,
  takeIn,
  throwAway,
} from './recipes';
import {
  forget,
  listMeanings,
  listPackets,
  newPacket,
  remember,
  removePacket,
  restoreMeaning,
  savePacket,
} from './larder';
import { PROTOCOLS, type ProtocolSource } from '@/core/protocol';
import { copyOf, listProtocols, protocolFile, readProtocol, removeProtocol, saveProtocol } from './protocols';
import { DEFAULT_SETTINGS, PLACES, readSettings, setMeasure, setSetting } from './settings';

let name = 0;
const fresh = () => new DulvetDatabase(`test-${(name += 1)}`);

describe('recipes', () => {
  test('kept, thrown away, taken back, forgotten', async () => {
    const db = fresh();
    const recipe = newRecipe('Pot\n1 onion', 1000);
    await saveRecipe(db, recipe);
    expect(await listRecipes(db)).toEqual([recipe]);
    await throwAway(db, recipe.id, 2000);
    expect(await listRecipes(db)).toEqual([]);
    expect(await listThrownAway(db)).toHaveLength(1);
    await restoreRecipe(db, recipe.id);
    expect(await getRecipe(db, recipe.id)).toEqual({ ...recipe, rev: 2 });
    await throwAway(db, recipe.id, 3000);
    await emptyBin(db);
    expect(await getRecipe(db, recipe.id)).toBeUndefined();
  });
  test('the last touched first', async () => {
    const db = fresh();
    await saveRecipe(db, newRecipe('Old', 1));
    await saveRecipe(db, newRecipe('New', 2));
    expect((await listRecipes(db)).map((r) => r.text)).toEqual(['New', 'Old']);
  });
});

describe('migrations', () => {
  test('version 1 becomes the present one: nothing is lost, nothing is thrown away', async () => {
    const old = new Dexie('migrating');
    old.version(1).stores({ recipes: 'id, updatedAt', diners: 'id, order', settings: 'key' });
    await old.open();
    await old
      .table('recipes')
      .add({ id: 'a', text: 'Pot', role: null, servings: null, corrections: {}, createdAt: 1, updatedAt: 1 });
    await old.table('diners').add({ id: 'd', name: 'D', protocol: 'everyday', allergens: [], order: 0 });
    await old.table('settings').add({ key: 'theme', value: 'night' });
    old.close();
    const db = new DulvetDatabase('migrating');
    expect(await listRecipes(db)).toMatchObject([
      { id: 'a', text: 'Pot', deletedAt: null, potG: null, plateG: null, versionOf: null },
    ]);
    expect(await listDiners(db)).toMatchObject([{ id: 'd', dislikes: [], appetite: 1, medical: false }]);
    expect((await readSettings(db)).theme).toBe('night');
  });
});

describe('settings and diners', () => {
  test('defaults hold until something is set', async () => {
    const db = fresh();
    expect(await readSettings(db)).toEqual(DEFAULT_SETTINGS);
    // two tabs each change one of the measures: both hold
    await setMeasure(db, { cup: 'metric' });
    await setMeasure(db, { tablespoon: 'australian' });
    expect((await readSettings(db)).measures).toEqual({ cup: 'metric', tablespoon: 'australian' });
  });
  test('diners in their order', async () => {
    const db = fresh();
    await saveDiner(db, { ...newDiner('B', 'everyday', 1), id: 'b' });
    await saveDiner(db, { ...newDiner('A', 'everyday', 0), id: 'a', allergens: ['soy'] });
    expect((await listDiners(db)).map((d) => d.name)).toEqual(['A', 'B']);
    await removeDiner(db, 'a');
    expect(await listDiners(db)).toHaveLength(1);
  });
});

describe('the demo kitchen', () => {
  test('fills an empty database once', async () => {
    const db = fresh();
    const first = await seedDemo(db, 5_000_000);
    expect(first).not.toBeNull();
    expect((await listRecipes(db)).length).toBeGreaterThanOrEqual(6);
    expect(new Set((await listDiners(db)).map((d) => d.protocol)).size).toBe(3);
    expect((await listDiners(db)).some((d) => d.allergens.length > 0)).toBe(true);
    expect(await seedDemo(db, 6_000_000)).toBeNull();
  });
  test('leaves a kitchen with recipes alone', async () => {
    const db = fresh();
    await saveRecipe(db, newRecipe('Mine', 1));
    expect(await seedDemo(db, 2)).toBeNull();
    expect(await listRecipes(db)).toHaveLength(1);
  });
});

describe('the larder', () => {
  test('packets by name, put away and gone', async () => {
    const db = fresh();
    const packet = { ...newPacket('Zest'), label: 'per 100 g' };
    await savePacket(db, packet, 1);
    await savePacket(db, newPacket('Aubergine dip'), 2);
    expect((await listPackets(db)).map((p) => p.name)).toEqual(['Aubergine dip', 'Zest']);
    await removePacket(db, packet.id);
    expect(await listPackets(db)).toHaveLength(1);
  });
  test('words are remembered, changed, taken back and forgotten', async () => {
    const db = fresh();
    expect(await remember(db, 'hot stock', 'stock-nsa', 1)).toBeUndefined();
    const before = await remember(db, 'Stock', 'stock-salted', 2);
    expect(before?.foodId).toBe('stock-nsa');
    if (before) await restoreMeaning(db, before);
    expect((await listMeanings(db)).map((m) => m.foodId)).toEqual(['stock-nsa']);
    await forget(db, 'stock');
    expect(await listMeanings(db)).toEqual([]);
    expect(await remember(db, 'large', 'onion', 3)).toBeUndefined();
    expect(await listMeanings(db)).toEqual([]);
  });
});

describe('protocols of the cook’s own', () => {
  const source = PROTOCOLS[0]?.source as ProtocolSource;
  test('copied, kept, gone', async () => {
    const db = fresh();
    const copy = copyOf(source);
    expect(copy).toMatchObject({ based: 'heart-strict', name: 'Heart-strict, mine' });
    await saveProtocol(db, copy, 1);
    expect((await listProtocols(db)).map((p) => p.source)).toEqual([copy]);
    await removeProtocol(db, copy.id);
    expect(await listProtocols(db)).toEqual([]);
  });
  test('a file goes out and comes back the same', () => {
    const copy = copyOf(source);
    expect(readProtocol(protocolFile(copy))).toEqual({ ok: true, source: copy });
  });
  test.each<[string, string, RegExp]>([
    ['no JSON', '{', /not a JSON/],
    ['another file', '{"schema":"x"}', /schema/],
    [
      'an aim above its limit',
      protocolFile({ ...source, limits: source.limits.map((l) => ({ ...l, aim: l.limit + 1 })) }),
      /aim lies above/,
    ],
    ['a switch that is not there', protocolFile({ ...source, switches: { moon: 'full' } }), /no switch/],
  ])('refuses %s with the reason', (_, text, why) => {
    const reading = readProtocol(text);
    expect(reading.ok).toBe(false);
    if (!reading.ok) expect(reading.message).toMatch(why);
  });
});

describe('everything in one file', () => {
  test('goes out and comes back the same', async () => {
    const db = fresh();
    await seedDemo(db, 5_000_000);
    await saveRecipe(
      db,
      newRecipe('Mine\n1 cup chickpeas', 7, {
        servings: 3,
        role: 'side',
        corrections: { '1 cup chickpeas': { foodId: 'chickpeas-cooked', grams: 170 } },
      }),
    );
    await remember(db, 'stock', 'own-plain-stock', 9);
    await saveProtocol(db, copyOf(PROTOCOLS[0]?.source as ProtocolSource), 9);
    await setSetting(db, 'measures', { cup: 'metric', tablespoon: 'australian' });
    await setSetting(db, 'natural', true);
    const out = await exportArchive(db);
    expect(out.left).toEqual([]);
    const reading = readArchive(JSON.stringify(out.archive));
    if (!reading.ok) throw new Error(reading.message);
    const other = fresh();
    await importArchive(other, reading.archive, 'keep', 10);
    // what both have in common is remembered there, and nothing else is other
    const back = await exportArchive(other);
    const recipes = back.archive.recipes.map(({ shared: _, ...r }) => r);
    expect({ ...back, archive: { ...back.archive, recipes } }).toEqual(out);
    expect(back.archive.recipes.map((r) => r.shared?.text)).toEqual(recipes.map((r) => r.text));
  });

  test('every setting is in the file, but for places and states of this browser', () => {
    const inFile = Object.keys(ArchiveSchema.shape.settings.unwrap().shape);
    const all = Object.keys(DEFAULT_SETTINGS).filter((k) => !(PLACES as readonly string[]).includes(k));
    expect(inFile.sort()).toEqual(all.sort());
  });

  test('a recipe that cannot be written is named, and the rest is saved', async () => {
    const db = fresh();
    await saveRecipe(db, newRecipe('Good pot', 1, { id: 'good' }));
    await saveRecipe(db, newRecipe('Too many\n1 onion', 1, { id: 'bad', servings: 5000 }));
    // a clock before 1970 is no reason
    await saveRecipe(db, newRecipe('Old clock', -5000, { id: 'old' }));
    const { archive, left } = await exportArchive(db);
    expect(archive.recipes.map((r) => r.id).sort()).toEqual(['good', 'old']);
    expect(left).toEqual([{ what: 'recipes: Too many', why: expect.stringContaining('servings') }]);
    expect(readArchive(JSON.stringify(archive)).ok).toBe(true);
  });

  const good = {
    schema: 'dulvet.archive/1',
    recipes: [],
    diners: [],
    settings: { measures: { cup: 'us', tablespoon: 'us' }, theme: 'day' },
  };
  const recipe = {
    id: 'a',
    text: 'Pot',
    role: null,
    servings: null,
    corrections: {},
    createdAt: 1,
    updatedAt: 1,
    deletedAt: null,
  };
  test.each<[string, string, RegExp]>([
    ['no JSON', '{"schema": ', /not a JSON file/],
    ['another file', '{"hello": 1}', /schema/],
    ['a later version', JSON.stringify({ ...good, schema: 'dulvet.archive/9' }), /dulvet\.archive\/9/],
    [
      'a recipe without text',
      JSON.stringify({ ...good, recipes: [{ ...recipe, text: 7 }] }),
      /recipes \[1\] text/,
    ],
    [
      'servings of nothing',
      JSON.stringify({ ...good, recipes: [recipe, { ...recipe, id: 'b', servings: 0 }] }),
      /recipes \[2\] servings/,
    ],
    [
      'a field nobody knows',
      JSON.stringify({ ...good, recipes: [{ ...recipe, colour: 'red' }] }),
      /recipes \[1\]/,
    ],
    ['the same id twice', JSON.stringify({ ...good, recipes: [recipe, recipe] }), /twice/],
    [
      'a pot of nothing',
      JSON.stringify({ ...good, recipes: [{ ...recipe, potG: -1 }] }),
      /recipes \[1\] potG/,
    ],
    [
      'an allergy nobody knows',
      JSON.stringify({
        ...good,
        diners: [{ id: 'd', name: 'D', protocol: 'everyday', allergens: ['soya', 'moonlight'], order: 0 }],
      }),
      /diners \[1\] allergens \[2\]: “moonlight”/,
    ],
    [
      'a shipped protocol in another dress',
      JSON.stringify({
        ...good,
        protocols: [{ id: 'heart-strict', source: PROTOCOLS[0]?.source, updatedAt: 1 }],
      }),
      /protocols \[1\] id: “heart-strict” is a protocol that Dulvet ships/,
    ],
    [
      'a protocol under another id than its own',
      JSON.stringify({
        ...good,
        protocols: [{ id: 'own-a', source: { ...PROTOCOLS[0]?.source, id: 'own-b' }, updatedAt: 1 }],
      }),
      /protocols \[1\] source id/,
    ],
    [
      'a weight of infinity',
      JSON.stringify({ ...good, recipes: [{ ...recipe, corrections: { x: { grams: 1e300 } } }] }),
      /recipes \[1\] corrections x grams/,
    ],
    [
      'a packet with a foreign id',
      JSON.stringify({
        ...good,
        packets: [{ id: 'x', name: 'ab', names: [], label: '', like: null, updatedAt: 1 }],
      }),
      /packets \[1\] id/,
    ],
  ])('refuses %s, says where and why', (_, text, where) => {
    const reading = readArchive(text);
    expect(reading.ok).toBe(false);
    if (reading.ok) return;
    expect(reading.message).toMatch(where);
    expect(reading.message).toContain('Nothing was changed');
  });

  test('an import that fails half-way changes nothing', async () => {
    const db = fresh();
    await saveRecipe(db, newRecipe('Mine', 1, { id: 'mine' }));
    const bad = {
      ...good,
      recipes: [{ ...recipe }],
      diners: [
        { id: undefined as unknown as string, name: 'X', protocol: 'everyday', allergens: [], order: 0 },
      ],
    };
    await expect(
      importArchive(
        db,
        { packets: [], protocols: [], meanings: [], kitchen: [], swapUses: [], ...bad } as never,
        'keep',
        1,
      ),
    ).rejects.toThrow();
    expect((await listRecipes(db)).map((r) => r.text)).toEqual(['Mine']);
  });
});

test('the kitchen is emptied, and taken back whole', async () => {
  const db = fresh();
  await seedDemo(db, 1_000_000_000_000);
  const before = await exportArchive(db);
  const open = (await readSettings(db)).openRecipe;
  await emptyKitchen(db, 1_000_000_000_500);
  expect(await listRecipes(db)).toEqual([]);
  expect((await readSettings(db)).openRecipe).toBeNull();
  // the demo does not come back by itself
  expect(await seedDemo(db, 1_000_000_000_600)).toBeNull();
  expect(await undoImport(db, 1_000_000_000_700)).toBe(true);
  const after = await exportArchive(db);
  const plain = (a: typeof before) => ({
    ...a.archive,
    recipes: a.archive.recipes.map(({ updatedAt: _, ...r }) => r),
  });
  expect(plain(after)).toEqual(plain(before));
  expect((await readSettings(db)).openRecipe).toBe(open);
});

test('the words as first brought in outlive every edit, and its undo', async () => {
  const db = fresh();
  const [made] = await takeIn(db, ['First words\n\n1 onion'], 5);
  const id = made?.id ?? '';
  await changeRecipe(db, id, { text: 'First words\n\n2 onions' }, { now: 6 });
  await changeRecipe(db, id, { text: 'Other words\n\n2 onions' }, { now: 7 });
  expect((await getRecipe(db, id))?.original).toBe('First words\n\n1 onion');
  const { archive } = await exportArchive(db);
  expect(archive.recipes[0]?.original).toBe('First words\n\n1 onion');
});
