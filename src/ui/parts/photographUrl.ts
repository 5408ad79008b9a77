export function photographUrl(id: number, small = false): string {
  return `/api/v1/photographs/${id}${small ? '?small' : ''}`;
}
