'use client';

import Link, { useLinkStatus } from 'next/link';
import type { ComponentProps } from 'react';
import { useUnderway } from './underway';

/**
 * The framework's link, made passable as a `component` from server components. Nothing is fetched before it is pressed:
 * a list of fifty would ask the server for fifty pages, and again after every refresh.
 */
export default function NextLink({ children, ...props }: ComponentProps<typeof Link>) {
  return (
    <Link prefetch={false} {...props}>
      {children}
      <OnItsWay />
    </Link>
  );
}

/** Pressed, and the page is not there yet: the frame says so. */
function OnItsWay() {
  useUnderway(useLinkStatus().pending);
  return null;
}
