import type { MetadataRoute } from 'next';

/** Dulvet as an app of its own: opens recipes and kitchens as files, and takes text that another app shares. */
export default function manifest(): MetadataRoute.Manifest & Record<string, unknown> {
  return {
    name: 'Dulvet',
    short_name: 'Dulvet',
    description: 'Audits plant-based recipes against no-oil, low-salt, low-sugar limits',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    background_color: '#f3f5fa',
    theme_color: '#16265a',
    icons: [
      { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png', purpose: 'any' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
      { src: '/icon-512-full.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
    shortcuts: [
      { name: 'Shelf', url: '/shelf' },
      { name: 'Week', url: '/week' },
      { name: 'Stove', url: '/stove' },
    ],
    share_target: {
      action: '/',
      method: 'GET',
      params: { title: 'shared-title', text: 'shared', url: 'shared-url' },
    },
    file_handlers: [
      {
        action: '/shelf',
        accept: {
          'text/plain': ['.txt', '.cook'],
          'text/markdown': ['.md'],
          'application/json': ['.json'],
          'application/ld+json': ['.jsonld'],
          'text/html': ['.html', '.htm'],
        },
      },
    ],
    launch_handler: { client_mode: ['focus-existing', 'auto'] },
  };
}
