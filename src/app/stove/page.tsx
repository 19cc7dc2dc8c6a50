import { Stove } from '@/features/stove/stove';

export const dynamic = 'force-dynamic';

/** The Stove: cook it, time it, taste it. */
export default function Page() {
  return <Stove demo={process.env.DULVET_DEMO === '1'} />;
}
