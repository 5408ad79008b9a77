import { refuseIf } from '@/shop/problem';

/** Where the next page of a list begins, from `?before=`. @throws ProblemError 400 for what is no number */
export function beforeOf(request: Request): number | undefined {
  const before = new URL(request.url).searchParams.get('before');
  refuseIf(before === null || /^[1-9]\d{0,14}$/.test(before) ? [] : [{ field: 'before', message: 'A number.' }]);
  return before === null ? undefined : Number(before);
}
