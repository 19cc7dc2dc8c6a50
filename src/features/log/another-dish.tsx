'use client';
import { useRouter } from 'next/navigation';
import { ANOTHER } from '@/core/portion/another';
import { database } from '@/data/db';
import { newRecipe, saveRecipe } from '@/data/recipes';
import { keep } from '@/data/saving';

const NOTHING = '';

/** Leftovers as another dish: a recipe that holds them as a food, with all that is in them, opens on the Bench. */
export function AnotherDish({ name, grams }: { name: string; grams: number }) {
  const router = useRouter();
  const make = async (id: string) => {
    const another = ANOTHER.find((a) => a.id === id);
    if (!another) return;
    const recipe = newRecipe(another.recipe(name, grams), Date.now());
    const kept = await keep('the recipe', () => saveRecipe(database(), recipe));
    if (kept) router.push(`/?recipe=${recipe.id}`);
  };
  return (
    <select
      className="field max-w-[132px] py-0.5 text-[13px]"
      aria-label={`Make another dish of ${name}`}
      value={NOTHING}
      onChange={(e) => void make(e.target.value)}
    >
      <option value={NOTHING}>turn it into …</option>
      {ANOTHER.map((a) => (
        <option key={a.id} value={a.id}>
          {a.say}
        </option>
      ))}
    </select>
  );
}
