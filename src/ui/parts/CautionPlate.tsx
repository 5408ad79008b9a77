import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import ReportIcon from '@mui/icons-material/ReportOutlined';
import type { ReactNode } from 'react';

/** Where the work can hurt someone: the only place where brick red appears. */
export function CautionPlate({ label, text, children }: { label: string; text: string; children?: ReactNode }) {
  return (
    <Box
      role="note"
      sx={{
        display: 'flex',
        gap: 1,
        p: 1,
        borderLeft: '6px solid',
        borderColor: 'bench.hazard',
        bgcolor: 'bench.hazardWash',
        color: 'text.primary',
      }}
    >
      <ReportIcon sx={{ color: 'bench.hazard', mt: '1px' }} fontSize="small" aria-hidden />
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Typography variant="body2">
          <Box component="strong" sx={{ color: 'bench.hazard' }}>
            {label}.
          </Box>{' '}
          {text}
        </Typography>
        {children}
      </Box>
    </Box>
  );
}
