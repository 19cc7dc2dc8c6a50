'use client';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useCallback, useEffect, useState, useSyncExternalStore, type ReactNode } from 'react';
import { Toaster } from 'sonner';
import { Key } from '@/ui/button';
import { allowSingleKeys, useKeys } from '@/ui/use-keys';
import { useSettings } from '@/kitchen/use-settings';
import { offeredKitchen, offerKitchen, subscribeOffered } from '@/kitchen/offered';
import { InMemory, NoStorage, Trouble } from './storage';
import { useOffline } from './use-offline';
import { useSaveReminder } from './use-save-reminder';
import { useStorage } from './use-storage';
import { useTheme } from './use-theme';

const VIEWS = [
  { href: '/', name: 'Bench', key: '1' },
  { href: '/shelf', name: 'Shelf', key: '2' },
  { href: '/stove', name: 'Stove', key: '3' },
  { href: '/week', name: 'Week', key: '4' },
  { href: '/larder', name: 'Larder', key: '5' },
  { href: '/rules', name: 'Rules', key: '6' },
  { href: '/log', name: 'Log', key: '7' },
] as const;

const RIM_BUTTONS = [
  { opens: 'palette', name: 'Find', cap: 'Ctrl K', always: true },
  { opens: 'settings', name: 'Settings', cap: ',', always: true },
  { opens: 'guide', name: 'Help', cap: 'H', always: true },
  { opens: 'keys', name: 'Keys', cap: '?', always: false },
] as const;

/** The first view is drawn by then. */
const WHEN_IDLE_MS = 4000;

type Opened = 'settings' | 'keys' | 'palette' | 'guide' | null;

// sheets are fetched when they are opened first
const SettingsDialog = dynamic(() => import('./settings-dialog').then((m) => m.SettingsDialog), {
  ssr: false,
});
const KeysDialog = dynamic(() => import('./keys-dialog').then((m) => m.KeysDialog), { ssr: false });
const Guide = dynamic(() => import('./guide').then((m) => m.Guide), { ssr: false });
const Palette = dynamic(() => import('./palette').then((m) => m.Palette), { ssr: false });
const Files = dynamic(() => import('./files').then((m) => m.Files), { ssr: false });

/** The rim with its places: there before anything else, and the same in every state. */
function Rim({ onOpen }: { onOpen: (dialog: Opened) => void }) {
  const path = usePathname();
  return (
    <header className="no-print flex min-h-[46px] flex-wrap items-center gap-x-3 bg-rim-deep px-3 text-on-rim sm:flex-nowrap sm:gap-x-6 sm:px-5">
      <span className="font-head text-[21px] font-bold tracking-tight">Dulvet</span>
      <nav
        aria-label="Places"
        className="order-last -mx-1 flex w-full justify-between gap-0.5 overflow-x-auto pb-1.5 sm:order-none sm:mx-0 sm:w-auto sm:pb-0"
      >
        {VIEWS.map((view) => {
          const here = path === view.href;
          return (
            <Link
              key={view.href}
              href={view.href}
              aria-current={here ? 'page' : undefined}
              className={`flex items-center rounded-[7px] px-2 py-1.5 lg:px-3 ${here ? 'bg-white font-semibold text-[#16265a]' : 'font-medium text-on-rim-soft hover:bg-white/10'}`}
            >
              {view.name}
              <span className="hidden lg:inline">
                <Key>{view.key}</Key>
              </span>
            </Link>
          );
        })}
      </nav>
      <div className="ml-auto flex gap-1">
        {RIM_BUTTONS.map(({ opens, name, cap, always }) => (
          <button
            key={opens}
            type="button"
            onClick={() => onOpen(opens)}
            className={`rounded-[7px] px-2.5 py-1.5 font-medium text-on-rim-soft hover:bg-white/10 ${always ? '' : 'hidden sm:block'}`}
          >
            {name}
            <span className="hidden lg:inline">
              <Key>{cap}</Key>
            </span>
          </button>
        ))}
      </div>
    </header>
  );
}

/** The frame of every view; what stands in it, once it is known whether the browser keeps anything. */
export function Shell({ children }: { children: ReactNode }) {
  const { state, tryAgain, goOn } = useStorage();
  const [dialog, setDialog] = useState<Opened>(null);
  const kept = state?.open ?? false;
  return (
    <>
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:fixed focus:left-3 focus:top-3 focus:z-50 focus:bg-sheet focus:p-2"
      >
        To the content
      </a>
      <Rim onOpen={setDialog} />
      {state !== null && !state.open && <NoStorage why={state.why} onTryAgain={tryAgain} onGoOn={goOn} />}
      {(state === null || kept) && (
        <>
          {state && (
            <Everywhere
              key={state.inMemory ? 'memory' : 'kept'}
              inMemory={state.inMemory}
              dialog={dialog}
              onDialog={setDialog}
            />
          )}
          <main id="main" tabIndex={-1} className="mx-auto max-w-[1440px] px-2.5 py-3 outline-none sm:px-4">
            {state ? children : <p className="p-6 text-mute">Laying the table …</p>}
          </main>
        </>
      )}
    </>
  );
}

/** What works in every view: keys, notices, sheets over the page, files from outside. */
function Everywhere({
  inMemory,
  dialog,
  onDialog,
}: {
  inMemory: boolean;
  dialog: Opened;
  onDialog: (dialog: Opened) => void;
}) {
  const router = useRouter();
  const { singleKeys } = useSettings();
  const offered = useSyncExternalStore(subscribeOffered, offeredKitchen, () => null);
  // a sheet that is on its way takes the keys already
  useEffect(() => allowSingleKeys(singleKeys && dialog === null), [singleKeys, dialog]);
  // so that it opens at once when it is asked for
  useEffect(() => {
    const timer = setTimeout(() => void import('./palette').catch(() => undefined), WHEN_IDLE_MS);
    return () => clearTimeout(timer);
  }, []);
  useTheme();
  useOffline();
  const toSave = useCallback(() => onDialog('settings'), [onDialog]);
  useSaveReminder(toSave);
  useKeys({
    ...Object.fromEntries(VIEWS.map(({ href, key }) => [key, () => router.push(href)])),
    '?': () => onDialog('keys'),
    h: () => onDialog('guide'),
    ',': () => onDialog('settings'),
  });
  // the palette opens from a field too: nothing is typed with Control
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'k') return;
      event.preventDefault();
      onDialog('palette');
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [onDialog]);
  const shut = (open: boolean) => {
    if (!open) onDialog(null);
  };
  return (
    <>
      {inMemory && <InMemory />}
      <Trouble />
      <Files />
      {(dialog === 'settings' || offered !== null) && (
        <SettingsDialog
          open
          onOpenChange={(open) => {
            shut(open);
            if (!open) offerKitchen(null);
          }}
          offered={offered}
        />
      )}
      {dialog === 'guide' && <Guide onOpenChange={shut} onKeys={() => onDialog('keys')} />}
      {dialog === 'keys' && <KeysDialog open onOpenChange={shut} />}
      {dialog === 'palette' && <Palette views={VIEWS} onOpenChange={shut} onDialog={onDialog} />}
      <Toaster
        position="bottom-left"
        toastOptions={{
          style: {
            background: 'var(--sheet)',
            color: 'var(--ink)',
            border: '2px solid var(--rim)',
            borderRadius: 12,
            boxShadow: 'none',
            fontFamily: 'var(--font-body)',
            fontSize: 15,
          },
          actionButtonStyle: {
            background: 'var(--ink)',
            color: 'var(--sheet)',
            borderRadius: 8,
            height: 32,
            fontSize: 14,
          },
        }}
      />
    </>
  );
}
