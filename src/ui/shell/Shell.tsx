'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputBase from '@mui/material/InputBase';
import Link from '@mui/material/Link';
import { useColorScheme } from '@mui/material/styles';
import { usePathname, useRouter } from 'next/navigation';
import { useRef, useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { leaveDrafts } from '../parts/draftKeeper';
import { send } from '../parts/post';
import NextLink from '../theme/NextLink';
import { fonts } from '../theme/palette';
import { Key } from '../parts/Key';
import { Scanner } from '../parts/Scanner';
import { Mark } from './Mark';

const PLACES = [
  { href: '/', label: 'Bench', key: 'g>b' },
  { href: '/take-in', label: 'Take in', key: 'g>t' },
  { href: '/machines', label: 'Machines', key: 'g>m' },
  { href: '/customers', label: 'Customers', key: 'g>c' },
  { href: '/gauges', label: 'Gauges', key: 'g>g' },
  { href: '/shop', label: 'Shop', key: 'g>s' },
] as const;

/** The frame of every screen: name plate, places, one search, who is here. */
export function Shell({ person, children }: { person: { id: number; name: string }; children: ReactNode }) {
  const router = useRouter();
  const path = usePathname();
  const search = useRef<HTMLInputElement>(null);
  const [words, setWords] = useState('');
  useHotkeys('slash', () => search.current?.focus(), { preventDefault: true });
  useHotkeys(PLACES[0].key, () => router.push(PLACES[0].href));
  useHotkeys(PLACES[1].key, () => router.push(PLACES[1].href));
  useHotkeys(PLACES[2].key, () => router.push(PLACES[2].href));
  useHotkeys(PLACES[3].key, () => router.push(PLACES[3].href));
  useHotkeys(PLACES[4].key, () => router.push(PLACES[4].href));
  useHotkeys(PLACES[5].key, () => router.push(PLACES[5].href));
  const here = (href: string) => (href === '/' ? path === '/' || path.startsWith('/jobs') : path.startsWith(href));
  return (
    <>
      <Scanner />
      <Link
        href="#work"
        sx={{
          position: 'absolute',
          left: -9999,
          '&:focus': { left: 8, top: 8, zIndex: 10, bgcolor: 'background.paper', p: 1 },
        }}
      >
        To the work
      </Link>
      <Box
        component="header"
        className="no-print"
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          alignItems: 'center',
          columnGap: 2,
          rowGap: 0.5,
          px: { xs: 1.5, sm: 2.5 },
          py: 0.75,
          bgcolor: 'background.paper',
          borderBottom: '2px solid',
          borderColor: 'text.primary',
        }}
      >
        <Link component={NextLink} href="/" sx={{ textDecoration: 'none' }} aria-label="Grit Keeper, to the bench">
          <Mark />
        </Link>
        <Box component="nav" aria-label="Places" sx={{ display: 'flex', flexWrap: 'wrap' }}>
          {PLACES.map((p) => (
            <Link
              key={p.href}
              component={NextLink}
              href={p.href}
              aria-current={here(p.href) ? 'page' : undefined}
              title={`Keys: ${p.key.replace('>', ' then ')}`}
              sx={{
                fontFamily: fonts.label,
                fontWeight: 600,
                fontSize: '1.05rem',
                px: 1,
                py: 0.9,
                textDecoration: 'none',
                borderBottom: '4px solid transparent',
                '&[aria-current]': { borderColor: 'bench.action' },
              }}
            >
              {p.label}
            </Link>
          ))}
        </Box>
        <Box
          component="form"
          role="search"
          onSubmit={(e) => {
            e.preventDefault();
            router.push(`/machines?q=${encodeURIComponent(words)}`);
          }}
          sx={{ flex: '1 1 220px', maxWidth: 420, ml: { md: 'auto' } }}
        >
          <InputBase
            inputRef={search}
            value={words}
            onChange={(e) => setWords(e.target.value)}
            placeholder="Tag, serial, owner, phone, words"
            inputProps={{ 'aria-label': 'Find a machine or customer' }}
            endAdornment={
              <Box component="span" aria-hidden sx={{ display: { xs: 'none', sm: 'inline' } }}>
                <Key>/</Key>
              </Box>
            }
            sx={{
              width: '100%',
              px: 1.25,
              py: 0.4,
              border: '1px solid',
              borderColor: 'bench.soft',
              borderRadius: '3px',
              bgcolor: 'background.default',
            }}
          />
        </Box>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5, ml: { xs: 'auto', md: 0 } }}>
          <LampSwitch />
          <Box component="span" sx={{ fontFamily: fonts.label, display: { xs: 'none', sm: 'inline' }, px: 1 }}>
            {person.name}
          </Box>
          <Button
            size="small"
            variant="text"
            color="inherit"
            onClick={async () => {
              await leaveDrafts();
              await send('POST', '/api/sign-out');
              // A whole new page, on purpose: nothing of the session stays in memory.
              window.location.href = '/sign-in';
            }}
          >
            Sign out
          </Button>
        </Box>
      </Box>
      <Box
        component="main"
        id="work"
        data-person={person.id}
        tabIndex={-1}
        sx={{ px: { xs: 1.5, sm: 2.5 }, py: 1.5, maxWidth: 1680, mx: 'auto', outline: 'none' }}
      >
        {children}
      </Box>
    </>
  );
}

function LampSwitch() {
  const { mode, systemMode, setMode } = useColorScheme();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  return (
    <Button
      size="small"
      variant="text"
      color="inherit"
      onClick={() => setMode(dark ? 'light' : 'dark')}
      suppressHydrationWarning
    >
      {mode === undefined ? 'Lamp' : dark ? 'Day bench' : 'Night bench'}
    </Button>
  );
}
