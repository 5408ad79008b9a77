'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import GlobalStyles from '@mui/material/GlobalStyles';
import type { ReactNode } from 'react';
import NextLink from '../theme/NextLink';

interface Props {
  /** CSS page size, such as `A4` or `62mm 29mm`. */
  size: string;
  margin: string;
  back: { href: string; label: string };
  children: ReactNode;
  /** Further choices beside Print. */
  choices?: ReactNode;
}

/** Black on white, on paper of one size, with the keys that are not printed. */
export function PrintFrame({ size, margin, back, children, choices }: Props) {
  return (
    <>
      <GlobalStyles
        styles={{
          '@page': { size, margin },
          '@media print': { 'main#work': { padding: '0 !important', maxWidth: 'none !important' } },
        }}
      />
      <Box className="no-print" sx={{ display: 'flex', gap: 1, mb: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
        <Button component={NextLink} href={back.href}>
          {back.label}
        </Button>
        {choices}
      </Box>
      {children}
    </>
  );
}

/** A code drawn elsewhere as SVG, stretched to its place. */
export function Code({ svg, label, width, height }: { svg: string; label: string; width: string; height: string }) {
  return (
    // eslint-disable-next-line @next/next/no-img-element -- an image of our own, inside the page
    <img
      src={`data:image/svg+xml,${encodeURIComponent(svg)}`}
      alt={label}
      style={{ width, height, display: 'block' }}
    />
  );
}
