import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

/** Terms at the left, what holds at the right. */
export function TermList({ rows }: { rows: [term: string, text: string][] }) {
  return (
    <Box
      component="dl"
      sx={{
        display: 'grid',
        gridTemplateColumns: 'max-content minmax(0, 1fr)',
        columnGap: { xs: 1.5, sm: 3 },
        rowGap: 0.75,
        m: 0,
      }}
    >
      {rows.map(([term, text]) => (
        <Box key={term} sx={{ display: 'contents' }}>
          <Typography component="dt" variant="body2" sx={{ color: 'text.secondary' }}>
            {term}
          </Typography>
          <Typography component="dd" variant="body2" sx={{ m: 0, overflowWrap: 'anywhere' }}>
            {text}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}
