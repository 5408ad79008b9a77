import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { FormEvent, ReactNode } from 'react';
import { Mark } from './Mark';

/** The form at the door: name plate, what is asked, its fields. */
export function DoorCard({
  title,
  id,
  edge,
  onSubmit,
  children,
}: {
  title: string;
  id?: string;
  /** Colour of its upper edge. */
  edge: 'bench.action' | 'bench.brass';
  onSubmit: (e: FormEvent) => void;
  children: ReactNode;
}) {
  return (
    <Box
      component="form"
      noValidate
      onSubmit={onSubmit}
      sx={{
        width: '100%',
        maxWidth: 380,
        display: 'grid',
        gap: 2,
        bgcolor: 'background.paper',
        border: '1px solid',
        borderColor: 'divider',
        borderTop: '6px solid',
        borderTopColor: edge,
        p: 3,
      }}
    >
      <Mark />
      <Typography component="h1" variant="h2" {...(id ? { id } : {})}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}

/** The card alone on its page. @param person who is signed in: drafts in the browser are theirs */
export function AtTheDoor({ person, children }: { person?: number; children: ReactNode }) {
  return (
    <Box component="main" data-person={person} sx={{ minHeight: '100vh', display: 'grid', placeItems: 'center', p: 2 }}>
      {children}
    </Box>
  );
}
