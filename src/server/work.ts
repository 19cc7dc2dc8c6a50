import { auditText, type TextAudit } from '@/core/audit/text';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol, type RoleId } from '@/core/protocol';
import { adaptText, type TextAdaptation } from './adapt-text';

/** What a request asks, as plain data that goes to a worker thread; protocols by their ids, which are known. */
export type Task =
  | {
      readonly kind: 'audit';
      readonly text: string;
      readonly protocol: string;
      readonly servings?: number | undefined;
      readonly role?: RoleId | undefined;
      readonly potG?: number | undefined;
      readonly plateG?: number | undefined;
    }
  | {
      readonly kind: 'adapt';
      readonly text: string;
      readonly diners: readonly {
        readonly protocol: string;
        readonly allergens: readonly string[];
        readonly plate?: number | undefined;
      }[];
      readonly servings?: number | undefined;
      readonly role?: RoleId | undefined;
      readonly alternatives: number;
      readonly locked: readonly string[];
      readonly forced: readonly string[];
    };
export type Answer<T extends Task['kind']> = T extends 'audit' ? TextAudit : TextAdaptation;

const known = (id: string): Protocol => {
  const protocol = protocolById(id);
  if (!protocol) throw new Error(`no protocol ${id}`);
  return protocol;
};

/** Does what a request asks. */
export async function work(task: Task): Promise<TextAudit | TextAdaptation> {
  if (task.kind === 'audit') {
    const { kind: _, text, protocol, ...options } = task;
    return auditText(text, known(protocol), { source: 'request', ...options });
  }
  return adaptText(
    task.text,
    task.diners.map(({ protocol, allergens, plate }) => ({
      protocol: known(protocol),
      allergens,
      ...(plate === undefined ? {} : { plate }),
    })),
    { measures: US_MEASURES, corrections: {}, servings: task.servings },
    {
      role: task.role,
      source: 'request',
      alternatives: task.alternatives,
      locked: task.locked,
      forced: task.forced,
    },
  );
}
