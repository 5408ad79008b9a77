/**
 * Whether everything that is typed below can be read; the first field that cannot has the cursor then. Nothing is sent while a
 * field says that it cannot be read: what it held before is not what stands there.
 */
export function allRead(below: ParentNode | null): boolean {
  const unread = below?.querySelector<HTMLElement>('[data-unread]');
  unread?.focus();
  return !unread;
}
