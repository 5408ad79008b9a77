// Letters of names that our own hands lack; a browser loads them where they stand.
import '@fontsource/noto-sans/500.css';
import '@fontsource/noto-sans/700.css';
import '@/ui/theme/letterFaces.css';
import '@/ui/theme/theme.css';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { firstScheme } from '@/ui/theme/firstScheme';
import { revealAtOnce } from '@/ui/theme/revealAtOnce';
import { FirstLetters } from '@/ui/theme/FirstLetters';
import { keepTypedEarly } from '@/ui/theme/typedEarly';
import { ThemeRegistry } from '@/ui/theme/ThemeRegistry';

export const metadata: Metadata = { title: { default: 'Grit Keeper', template: '%s · Grit Keeper' } };
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  // Every page is rendered per request: the nonce of the content security policy is new each time.
  const nonce = (await headers()).get('x-nonce') ?? '';
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <script
          nonce={nonce}
          suppressHydrationWarning
          dangerouslySetInnerHTML={{ __html: firstScheme + revealAtOnce + keepTypedEarly }}
        />
        <AppRouterCacheProvider options={{ nonce }}>
          <FirstLetters />
          <ThemeRegistry>{children}</ThemeRegistry>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
