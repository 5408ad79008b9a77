'use client';

import { AtTheDoor } from '../parts/DoorCard';
import { UnlockForm } from './UnlockForm';

/** A locked screen that was loaded anew. */
export function LockedPage({ person, next }: { person: { id: number; name: string }; next: string }) {
  return (
    <AtTheDoor person={person.id}>
      <UnlockForm name={person.name} onOpen={() => window.location.assign(next)} />
    </AtTheDoor>
  );
}
