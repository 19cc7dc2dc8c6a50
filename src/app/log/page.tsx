import { Log } from '@/features/log/log';

export const dynamic = 'force-dynamic';

/** The Log: what was cooked, and what was learnt. */
export default function Page() {
  return <Log demo={process.env.DULVET_DEMO === '1'} />;
}
