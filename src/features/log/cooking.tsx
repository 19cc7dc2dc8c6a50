'use client';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { learntFrom } from '@/core/log/learnt';
import { isGrams } from '@/core/recipe/limits';
import { database, type StoredCooking, type StoredWord } from '@/data/db';
import { changeCooking, newBox, removeCooking, saveBox, saveCooking } from '@/data/log';
import { getRecipe, newRecipe, saveRecipe } from '@/data/recipes';
import { keep } from '@/data/saving';
import { useDiners } from '@/kitchen/use-table';
import { Button } from '@/ui/button';
import { GramsField } from '@/ui/grams-field';
import { Marked } from '@/ui/marked';
import { Toggle } from '@/ui/toggle';
import { Plates } from './plates';
import { VersionTree } from './version-tree';
import { day } from './when';

const SAYS = [
  'again',
  'bland',
  'sharp',
  'too salty',
  'too sweet',
  'too thick',
  'too thin',
  'good texture',
] as const;
const MOST_PHOTO_BYTES = 5_000_000;

/** One cooking: what was done and added, what each eater said, boxes, a picture, and how its versions moved. */
export function CookingPage({ cooking, all }: { cooking: StoredCooking; all: readonly StoredCooking[] }) {
  const router = useRouter();
  const diners = useDiners();
  const [grams, setGrams] = useState('');
  const [place, setPlace] = useState<'fridge' | 'freezer'>('fridge');
  const same = useMemo(() => all.filter((c) => c.recipeId === cooking.recipeId), [all, cooking.recipeId]);
  const learnt = useMemo(() => learntFrom(same), [same]);
  const say = (patch: Partial<StoredCooking>) =>
    void keep('the Log', () => changeCooking(database(), cooking.id, patch, Date.now()));
  const wordOf = (name: string): StoredWord =>
    cooking.words.find((w) => w.name === name) ?? { name, liked: 0, says: [] };
  const put = (word: StoredWord) =>
    say({
      words: [
        ...cooking.words.filter((w) => w.name !== word.name),
        ...(word.liked === 0 && word.says.length === 0 ? [] : [word]),
      ],
    });
  const remove = async () => {
    const was = await keep('the Log', () => removeCooking(database(), cooking.id));
    if (was)
      toast(`“${was.title}” is out of the Log.`, {
        action: { label: 'Undo', onClick: () => void keep('the Log', () => saveCooking(database(), was)) },
      });
  };
  const asVersion = async () => {
    const parent = await getRecipe(database(), cooking.recipeId);
    const version = newRecipe(cooking.after, Date.now(), {
      versionOf: parent ? (parent.versionOf ?? parent.id) : null,
      role: parent?.role ?? null,
    });
    const kept = await keep('the version', () => saveRecipe(database(), version));
    if (kept) router.push(`/?recipe=${kept}`);
  };
  const box = () => {
    const g = Number(grams);
    if (!isGrams(g)) return;
    void keep('the box', () =>
      saveBox(database(), newBox(cooking.title, g, place, cooking.id, Date.now())),
    ).then((kept) => kept && setGrams(''));
  };
  const photo = (file: File | undefined) => {
    if (!file) return;
    if (!file.type.startsWith('image/') || file.size > MOST_PHOTO_BYTES) {
      toast('A picture of at most 5 MB can be kept.');
      return;
    }
    const reader = new FileReader();
    reader.onload = () => say({ photo: String(reader.result) });
    reader.readAsDataURL(file);
  };
  return (
    <div className="grid min-w-0 gap-2.5">
      <section className="sheet min-w-0 px-4 py-3.5" aria-label={cooking.title}>
        <div className="flex flex-wrap items-start justify-between gap-2">
          <div className="min-w-0">
            <h2 className="text-[21px] font-semibold leading-tight [overflow-wrap:anywhere]">
              {cooking.title}
            </h2>
            <p className="text-mute">
              {day(cooking.cookedAt)}
              {cooking.times !== 1 && ` · made ${cooking.times} times`}
              {cooking.tookMinutes !== null && ` · took ${cooking.tookMinutes} min`}
            </p>
          </div>
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => router.push(`/?recipe=${cooking.recipeId}`)}>On the Bench</Button>
            <Button onClick={() => void asVersion()} disabled={cooking.after === cooking.text}>
              Keep as a version
            </Button>
            <Button look="plain" onClick={() => void remove()}>
              Remove
            </Button>
          </div>
        </div>
        {cooking.added.length > 0 && (
          <p className="mt-2">
            Added at the stove: <strong>{cooking.added.join(', ')}</strong>.
          </p>
        )}
        <h3 className="mt-3 text-[15px] font-semibold">What they said</h3>
        <ul className="divide-y divide-hair/60">
          {diners.map((d) => {
            const word = wordOf(d.name);
            return (
              <li key={d.id} className="flex flex-wrap items-center gap-1.5 py-1.5">
                <span className="w-[76px] flex-none truncate font-semibold">{d.name}</span>
                <Toggle
                  pressed={word.liked === 1}
                  onPress={() => put({ ...word, liked: word.liked === 1 ? 0 : 1 })}
                >
                  liked it
                </Toggle>
                <Toggle
                  pressed={word.liked === -1}
                  onPress={() => put({ ...word, liked: word.liked === -1 ? 0 : -1 })}
                >
                  did not
                </Toggle>
                {SAYS.map((s) => (
                  <Toggle
                    key={s}
                    pressed={word.says.includes(s)}
                    onPress={() =>
                      put({
                        ...word,
                        says: word.says.includes(s) ? word.says.filter((x) => x !== s) : [...word.says, s],
                      })
                    }
                  >
                    {s}
                  </Toggle>
                ))}
              </li>
            );
          })}
        </ul>
        <label className="mt-3 block text-[13px] text-mute">
          Notes
          <textarea
            className="field mt-0.5 block min-h-[72px] w-full text-[14px] text-ink"
            defaultValue={cooking.note}
            onChange={(e) => say({ note: e.target.value })}
          />
        </label>
        <div className="mt-3 flex flex-wrap items-end gap-2">
          <GramsField label="What is left, g" value={grams} onValue={setGrams} />
          <select
            className="field"
            aria-label="Where it is kept"
            value={place}
            onChange={(e) => setPlace(e.target.value as 'fridge' | 'freezer')}
          >
            <option value="fridge">fridge</option>
            <option value="freezer">freezer</option>
          </select>
          <Button onClick={box} disabled={!isGrams(Number(grams))}>
            Box it
          </Button>
          <label className="ml-auto inline-flex min-h-8 cursor-pointer items-center rounded-lg border-[1.5px] border-rim px-3 py-1 font-semibold text-rim hover:bg-pick">
            {cooking.photo ? 'Another picture' : 'A picture'}
            <input
              type="file"
              accept="image/*"
              className="sr-only"
              onChange={(e) => photo(e.target.files?.[0])}
            />
          </label>
          {cooking.photo && (
            <Button look="plain" onClick={() => say({ photo: null })}>
              Without it
            </Button>
          )}
        </div>
        {cooking.photo && (
          // eslint-disable-next-line @next/next/no-img-element
          <img
            src={cooking.photo}
            alt={`${cooking.title}, as it was`}
            className="mt-3 max-h-[320px] rounded-lg border-2 border-rim"
          />
        )}
      </section>
      {learnt.times > 1 && (
        <section className="sheet px-4 py-3" aria-label="What was learnt">
          <h2 className="text-[17px] font-semibold leading-tight">Learnt from {learnt.times} cookings</h2>
          <ul className="mt-1 list-disc pl-5">
            {learnt.minutes && (
              <li>
                It takes {learnt.minutes[0]}–{learnt.minutes[2]} min here, {learnt.minutes[1]} as a rule.
              </li>
            )}
            {learnt.added.slice(0, 3).map((a) => (
              <li key={a.text}>
                “{a.text}” was added {a.times === 1 ? 'once' : `${a.times} times`}: write it into the recipe,
                or leave it.
              </li>
            ))}
            {learnt.liked + learnt.disliked > 0 && (
              <li>
                Liked {learnt.liked} times of {learnt.liked + learnt.disliked}
                {learnt.said.length > 0 && `; said: ${learnt.said.map((s) => s.text).join(', ')}`}.
              </li>
            )}
          </ul>
        </section>
      )}
      <Plates cooking={cooking} />
      <VersionTree recipeId={cooking.recipeId} />
      {cooking.after !== cooking.text && (
        <details className="sheet px-4 py-3">
          <summary className="text-[17px] font-semibold [font-family:var(--font-head)]">
            What changed at the stove
          </summary>
          <div className="mt-2">
            <Marked before={cooking.text} after={cooking.after} />
          </div>
        </details>
      )}
    </div>
  );
}
