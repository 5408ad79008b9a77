/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { kindById } from '@/knowledge';
import { furnishBrowser, stand } from '../testBench.fixture';
import { LineBoard } from './LineBoard';

const kind = kindById('upright-brush-motor');
beforeEach(() => furnishBrowser());

const marks = () => screen.getAllByRole('button');

test('every station of every line can be reached and chosen by keyboard', () => {
  const onChoose = jest.fn();
  stand(<LineBoard kind={kind} states={{}} onChoose={onChoose} title="The board" />);
  const stations = kind.lines.flatMap((l) => l.stations);
  expect(marks()).toHaveLength(stations.length);
  // One of them is in the way of the Tab key; arrows walk the rest.
  expect(marks().filter((m) => m.getAttribute('tabindex') === '0')).toHaveLength(1);
  fireEvent.focus(marks()[0]!);
  fireEvent.keyDown(marks()[0]!, { key: 'ArrowRight' });
  expect(document.activeElement).toBe(marks()[1]);
  fireEvent.keyDown(marks()[1]!, { key: 'Enter' });
  expect(onChoose).toHaveBeenCalledWith(stations[1]!.id);
  fireEvent.keyDown(marks()[0]!, { key: 'ArrowLeft' });
  expect(document.activeElement).toBe(marks().at(-1));
});

test('what a station shows is heard as well as seen', () => {
  stand(
    <LineBoard
      kind={kind}
      states={{ 'tilt-switch': { odds: 0.62, marks: 1 }, 'brush-roll': { proved: true } }}
      onChoose={() => {}}
      title="The board"
    />,
  );
  const tilt = marks().find((m) => m.getAttribute('aria-label')?.toLowerCase().startsWith('tilt switch'))!;
  expect(tilt.getAttribute('aria-label')).toBe('tilt switch, 62 per cent suspected, marked on arrival');
});

test('a station that the model does not have is not drawn', () => {
  const [first] = kind.lines[0]!.stations;
  stand(<LineBoard kind={kind} dropped={[first!.id]} states={{}} onChoose={() => {}} title="The board" />);
  expect(marks()).toHaveLength(kind.lines.flatMap((l) => l.stations).length - 1);
});
