/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { stand } from '../testBench.fixture';
import { useLater } from './useLater';

function Place({ name, fetchIt }: { name: string; fetchIt: () => Promise<() => string> }) {
  const { piece: Piece, failed, again } = useLater(name, fetchIt);
  return (
    <>
      <p>what stood here before</p>
      {Piece && <p>{Piece()}</p>}
      {failed && <button onClick={again}>Try again</button>}
    </>
  );
}

test('a server that is away takes nothing from what stands there, and is asked again by a press', async () => {
  let there = false;
  const fetchIt = jest.fn(async () => {
    if (!there) throw new TypeError('away');
    return () => 'the piece';
  });
  stand(<Place name="one" fetchIt={fetchIt} />);
  const again = await screen.findByRole('button', { name: 'Try again' });
  expect(screen.getByText('what stood here before')).toBeTruthy();
  there = true;
  fireEvent.click(again);
  expect(await screen.findByText('the piece')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Try again' })).toBeNull();
  expect(fetchIt).toHaveBeenCalledTimes(2);
});

test('it is fetched once, however often it is wanted', async () => {
  const fetchIt = jest.fn(async () => () => 'the piece');
  const places = (
    <>
      <Place name="two" fetchIt={fetchIt} />
      <Place name="two" fetchIt={fetchIt} />
    </>
  );
  stand(places);
  expect(await screen.findAllByText('the piece')).toHaveLength(2);
  expect(fetchIt).toHaveBeenCalledTimes(1);
});
