'use client';
import { useEffect } from 'react';
import { toast } from 'sonner';
import { database } from '@/data/db';
import { readSettings, setSetting } from '@/data/settings';

/** So many changes without a copy are worth a word, once a day at most. */
const MANY = 150;
const DAY = 24 * 60 * 60 * 1000;
const LOOK_EVERY_MS = 5 * 60 * 1000;

/** Says, once a day, that much has changed since everything was last saved to a file. */
export function useSaveReminder(onSave: () => void): void {
  useEffect(() => {
    const look = async () => {
      const { savedAt, remindedAt } = await readSettings(database());
      const now = Date.now();
      if (now - remindedAt < DAY) return;
      // what an edit is checked by is no part of the frame
      const { changesSinceCopy } = await import('@/data/edits');
      const changes = await changesSinceCopy(database(), savedAt);
      if (changes < MANY) return;
      await setSetting(database(), 'remindedAt', now);
      toast(`${changes} changes since the last copy of your kitchen.`, {
        duration: 20_000,
        action: { label: 'Save to a file', onClick: onSave },
      });
    };
    const timer = setInterval(() => void look().catch(() => undefined), LOOK_EVERY_MS);
    return () => clearInterval(timer);
  }, [onSave]);
}
