import Dialog from '@mui/material/Dialog';
import { UnlockForm } from './UnlockForm';

/** Covers everything until the passphrase is given. */
export function LockedScreen({ open, name, onOpen }: { open: boolean; name: string; onOpen: () => void }) {
  return (
    <Dialog
      open={open}
      fullScreen
      aria-labelledby="locked-title"
      slotProps={{ paper: { sx: { display: 'grid', placeItems: 'center', p: 2, bgcolor: 'background.default' } } }}
    >
      <UnlockForm name={name} onOpen={onOpen} />
    </Dialog>
  );
}
