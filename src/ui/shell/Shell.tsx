'use client';

import MoreHorizIcon from '@mui/icons-material/MoreHoriz';
import SearchIcon from '@mui/icons-material/Search';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import InputBase from '@mui/material/InputBase';
import Link from '@mui/material/Link';
import { useColorScheme } from '@mui/material/styles';
import { usePathname, useRouter } from 'next/navigation';
import { useRef, useState, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { ScreenLock } from '../lock/ScreenLock';
import { Key } from '../parts/Key';
import { Scanner } from '../parts/Scanner';
import { signOut } from '../parts/signOut';
import NextLink from '../theme/NextLink';
import { fonts } from '../theme/palette';
import { Mark } from '../parts/Mark';

const PLACES = [
  { href: '/', label: 'Bench', key: 'g>b' },
  { href: '/take-in', label: 'Take in', key: 'g>t' },
  { href: '/machines', label: 'Machines', key: 'g>m' },
  { href: '/customers', label: 'Customers', key: 'g>c' },
  { href: '/rounds', label: 'Rounds', key: 'g>r' },
  { href: '/gauges', label: 'Gauges', key: 'g>g' },
  { href: '/shop', label: 'Shop', key: 'g>s' },
] as const;

/** Height of the places at the thumb, on a phone. */
const THUMB_PX = 54;

/**
 * The frame of every screen: name plate, places, one search, who is here. On a phone one slim bar: the places lie at the
 * thumb below, search and the rest one touch away.
 */
export function Shell({
  person,
  lockMinutes,
  children,
}: {
  person: { id: number; name: string };
  /** After how many quiet minutes the screen locks itself; null for never. */
  lockMinutes: number | null;
  children: ReactNode;
}) {
  const [unfolded, setUnfolded] = useState<'search' | 'more' | null>(null);
  const search = useRef<HTMLInputElement>(null);
  const fold = (what: 'search' | 'more') => {
    setUnfolded(unfolded === what ? null : what);
    if (what === 'search' && unfolded !== what) setTimeout(() => search.current?.focus());
  };
  const onPhone = (what: 'search' | 'more') => (unfolded === what ? 'flex' : 'none');
  return (
    <>
      <Scanner />
      {lockMinutes !== null && <ScreenLock minutes={lockMinutes} name={person.name} />}
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
          columnGap: { xs: 0.5, md: 2 },
          px: { xs: 1.5, sm: 2.5 },
          py: { xs: 0.25, md: 0.75 },
          bgcolor: 'background.paper',
          borderBottom: '2px solid',
          borderColor: 'text.primary',
        }}
      >
        <Link
          component={NextLink}
          href="/"
          sx={{ textDecoration: 'none', mr: { xs: 'auto', md: 0 } }}
          aria-label="Grit Keeper, to the bench"
        >
          <Mark />
        </Link>
        <Box sx={{ display: { xs: 'contents', md: 'none' } }}>
          <IconButton
            color="inherit"
            aria-label="Search"
            aria-expanded={unfolded === 'search'}
            onClick={() => fold('search')}
            sx={{ width: 46, height: 46 }}
          >
            <SearchIcon />
          </IconButton>
          <IconButton
            color="inherit"
            aria-label="Lamp and signing out"
            aria-expanded={unfolded === 'more'}
            onClick={() => fold('more')}
            sx={{ width: 46, height: 46 }}
          >
            <MoreHorizIcon />
          </IconButton>
        </Box>
        <Places />
        <Search field={search} display={onPhone('search')} onDone={() => setUnfolded(null)} />
        <Box
          sx={{
            display: { xs: onPhone('more'), md: 'flex' },
            flex: { xs: '1 0 100%', md: '0 0 auto' },
            alignItems: 'center',
            justifyContent: { xs: 'space-between', md: 'flex-start' },
            gap: 0.5,
            py: { xs: 0.5, md: 0 },
          }}
        >
          <LampSwitch />
          <Link
            component={NextLink}
            href="/me"
            color="inherit"
            title="Your passphrase, sessions and tokens"
            sx={{ fontFamily: fonts.label, px: 1, py: 1 }}
          >
            {person.name}
          </Link>
          <Button size="small" variant="text" color="inherit" onClick={() => void signOut()}>
            Sign out
          </Button>
        </Box>
      </Box>
      <Box
        component="main"
        id="work"
        data-person={person.id}
        tabIndex={-1}
        sx={{
          px: { xs: 1.5, sm: 2.5 },
          pt: { xs: 1, md: 1.5 },
          pb: { xs: `calc(${THUMB_PX + 16}px + env(safe-area-inset-bottom))`, md: 1.5 },
          maxWidth: 1680,
          mx: 'auto',
          outline: 'none',
          '@media print': { pb: 0 },
        }}
      >
        {children}
      </Box>
    </>
  );
}

/** Where one can go: in the bar, or on a phone at the thumb. */
function Places() {
  const router = useRouter();
  const path = usePathname();
  useHotkeys(PLACES[0].key, () => router.push(PLACES[0].href));
  useHotkeys(PLACES[1].key, () => router.push(PLACES[1].href));
  useHotkeys(PLACES[2].key, () => router.push(PLACES[2].href));
  useHotkeys(PLACES[3].key, () => router.push(PLACES[3].href));
  useHotkeys(PLACES[4].key, () => router.push(PLACES[4].href));
  useHotkeys(PLACES[5].key, () => router.push(PLACES[5].href));
  const here = (href: string) => (href === '/' ? path === '/' || path.startsWith('/jobs') : path.startsWith(href));
  return (
    <Box
      component="nav"
      aria-label="Places"
      sx={{
        display: 'flex',
        position: { xs: 'fixed', md: 'static' },
        left: 0,
        right: 0,
        bottom: 0,
        zIndex: { xs: 5, md: 'auto' },
        pb: { xs: 'env(safe-area-inset-bottom)', md: 0 },
        bgcolor: 'background.paper',
        borderTop: { xs: '2px solid', md: 0 },
        borderColor: { xs: 'text.primary' },
      }}
    >
      {PLACES.map((p) => (
        <Link
          key={p.href}
          component={NextLink}
          href={p.href}
          aria-current={here(p.href) ? 'page' : undefined}
          title={`Keys: ${p.key.replace('>', ' then ')}`}
          sx={{
            flex: { xs: '1 1 auto', md: '0 0 auto' },
            minHeight: { xs: THUMB_PX, md: 0 },
            display: 'grid',
            placeItems: 'center',
            fontFamily: fonts.label,
            fontWeight: 600,
            fontSize: { xs: '0.85rem', md: '1.05rem' },
            px: { xs: 0.25, md: 1 },
            py: { xs: 0, md: 0.9 },
            textDecoration: 'none',
            borderTop: { xs: '4px solid transparent', md: 0 },
            borderBottom: { xs: 0, md: '4px solid transparent' },
            '&[aria-current]': { borderColor: 'bench.action' },
          }}
        >
          {p.label}
        </Link>
      ))}
    </Box>
  );
}

function Search({
  field,
  display,
  onDone,
}: {
  field: React.RefObject<HTMLInputElement | null>;
  /** On a phone; there is always room for it elsewhere. */
  display: 'flex' | 'none';
  onDone: () => void;
}) {
  const router = useRouter();
  const [words, setWords] = useState('');
  useHotkeys('slash', () => field.current?.focus(), { preventDefault: true });
  return (
    <Box
      component="form"
      role="search"
      onSubmit={(e) => {
        e.preventDefault();
        router.push(`/machines?q=${encodeURIComponent(words)}`);
        onDone();
      }}
      sx={{
        display: { xs: display, md: 'flex' },
        flex: { xs: '1 0 100%', md: '1 1 220px' },
        maxWidth: { md: 420 },
        ml: { md: 'auto' },
        pb: { xs: 0.75, md: 0 },
      }}
    >
      <InputBase
        inputRef={field}
        value={words}
        onChange={(e) => setWords(e.target.value)}
        placeholder="Tag, serial, owner, phone, words"
        inputProps={{ 'aria-label': 'Find a machine or customer' }}
        endAdornment={
          <Box component="span" aria-hidden sx={{ display: { xs: 'none', md: 'inline' } }}>
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
