import { LogView } from '../views';

export const dynamic = 'force-dynamic';

/** The Log: what was cooked, and what was learnt. */
export default function Page() {
  return <LogView demo={process.env.DULVET_DEMO === '1'} />;
}
