import Box from '@mui/material/Box';
import { fonts } from '../theme/palette';

/** The name plate: a roll seen from its end, and the name. */
export function Mark() {
  return (
    <Box component="span" sx={{ display: 'inline-flex', alignItems: 'center', gap: 1, color: 'text.primary' }}>
      <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true">
        <circle cx="13" cy="13" r="6" fill="none" stroke="currentColor" strokeWidth="2.4" />
        <circle cx="13" cy="13" r="1.8" fill="currentColor" />
        {Array.from({ length: 10 }, (_, i) => {
          const a = (i * Math.PI) / 5;
          const [c, s] = [Math.cos(a), Math.sin(a)];
          const at = (r: number) => [(13 + r * c).toFixed(2), (13 + r * s).toFixed(2)];
          const [x1, y1] = at(8);
          const [x2, y2] = at(11.6);
          return (
            <line
              key={i}
              x1={x1}
              y1={y1}
              x2={x2}
              y2={y2}
              stroke="currentColor"
              strokeWidth="1.8"
              strokeLinecap="round"
            />
          );
        })}
      </svg>
      <Box
        component="span"
        sx={{
          fontFamily: fonts.label,
          fontWeight: 700,
          fontSize: '1.15rem',
          letterSpacing: '0.01em',
          whiteSpace: 'nowrap',
        }}
      >
        Grit Keeper
      </Box>
    </Box>
  );
}
