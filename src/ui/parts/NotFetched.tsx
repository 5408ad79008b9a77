import { Notice } from './Notice';
import { Press } from './Press';
import { Words } from './Words';

/** In the place of a piece of the screen that is on its way, or did not come: then it can be asked for again. */
export function NotFetched({ failed, what, again }: { failed: boolean; what: string; again: () => void }) {
  if (!failed) return <Words tone="soft">Fetching …</Words>;
  return (
    <Notice live title={`${what} cannot be fetched now.`}>
      <Press small onClick={again}>
        Try again
      </Press>
    </Notice>
  );
}
