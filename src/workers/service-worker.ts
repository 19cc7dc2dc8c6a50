import { Serwist, type PrecacheEntry } from 'serwist';

declare const self: { readonly __SW_MANIFEST: (PrecacheEntry | string)[] };

/**
 * What was kept without the address it was kept under: a worker takes what it is to run from the address it was asked
 * for, behind the name of its file.
 */
const withoutAddress = ({ body, status, statusText, headers }: Response): Response =>
  new Response(body, { status, statusText, headers });

/**
 * Keeps every view, script, font and solver of one build after the first visit, so that all of Dulvet works without
 * network. A newer build is fetched beside it and waits until every tab is closed, or until the cook says so.
 * Requests of the API and of a view's data go to the network alone: where there is none, the view's page is opened
 * from here. `scripts/build-offline.mjs` writes the list of files in.
 */
new Serwist({
  precacheEntries: self.__SW_MANIFEST,
  precacheOptions: {
    cleanupOutdatedCaches: true,
    // "/?recipe=…" is the Bench; "/shelf?_rsc=…" is a view's data and no page
    ignoreURLParametersMatching: [/^(?!_rsc$)/],
    directoryIndex: null,
    plugins: [{ handlerWillRespond: ({ response }) => Promise.resolve(withoutAddress(response)) }],
  },
  skipWaiting: false,
  clientsClaim: true,
}).addEventListeners();
