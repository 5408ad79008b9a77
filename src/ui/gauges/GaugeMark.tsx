import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** What each gauge measures, drawn on 72 × 48: the thing in ink, what is measured in the colour of its line. */
const MARKS: Record<string, ReactNode> = {
  belt: (
    <>
      <circle cx="16" cy="28" r="6" />
      <circle cx="54" cy="28" r="13" />
      <path d="M15 22 L51 15.4 M15 34 L51 40.6" />
      <path data-measured="" d="M16 8 V12 M54 8 V12 M16 10 H54" />
    </>
  ),
  bearing: (
    <>
      <circle cx="36" cy="27" r="18" />
      <circle cx="36" cy="27" r="7" />
      {Array.from({ length: 8 }, (_, i) => (
        <circle
          key={i}
          cx={36 + 12.5 * Math.cos((i * Math.PI) / 4)}
          cy={27 + 12.5 * Math.sin((i * Math.PI) / 4)}
          r="3"
          fill="currentColor"
          stroke="none"
        />
      ))}
      <path data-measured="" d="M18 5 V2 M54 5 V2 M18 3.5 H54" />
    </>
  ),
  roll: (
    <>
      <path d="M8 22 H64 M8 30 H64 M8 22 V30 M64 22 V30" />
      <path d="M13 30 V41 M20 30 V41 M27 30 V41 M34 30 V41 M41 30 V41 M48 30 V41 M55 30 V41" opacity="0.8" />
      <path d="M2 41 H70" strokeDasharray="2 3" />
      <path data-measured="" d="M60 30 V41 M58 30 H62 M58 41 H62" />
      <path d="M13 22 V12 M27 22 V12 M41 22 V12 M55 22 V12" opacity="0.8" />
    </>
  ),
  'air-path': (
    <>
      <path d="M4 40 C18 40 18 22 34 22 H68 M4 46 C22 46 24 28 38 28 H68" />
      <path data-measured="" d="M46 22 V6 M46 6 H54 V16 A3 3 0 0 0 60 16 V6" />
      <path data-measured="" d="M54 12 H60" opacity="0.7" />
    </>
  ),
  'supply-and-cord': (
    <>
      <rect x="8" y="22" width="20" height="18" rx="2" />
      <path d="M14 28 V34 M22 28 V34" strokeWidth="2.6" />
      <circle data-measured="" cx="54" cy="18" r="12" />
      <path data-measured="" d="M54 20 L60 11" />
      <path d="M14 26 C14 8 34 8 46 27 M22 26 C24 14 36 18 54 30" opacity="0.8" />
    </>
  ),
  'safety-test': (
    <>
      <path d="M10 12 H26 V30 H10 Z M14 12 V6 M22 12 V6" />
      <path d="M18 30 V38 H44" />
      <rect x="44" y="26" width="22" height="16" />
      <path d="M50 34 H60" opacity="0.6" />
      <path data-measured="" d="M55 42 V45 M47 45 H63 M50 47.6 H60" />
      <path data-measured="" d="M26 16 C40 10 52 12 55 26" strokeDasharray="3 2" />
    </>
  ),
  winding: (
    <>
      {Array.from({ length: 12 }, (_, i) => {
        const at = (i * Math.PI) / 6;
        const [c, s] = [Math.cos(at), Math.sin(at)];
        return (
          <path
            key={i}
            d={`M${36 + 9 * c} ${25 + 9 * s} L${36 + 18 * c} ${25 + 18 * s}`}
            strokeWidth="4"
            opacity="0.75"
          />
        );
      })}
      <circle cx="36" cy="27" r="5" />
      <path data-measured="" d="M36 7 V0 M45 9.5 L50 3.5" />
    </>
  ),
  shims: (
    <>
      <path d="M4 24 H68" strokeWidth="4" opacity="0.5" />
      <rect x="24" y="10" width="26" height="28" />
      <path d="M10 6 V42 M62 6 V42" strokeWidth="3" />
      <path d="M14 14 V34 M17 14 V34 M20 14 V34 M53 14 V34" strokeWidth="2" />
      <path data-measured="" d="M54 42 V46 M60 42 V46 M54 44 H60" />
    </>
  ),
  pack: (
    <>
      <path d="M8 8 V42 H18 V8 Z M24 8 V42 H34 V8 Z M40 8 V42 H50 V8 Z M56 8 V42 H66 V8 Z" />
      <path d="M8 18 H18 M24 17 H34 M40 30 H50 M56 18 H66" strokeWidth="2.4" />
      <path data-measured="" d="M3 14 H70 M3 36 H70" strokeDasharray="4 3" />
    </>
  ),
  scrubber: (
    <>
      <path d="M6 6 H66 V42 H6 Z" opacity="0.5" />
      <path d="M12 12 H56 A6 6 0 0 1 56 24 H16 A6 6 0 0 0 16 36 H52" />
      <path d="M52 32 L58 36 L52 40 Z" fill="currentColor" />
      <path data-measured="" d="M64 12 V24 M62 12 H66 M62 24 H66" />
    </>
  ),
  'dry-and-wait': (
    <>
      <path d="M6 42 H34 M10 42 V38 H30 V42 M20 38 V34 M8 34 H32" />
      <path d="M11 34 V20 H29 V34 M15 20 V34 M20 20 V34 M25 20 V34" opacity="0.8" />
      <path d="M42 10 V40 H70" />
      <path data-measured="" d="M42 13 C48 30 56 36 70 37" />
    </>
  ),
};

/** A small drawing of what a gauge measures; it says nothing that the name beside it does not. */
export function GaugeMark({ gauge, line }: { gauge: string; line: string }) {
  return (
    <Box
      component="svg"
      viewBox="0 0 72 48"
      aria-hidden="true"
      sx={{
        width: 72,
        height: 48,
        flex: '0 0 auto',
        color: 'text.primary',
        fill: 'none',
        stroke: 'currentColor',
        strokeWidth: 1.5,
        '& [data-measured]': { color: `bench.lines.${line}`, strokeWidth: 2.2 },
      }}
    >
      {MARKS[gauge]}
    </Box>
  );
}
