/** Where a request comes from, as the door found out. */
export function addressOf(request: Request): string {
  return request.headers.get('x-forwarded-for')?.split(',')[0]?.trim() ?? '';
}
