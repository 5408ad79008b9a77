'use client';

import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';

/** What a screen has read of the shop, in this tab only: a page that is opened anew brings its own. */
export function Asking({ children }: { children: ReactNode }) {
  const [client] = useState(askingClient);
  return <QueryClientProvider client={client}>{children}</QueryClientProvider>;
}

/** The live line says when something changed: nothing is asked again merely because a window came to the front. */
export function askingClient(): QueryClient {
  return new QueryClient({
    defaultOptions: {
      queries: {
        // A shop without a network has its server on the loopback: what the browser thinks of the network says nothing.
        networkMode: 'always',
        refetchOnWindowFocus: false,
        refetchOnReconnect: false,
        retry: false,
      },
    },
  });
}
