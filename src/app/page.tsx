import { Bench } from '@/features/bench/bench';

export const dynamic = 'force-dynamic';

/** The Bench: one recipe, audited and swapped. */
export default function Page() {
  return <Bench demo={process.env.DULVET_DEMO === '1'} />;
}
