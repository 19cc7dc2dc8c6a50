'use client';
import { useCallback } from 'react';
import { toast } from 'sonner';
import { database } from '@/data/db';
import { throwAwayAll } from '@/data/recipes';
import { keep } from '@/data/saving';
import { offerKitchen, sayNotBroughtIn } from './offered';
import { takeFiles } from './take-files';

const ID = 'files';
const recipes = (n: number) => (n === 1 ? 'One recipe' : `${n} recipes`);

/** Brings files in, whatever opened them, and says how it goes: how far it is, what is in, what was refused and why. */
export function useTakeFiles(): (files: readonly File[]) => Promise<readonly string[]> {
  return useCallback(async (files) => {
    if (files.length === 0) return [];
    const stop = new AbortController();
    const told = (done: number) => {
      if (files.length > 1)
        toast.loading(`${done} of ${files.length} files read …`, {
          id: ID,
          action: { label: 'Stop', onClick: () => stop.abort() },
        });
    };
    told(0);
    try {
      const { ids, refused, archive } = await takeFiles(files, told, stop.signal);
      if (archive) offerKitchen(archive);
      if (refused.length > 0) sayNotBroughtIn(refused);
      if (ids.length > 0)
        toast.success(`${recipes(ids.length)} put on the Shelf.`, {
          id: ID,
          action: {
            label: 'Undo',
            onClick: () => void keep('the shelf', () => throwAwayAll(database(), ids, Date.now())),
          },
        });
      else toast.dismiss(ID);
      return ids;
    } catch (error) {
      toast.error(`The files were not brought in: ${error instanceof Error ? error.message : 'unknown'}.`, {
        id: ID,
      });
      return [];
    }
  }, []);
}
