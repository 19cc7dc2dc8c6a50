'use client';
import { useSearchParams } from 'next/navigation';
import { Suspense, useEffect, useState } from 'react';
import { database } from '@/data/db';
import { seedDemo } from '@/data/demo';
import { getRecipe } from '@/data/recipes';
import { setSetting } from '@/data/settings';
import { useSettings } from '@/kitchen/use-settings';
import { OpenRecipe } from './open-recipe';

/** The Bench: read, audit and swap one recipe. */
export function Bench({ demo }: { demo: boolean }) {
  return (
    <Suspense>
      <BenchInner demo={demo} />
    </Suspense>
  );
}

function BenchInner({ demo }: { demo: boolean }) {
  const asked = useSearchParams().get('recipe');
  const settings = useSettings();
  const [seeded, setSeeded] = useState(!demo);
  useEffect(() => {
    if (demo) void seedDemo(database(), Date.now()).finally(() => setSeeded(true));
  }, [demo]);
  const id = seeded ? (asked ?? settings.openRecipe) : null;
  useEffect(() => {
    // a link to nothing is not remembered
    if (asked && seeded)
      void getRecipe(database(), asked).then((found) =>
        found ? setSetting(database(), 'openRecipe', asked) : undefined,
      );
  }, [asked, seeded]);
  if (!seeded) return <p className="p-6 text-mute">Laying the table …</p>;
  return <OpenRecipe key={id ?? 'none'} id={id} />;
}
