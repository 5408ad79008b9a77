import type { useMore } from '../asking/useMore';
import { Notice } from './Notice';
import { Press } from './Press';

/** The way to what follows in a list, and a word when it cannot be read. */
export function MoreOfIt({ list, label }: { list: ReturnType<typeof useMore>; label: string }) {
  return (
    <>
      {list.failed && <Notice live title="What follows cannot be read now. Press again in a moment." />}
      {list.hasMore && (
        <div>
          <Press small disabled={list.isReading} onClick={list.more}>
            {list.isReading ? 'Reading …' : label}
          </Press>
        </div>
      )}
    </>
  );
}
