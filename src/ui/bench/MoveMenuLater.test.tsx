/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import type { ComponentProps } from 'react';
import { furnishBrowser, stand } from '../testBench.fixture';
import { MoveMenuLater } from './MoveMenuLater';

jest.mock('./MoveMenu', () => {
  throw new Error('The server is away.');
});

test('a menu that cannot be fetched says so, and gives the keys of the Bench back', async () => {
  furnishBrowser();
  const onClose = jest.fn();
  const props = { onClose } as unknown as ComponentProps<typeof MoveMenuLater>;
  stand(<MoveMenuLater {...props} />);
  expect(await screen.findByText('The places to move it to cannot be fetched now.')).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Try again' })).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Leave it where it is' }));
  expect(onClose).toHaveBeenCalledTimes(1);
});
