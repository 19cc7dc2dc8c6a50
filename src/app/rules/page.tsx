import { Rules } from '@/features/rules/rules';

export const dynamic = 'force-dynamic';

/** The Rules: protocols side by side, the cook's own, and who is at the table. */
export default function Page() {
  return <Rules demo={process.env.DULVET_DEMO === '1'} />;
}
