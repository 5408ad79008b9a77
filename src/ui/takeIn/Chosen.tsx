import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** What was found and chosen, with the way back. */
export function Chosen({
  title,
  text,
  onDrop,
  children,
}: {
  title: string;
  text: string;
  onDrop: () => void;
  children?: ReactNode;
}) {
  return (
    <Box
      sx={{
        display: 'flex',
        gap: 1,
        alignItems: 'center',
        p: 1.25,
        bgcolor: 'background.paper',
        border: '1px solid',
        borderColor: 'divider',
        borderLeft: '5px solid',
        borderLeftColor: 'bench.action',
      }}
    >
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Typography sx={{ fontWeight: 600 }}>{title}</Typography>
        <Typography variant="body2">{text}</Typography>
        {children}
      </Box>
      <Button size="small" onClick={onDrop}>
        Another
      </Button>
    </Box>
  );
}
