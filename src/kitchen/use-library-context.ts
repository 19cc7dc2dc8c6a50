'use client';
import { useMemo } from 'react';
import { plainPackets } from '@/workers/library';
import type { LibraryContext } from '@/workers/larder';
import { useLarder } from './use-larder';
import { useSettings } from './use-settings';

/** What the library's worker reads recipes with. */
export function useLibraryContext(): LibraryContext {
  const { measures, natural } = useSettings();
  const { packets, byWords } = useLarder();
  return useMemo(
    () => ({ measures, natural, packets: plainPackets(packets), meanings: byWords }),
    [measures, natural, packets, byWords],
  );
}
