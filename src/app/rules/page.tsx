import { RulesView } from '../views';

export const dynamic = 'force-dynamic';

/** The Rules: protocols side by side, the cook's own, and who is at the table. */
export default function Page() {
  return <RulesView demo={process.env.DULVET_DEMO === '1'} />;
}
