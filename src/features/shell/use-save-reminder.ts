'use client';
import { useEffect } from 'react';
import { toast } from 'sonner';
import { database } from '@/data/db';
import { readSettings, setSetting } from '@/data/settings';

/** So many changes without a copy are worth a word, once a day at most. */
const MANY = 150;
const DAY = 24 * 60 * 60 * 1000;
const LOOK_EVERY_MS = 5 * 60 * 1000;

/** Writes copies into the cook's folder; else says, once a day, that much has changed since the last one. */
export function useSaveReminder(onSave: () => void): void {
  useEffect(() => {
    let told = false;
    const copy = async () => {
      const { copyFolder } = await readSettings(database());
      if (!copyFolder) return;
      const { copyIfChanged } = await import('@/data/copies');
      const copied = await copyIfChanged(database(), Date.now());
      if (copied === 'refused' && !told) {
        told = true;
        toast('The folder for copies must be allowed again.', {
          duration: 20_000,
          action: { label: 'Settings', onClick: onSave },
        });
      }
    };
    const look = async () => {
      await copy();
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
    // what is put away is copied before it may be gone
    const onHide = () => {
      if (document.visibilityState === 'hidden') void copy().catch(() => undefined);
    };
    document.addEventListener('visibilitychange', onHide);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', onHide);
    };
  }, [onSave]);
}
