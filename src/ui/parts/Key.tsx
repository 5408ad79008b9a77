import Box from '@mui/material/Box';
import { fonts } from '../theme/palette';

/** A key of the keyboard, drawn as a small enamel cap. */
export function Key({ children }: { children: string }) {
  return (
    <Box
      component="kbd"
      sx={{
        fontFamily: fonts.reading,
        fontSize: '0.8em',
        minWidth: '1.7em',
        px: 0.6,
        py: 0.1,
        textAlign: 'center',
        display: 'inline-block',
        border: '1px solid',
        borderColor: 'bench.soft',
        borderBottomWidth: 2,
        borderRadius: '3px',
        bgcolor: 'bench.well',
        color: 'text.primary',
        lineHeight: 1.4,
      }}
    >
      {children}
    </Box>
  );
}
