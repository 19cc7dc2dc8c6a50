import { PROTOCOLS } from '@/core/protocol';

/** `GET /api/protocols`: the shipped protocols. */
export const GET = (): Response => Response.json(PROTOCOLS);
