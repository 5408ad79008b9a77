import type { ComponentProps } from 'react';
import { useLater } from '../asking/useLater';
import { NotFetched } from '../parts/NotFetched';
import { Press } from '../parts/Press';
import type { MoveMenu } from './MoveMenu';

/** The menu is fetched when it is first asked for: the Bench itself has none of the component library. */
export function MoveMenuLater(props: ComponentProps<typeof MoveMenu>) {
  const { piece: Menu, failed, again } = useLater('move-menu', async () => (await import('./MoveMenu')).MoveMenu);
  if (Menu) return <Menu {...props} />;
  if (!failed) return null;
  return (
    <>
      <NotFetched failed what="The places to move it to" again={again} />
      <Press small onClick={props.onClose}>
        Leave it where it is
      </Press>
    </>
  );
}
