import { StoveView } from '../views';

export const dynamic = 'force-dynamic';

/** The Stove: cook it, time it, taste it. */
export default function Page() {
  return <StoveView demo={process.env.DULVET_DEMO === '1'} />;
}
