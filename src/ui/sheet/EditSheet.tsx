'use client';

import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import { useLater } from '../asking/useLater';
import { Notice } from '../parts/Notice';
import { Press } from '../parts/Press';
import { Words } from '../parts/Words';
import type { EditSheetProps } from './sheet';

/**
 * A card being corrected: kept as a draft, refused field by field, and merged when somebody saved meanwhile. Its form is fetched
 * when a sheet is opened: most who look at a card correct nothing.
 */
export function EditSheet<View>({ onDone, ...props }: EditSheetProps<View>) {
  const { piece: EditForm, failed, again } = useLater('edit-form', async () => (await import('./EditForm')).EditForm);
  if (EditForm) return <EditForm {...props} onDone={(answer) => onDone(answer as View)} />;
  return (
    <Dialog open onClose={props.onClose} fullWidth maxWidth="sm" aria-label={props.title}>
      <Box sx={{ p: 2.5, display: 'grid', gap: 1.5 }}>
        <Words size="h2">{props.title}</Words>
        {failed ? (
          <Notice live title="The form cannot be fetched now: the server does not answer." />
        ) : (
          <Words tone="soft">Fetching …</Words>
        )}
        <Box sx={{ display: 'flex', gap: 1 }}>
          {failed && <Press onClick={again}>Try again</Press>}
          <Press onClick={props.onClose}>Close</Press>
        </Box>
      </Box>
    </Dialog>
  );
}
