'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import type { KeptRecipe } from '@/core/read/library';
import { database } from '@/data/db';
import { boxesAsKept, listBoxes, listCookings } from '@/data/log';

const NO_BOXES: KeptRecipe[] = [];

/** The boxes in the fridge and the freezer as what other dishes and meals may be made of. */
export const useBoxes = (): readonly KeptRecipe[] =>
  useLiveQuery(
    async () => boxesAsKept(await listBoxes(database()), await listCookings(database())),
    [],
    NO_BOXES,
  );
