'use client';

import Link from 'next/link';
import type { ComponentProps } from 'react';

/**
 * The framework's link, made passable as a `component` from server components. Nothing is fetched before it is pressed:
 * a list of fifty would ask the server for fifty pages, and again after every refresh.
 */
export default function NextLink(props: ComponentProps<typeof Link>) {
  return <Link prefetch={false} {...props} />;
}
