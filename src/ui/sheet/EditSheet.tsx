'use client';

import dynamic from 'next/dynamic';
import type { EditSheetProps } from './sheet';

// Fetched when a sheet is opened: most who look at a card correct nothing.
const EditForm = dynamic(() => import('./EditForm').then((m) => m.EditForm));

/** A card being corrected: kept as a draft, refused field by field, and merged when somebody saved meanwhile. */
export function EditSheet<View>({ onDone, ...props }: EditSheetProps<View>) {
  return <EditForm {...props} onDone={(answer) => onDone(answer as View)} />;
}
