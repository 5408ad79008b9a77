/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { stand } from '../testBench.fixture';
import { Cover } from './Cover';

test('nothing below a covered screen can be reached, and all of it again when the cover is gone', () => {
  const again = jest.fn();
  const shut = document.body.appendChild(document.createElement('div'));
  shut.setAttribute('inert', '');
  const { container, unmount } = stand(<Cover failed again={again} />);
  const cover = screen.getByRole('dialog', { name: 'The screen is locked' });
  expect(container.hasAttribute('inert')).toBe(true);
  expect(cover.closest('[inert]')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
  expect(again).toHaveBeenCalledTimes(1);
  unmount();
  expect(container.hasAttribute('inert')).toBe(false);
  // What was shut before stays shut.
  expect(shut.hasAttribute('inert')).toBe(true);
  shut.remove();
});
