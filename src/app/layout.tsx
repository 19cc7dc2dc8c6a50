import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/bricolage-grotesque/wght.css';
import { Shell } from '@/features/shell/shell';
import './globals.css';

export const metadata: Metadata = {
  title: 'Dulvet',
  description: 'Audits plant-based recipes against no-oil, low-salt, low-sugar limits',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1, themeColor: '#16265a' };

export default function Layout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <Shell>{children}</Shell>
      </body>
    </html>
  );
}
