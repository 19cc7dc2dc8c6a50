'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { notBroughtIn, sayNotBroughtIn, subscribeOffered } from '@/kitchen/offered';
import { useTakeFiles } from '@/kitchen/use-take-files';
import { Dialog } from '@/ui/dialog';

interface LaunchQueue {
  setConsumer: (consumer: (launched: { files: readonly { getFile: () => Promise<File> }[] }) => void) => void;
}

const NONE: readonly never[] = [];
const hasFiles = (event: DragEvent) => event.dataTransfer?.types.includes('Files') ?? false;

/**
 * Files that come from outside: dropped anywhere on the page, opened with Dulvet from the device, or text that another
 * app shares. One recipe opens on the Bench, several go on the Shelf; what was refused is named.
 */
export function Files() {
  const router = useRouter();
  const take = useTakeFiles();
  const [over, setOver] = useState(false);
  const refused = useSyncExternalStore(subscribeOffered, notBroughtIn, () => NONE);
  useEffect(() => {
    const bring = async (files: readonly File[]) => {
      const ids = await take(files);
      if (ids.length === 1) router.push(`/?recipe=${ids[0] ?? ''}`);
      else if (ids.length > 1) router.push('/shelf');
    };
    const onOver = (event: DragEvent) => {
      if (!hasFiles(event)) return;
      event.preventDefault();
      setOver(true);
    };
    const onLeave = (event: DragEvent) => {
      if (event.relatedTarget === null) setOver(false);
    };
    const onDrop = (event: DragEvent) => {
      if (!hasFiles(event)) return;
      event.preventDefault();
      setOver(false);
      void bring([...(event.dataTransfer?.files ?? [])]);
    };
    window.addEventListener('dragover', onOver);
    window.addEventListener('dragleave', onLeave);
    window.addEventListener('drop', onDrop);
    const { launchQueue } = window as { launchQueue?: LaunchQueue };
    launchQueue?.setConsumer(({ files }) => {
      if (files.length > 0) void Promise.all(files.map((f) => f.getFile())).then(bring);
    });
    // text that another app shares comes in the address, and leaves it again
    const { searchParams, pathname } = new URL(location.href);
    const shared = ['shared-title', 'shared', 'shared-url'].flatMap((name) => searchParams.get(name) ?? []);
    if (shared.length > 0) {
      history.replaceState(null, '', pathname);
      void bring([new File([shared.join('\n')], 'shared.txt', { type: 'text/plain' })]);
    }
    return () => {
      window.removeEventListener('dragover', onOver);
      window.removeEventListener('dragleave', onLeave);
      window.removeEventListener('drop', onDrop);
    };
  }, [router, take]);
  return (
    <>
      {over && (
        <p
          role="status"
          className="pointer-events-none fixed inset-3 z-50 grid place-items-center rounded-[18px] border-4 border-dashed border-rim bg-sheet/90 text-[21px] font-semibold"
        >
          Let go: recipes go on the Shelf
        </p>
      )}
      <Dialog
        open={refused.length > 0}
        onOpenChange={(open) => {
          if (!open) sayNotBroughtIn([]);
        }}
        title={
          refused.length === 1 ? 'One file was not brought in' : `${refused.length} files were not brought in`
        }
        says="Nothing of them is kept; everything else is as it was."
      >
        <ul className="max-h-[60dvh] space-y-1.5 overflow-y-auto">
          {refused.map((file, i) => (
            <li key={i} className="[overflow-wrap:anywhere]">
              <b className="font-semibold">{file.name}</b>: {file.why}
            </li>
          ))}
        </ul>
      </Dialog>
    </>
  );
}
