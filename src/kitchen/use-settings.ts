'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { database } from '@/data/db';
import { DEFAULT_SETTINGS, readSettings, type Settings } from '@/data/settings';

/** The cook's settings, as they are now; what holds by default until they are read. */
export const useSettings = (): Settings => useLiveQuery(() => readSettings(database()), [], DEFAULT_SETTINGS);
