import { z } from 'zod';
import { AuditSchema } from '@/core/audit/schema';

/** `GET /api/schema`: JSON Schema of the audit. */
export const GET = (): Response => Response.json(z.toJSONSchema(AuditSchema));
