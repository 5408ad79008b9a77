import type { ComponentProps } from 'react';
import { useLater } from '../asking/useLater';
import { NotFetched } from '../parts/NotFetched';
import type { MoveMenu } from './MoveMenu';

/** The menu is fetched when it is first asked for: the Bench itself has none of the component library. */
export function MoveMenuLater(props: ComponentProps<typeof MoveMenu>) {
  const { piece: Menu, failed, again } = useLater('move-menu', async () => (await import('./MoveMenu')).MoveMenu);
  if (Menu) return <Menu {...props} />;
  return failed ? <NotFetched failed what="The places" again={again} /> : null;
}
