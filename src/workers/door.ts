import { wrap, type Remote } from 'comlink';

/** Said where a worker was stopped on purpose. */
export class Stopped extends Error {
  constructor() {
    super('stopped');
  }
}

/** Said where a worker could not be loaded, or broke: in a cook's words. */
export class WorkerFailed extends Error {
  constructor(detail: string) {
    super(
      `the part of Dulvet that works in the background could not be started${detail ? ` (${detail})` : ''}: reload the page, with the network on`,
    );
  }
}

/** A worker's door: started when first asked, started anew after it broke or was stopped; no question waits for ever. */
export interface Door<T> {
  readonly ask: <R>(question: (door: Remote<T>) => Promise<R>) => Promise<R>;
  readonly stop: () => void;
}

/** @param make starts the worker */
export function doorTo<T>(make: () => Worker): Door<T> {
  let open: { worker: Worker; door: Remote<T>; broken: Promise<never>; fail: (error: Error) => void } | null =
    null;
  const start = () => {
    let fail: (error: Error) => void = () => undefined;
    const broken = new Promise<never>((_, reject) => {
      fail = reject;
    });
    // nobody may be asking when it breaks
    broken.catch(() => undefined);
    const worker = make();
    const made = { worker, door: wrap<T>(worker), broken, fail };
    const onFailure = (event: Event) => {
      if (open === made) open = null;
      worker.terminate();
      fail(new WorkerFailed(event instanceof ErrorEvent ? event.message : ''));
    };
    worker.addEventListener('error', onFailure);
    worker.addEventListener('messageerror', onFailure);
    return made;
  };
  return {
    async ask(question) {
      try {
        open ??= start();
      } catch (error) {
        throw new WorkerFailed(error instanceof Error ? error.message : '');
      }
      const { door, broken } = open;
      return Promise.race([question(door), broken]);
    },
    stop() {
      const was = open;
      open = null;
      was?.worker.terminate();
      was?.fail(new Stopped());
    },
  };
}
