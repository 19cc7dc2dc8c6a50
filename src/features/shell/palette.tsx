'use client';
import { Command } from 'cmdk';
import { useLiveQuery } from 'dexie-react-hooks';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { shownTitle } from '@/core/recipe/title';
import { database } from '@/data/db';
import { listRecipes } from '@/data/recipes';
import { setSetting } from '@/data/settings';
import { Dialog } from '@/ui/dialog';
import { askLibrary } from '@/workers/library';

/** So many of a kind are shown; more words find the rest. */
const SHOWN = 7;
const ITEM =
  'flex min-h-10 cursor-pointer items-center justify-between gap-3 rounded-[7px] px-3 py-1 data-[selected=true]:bg-pick';
const HEADING =
  '[&_[cmdk-group-heading]]:px-3 [&_[cmdk-group-heading]]:pb-0.5 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-[12.5px] [&_[cmdk-group-heading]]:text-mute';

/** True where all words of a search stand in some words, in any order. */
const has = (words: string, sought: readonly string[]): boolean => {
  const lower = words.toLowerCase();
  return sought.every((w) => lower.includes(w));
};

/** Search everywhere: a recipe, a food, a view, an action; all of it with the keys alone. */
export function Palette({
  views,
  onOpenChange,
  onDialog,
}: {
  views: readonly { readonly href: string; readonly name: string }[];
  onOpenChange: (open: boolean) => void;
  onDialog: (dialog: 'settings' | 'keys' | 'guide' | null) => void;
}) {
  const router = useRouter();
  const [words, setWords] = useState('');
  const recipes = useLiveQuery(() => listRecipes(database()), [], []);
  const named = useMemo(() => recipes.map((r) => ({ id: r.id, title: shownTitle(r.text) })), [recipes]);
  const [foods, setFoods] = useState<readonly { id: string; name: string }[]>([]);
  const plain = words.trim().toLowerCase();
  useEffect(() => {
    if (plain.length < 2) return;
    let current = true;
    askLibrary((door) => door.foods(plain, SHOWN)).then(
      (found) => {
        if (current) setFoods(found);
      },
      () => undefined,
    );
    return () => {
      current = false;
    };
  }, [plain]);
  const sought = plain.split(/\s+/).filter(Boolean);
  const go = (href: string) => {
    onOpenChange(false);
    router.push(href);
  };
  const actions = [
    {
      name: 'New recipe',
      run: () => void setSetting(database(), 'openRecipe', null).then(() => go('/')),
    },
    { name: 'Settings: cups, light, everything in one file', run: () => onDialog('settings') },
    { name: 'How to read this', run: () => onDialog('guide') },
    { name: 'Keys', run: () => onDialog('keys') },
    {
      name: 'Print this page',
      run: () => {
        onOpenChange(false);
        setTimeout(() => window.print(), 0);
      },
    },
  ].filter((a) => has(a.name, sought));
  const places = views.filter((v) => has(v.name, sought));
  const found = named.filter((r) => has(r.title, sought)).slice(0, SHOWN);
  const group = (heading: string, items: readonly { key: string; name: string; run: () => void }[]) =>
    items.length > 0 && (
      <Command.Group heading={heading} className={HEADING}>
        {items.map(({ key, name, run }) => (
          <Command.Item key={key} value={key} onSelect={run} className={ITEM}>
            <span className="[overflow-wrap:anywhere]">{name}</span>
          </Command.Item>
        ))}
      </Command.Group>
    );
  return (
    <Dialog open onOpenChange={onOpenChange} title="Find">
      <Command shouldFilter={false} loop label="Find a recipe, a food, a place, an action">
        <Command.Input
          autoFocus
          value={words}
          onValueChange={setWords}
          placeholder="A recipe, a food, a place, an action"
          className="field w-full text-[16px]"
        />
        <Command.List className="mt-2 h-[min(52dvh,420px)] overflow-y-auto">
          <Command.Empty className="px-3 py-4 text-mute">Nothing here is called that.</Command.Empty>
          {group(
            'Recipes',
            found.map((r) => ({ key: `recipe ${r.id}`, name: r.title, run: () => go(`/?recipe=${r.id}`) })),
          )}
          {group(
            'Foods',
            (plain.length < 2 ? [] : foods).map((f) => ({
              key: `food ${f.id}`,
              name: f.name,
              run: () => go(`/larder?food=${encodeURIComponent(f.id)}`),
            })),
          )}
          {group(
            'Places',
            places.map((v) => ({ key: `place ${v.href}`, name: v.name, run: () => go(v.href) })),
          )}
          {group(
            'Actions',
            actions.map((a) => ({ key: `action ${a.name}`, ...a })),
          )}
        </Command.List>
      </Command>
    </Dialog>
  );
}
