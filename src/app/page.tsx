import { BenchView } from './views';

export const dynamic = 'force-dynamic';

/** The Bench: one recipe, audited and swapped. */
export default function Page() {
  return <BenchView demo={process.env.DULVET_DEMO === '1'} />;
}
