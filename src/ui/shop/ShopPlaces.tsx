'use client';

import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { usePathname } from 'next/navigation';
import NextLink from '../theme/NextLink';
import { fonts } from '../theme/palette';

const PLACES = [
  { href: '/shop', label: 'At a glance' },
  { href: '/shop/models', label: 'Models' },
  { href: '/shop/people', label: 'People' },
  { href: '/shop/money', label: 'Money' },
  { href: '/shop/messages', label: 'Messages' },
  { href: '/shop/learning', label: 'Finder' },
  { href: '/shop/lives', label: 'Lives' },
  { href: '/shop/measuring', label: 'Measuring' },
  { href: '/shop/audit', label: 'Audit' },
  { href: '/shop/doors', label: 'Door' },
  { href: '/shop/data', label: 'In and out' },
  { href: '/shop/settings', label: 'Settings' },
] as const;

/** The rooms behind the counter. */
export function ShopPlaces() {
  const path = usePathname();
  return (
    <Box component="nav" aria-label="Shop" sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', mb: 1.5 }}>
      <Typography component="span" variant="h1" sx={{ mr: 2 }}>
        Shop
      </Typography>
      {PLACES.map((p) => (
        <Link
          key={p.href}
          component={NextLink}
          href={p.href}
          aria-current={path === p.href ? 'page' : undefined}
          sx={{
            fontFamily: fonts.label,
            fontWeight: 600,
            textDecoration: 'none',
            px: 1.25,
            py: 0.75,
            borderBottom: '4px solid transparent',
            '&[aria-current]': { borderColor: 'bench.soft' },
          }}
        >
          {p.label}
        </Link>
      ))}
    </Box>
  );
}
