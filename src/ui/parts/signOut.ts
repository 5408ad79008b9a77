import { leaveDrafts } from './draftKeeper';
import { send } from './post';

/** Signs out: what is still to be kept is kept first, then nothing of the session stays in this browser. */
export async function signOut(): Promise<void> {
  await leaveDrafts();
  await send('POST', '/api/sign-out');
  // A whole new page, on purpose: nothing of the session stays in memory.
  window.location.href = '/sign-in';
}
