'use client';
import { toast } from 'sonner';
import type { CopyFolder } from '@/data/copies';
import { database } from '@/data/db';
import { keep } from '@/data/saving';
import { setSetting } from '@/data/settings';
import { useSettings } from '@/kitchen/use-settings';
import { Button } from '@/ui/button';

interface WithPicker {
  readonly showDirectoryPicker?: (options: { mode: 'readwrite'; id: string }) => Promise<CopyFolder>;
}

const time = (at: number) =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'long', hour: '2-digit', minute: '2-digit' }).format(
    new Date(at),
  );

/** Copies that are written by themselves into a folder of the cook's, where the browser can. */
export function Copies() {
  const { copyFolder, copiedAt } = useSettings();
  const picker = (window as unknown as WithPicker).showDirectoryPicker;
  if (!picker && !copyFolder) return null;
  const copy = async (folder: CopyFolder) => {
    const { writeCopy } = await import('@/data/copies');
    const name = await keep('the copy', () => writeCopy(database(), folder, Date.now()));
    if (name) toast(`“${name}” stands in ${folder.name}.`);
  };
  const choose = async () => {
    // a picker that is closed again has chosen nothing
    const folder = await picker?.call(window, { mode: 'readwrite', id: 'dulvet' }).catch(() => null);
    if (!folder) return;
    await keep('the setting', () => setSetting(database(), 'copyFolder', folder));
    await copy(folder);
  };
  const again = async (folder: CopyFolder) => {
    const allowed = (await folder.requestPermission?.({ mode: 'readwrite' })) ?? 'granted';
    if (allowed === 'granted') await copy(folder);
  };
  return (
    <section className="mb-4">
      <h3 className="mb-1 font-semibold">Copies by themselves</h3>
      <p className="mb-2 text-mute">
        {copyFolder
          ? `Into ${copyFolder.name}, a file a day, whenever something changed; the last seven days are kept.${copiedAt > 0 ? ` The last one: ${time(copiedAt)}.` : ''}`
          : 'A file a day into a folder of yours, whenever something changed; the last seven days are kept.'}
      </p>
      <div className="flex flex-wrap gap-2">
        {copyFolder ? (
          <>
            <Button onClick={() => void again(copyFolder)}>Copy now</Button>
            <Button
              look="plain"
              onClick={() => void keep('the setting', () => setSetting(database(), 'copyFolder', null))}
            >
              No more copies
            </Button>
          </>
        ) : (
          <Button onClick={() => void choose()}>Choose a folder</Button>
        )}
      </div>
    </section>
  );
}
