import { answer } from '@/app/answer';
import { beforeOf } from '@/app/beforeOf';
import { listDocuments } from '@/shop/documents/readDocument';

export const GET = answer(async (request) => Response.json(await listDocuments(beforeOf(request))));
