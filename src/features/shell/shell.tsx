'use client';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useState, useSyncExternalStore, type ReactNode } from 'react';
import { Toaster } from 'sonner';
import { Key } from '@/ui/button';
import { allowSingleKeys, useKeys } from '@/ui/use-keys';
import { SettingsDialog } from './settings-dialog';
import { useSettings } from '@/kitchen/use-settings';
import { offeredKitchen, offerKitchen, subscribeOffered } from '@/kitchen/offered';
import { Files } from './files';
import { KeysDialog } from './keys-dialog';
import { InMemory, NoStorage, Trouble } from './storage';
import { useOffline } from './use-offline';
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

/** The frame of every view, once it is known whether the browser keeps anything. */
export function Shell({ children }: { children: ReactNode }) {
  const { state, tryAgain, goOn } = useStorage();
  if (state === null) return <p className="p-6 text-mute">Laying the table …</p>;
  if (!state.open) return <NoStorage why={state.why} onTryAgain={tryAgain} onGoOn={goOn} />;
  return (
    <Frame key={state.inMemory ? 'memory' : 'kept'} inMemory={state.inMemory}>
      {children}
    </Frame>
  );
}

/** The rim with its places, keys that work everywhere, notices. */
function Frame({ inMemory, children }: { inMemory: boolean; children: ReactNode }) {
  const path = usePathname();
  const router = useRouter();
  const [dialog, setDialog] = useState<'settings' | 'keys' | null>(null);
  const { singleKeys } = useSettings();
  const offered = useSyncExternalStore(subscribeOffered, offeredKitchen, () => null);
  useEffect(() => allowSingleKeys(singleKeys), [singleKeys]);
  useTheme();
  useOffline();
  useKeys({
    ...Object.fromEntries(VIEWS.map(({ href, key }) => [key, () => router.push(href)])),
    '?': () => setDialog('keys'),
    ',': () => setDialog('settings'),
  });
  return (
    <>
      <a
        href="#main"
        className="sr-only focus:not-sr-only focus:fixed focus:left-3 focus:top-3 focus:z-50 focus:bg-sheet focus:p-2"
      >
        To the content
      </a>
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
          <button
            type="button"
            onClick={() => setDialog('settings')}
            className="rounded-[7px] px-2.5 py-1.5 font-medium text-on-rim-soft hover:bg-white/10"
          >
            Settings
            <span className="hidden lg:inline">
              <Key>,</Key>
            </span>
          </button>
          <button
            type="button"
            onClick={() => setDialog('keys')}
            className="hidden rounded-[7px] px-2.5 py-1.5 font-medium text-on-rim-soft hover:bg-white/10 sm:block"
          >
            Keys
            <span className="hidden lg:inline">
              <Key>?</Key>
            </span>
          </button>
        </div>
      </header>
      {inMemory && <InMemory />}
      <Trouble />
      <main id="main" tabIndex={-1} className="mx-auto max-w-[1440px] px-2.5 py-3 outline-none sm:px-4">
        {children}
      </main>
      <Files />
      <SettingsDialog
        open={dialog === 'settings' || offered !== null}
        onOpenChange={(open) => {
          setDialog(open ? 'settings' : null);
          if (!open) offerKitchen(null);
        }}
        offered={offered}
      />
      <KeysDialog open={dialog === 'keys'} onOpenChange={(open) => setDialog(open ? 'keys' : null)} />
      <Toaster
        position="bottom-left"
        toastOptions={{
          style: {
            background: 'var(--sheet)',
            color: 'var(--ink)',
            border: '2px solid var(--rim)',
            borderRadius: 12,
            boxShadow: 'none',
            fontFamily: 'inherit',
          },
        }}
      />
    </>
  );
}
