'use client';
import { useEffect } from 'react';
import { database } from '@/data/db';
import { seedDemo } from '@/data/demo';
import { LaySupper } from './lay-supper';
import { LiveSupper } from './live-supper';
import { useSupper } from './use-supper';

/** The Stove: what is for supper, then cooking it to the minute. */
export function Stove({ demo }: { demo: boolean }) {
  useEffect(() => {
    if (demo) void seedDemo(database(), Date.now());
  }, [demo]);
  const { supper, dishes, plan, why } = useSupper();
  if (supper === undefined) return <p className="p-6 text-mute">Lighting the stove …</p>;
  if (supper === null) return <LaySupper />;
  if (why)
    return (
      <p role="alert" className="p-6">
        The supper could not be planned: {why}.
      </p>
    );
  if (!plan) return <p className="p-6 text-mute">Planning backwards from the table …</p>;
  return <LiveSupper supper={supper} dishes={dishes} live={plan} />;
}
