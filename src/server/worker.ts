import { work } from './work';

/** What a worker thread does; bundled by `scripts/build-server.mjs`. */
export default work;
