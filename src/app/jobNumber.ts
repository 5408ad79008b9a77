import { notFound } from '@/shop/problem';

/** @throws ProblemError 404 for what is no job number */
export function jobNumber(text: string): number {
  if (!/^[1-9]\d{0,8}$/.test(text)) throw notFound('This job');
  return Number(text);
}
