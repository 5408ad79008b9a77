/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import { furnishBrowser, stand } from '../testBench.fixture';
import { FoundPictures } from './FoundPictures';
import { jobInFind } from './job.fixture';

const settle = () => act(async () => {});
const at = '2030-03-04T09:00:00+00:00';
const shown = (id: number, shows: string) => ({ id, at, caption: '', shows, width: 4, height: 3, person: null });

test('what was found is photographed cause by cause, and each picture stands with its own', async () => {
  const { answer } = furnishBrowser();
  answer.with = () => ({ id: 77, width: 4, height: 3 });
  const acts: unknown[] = [];
  const { facts } = jobInFind([], {
    photographs: [shown(5, 'fault:belt-broken'), shown(6, 'step:plate-screws'), shown(7, 'fault:bearing-rough')],
  });
  const desk = { job: facts, act: async (deed: string, body?: object) => (acts.push([deed, body]), true) };
  stand(<FoundPictures desk={desk} faults={['belt-broken', 'bearing-rough']} />);
  expect(screen.getAllByRole('img').map((i) => i.getAttribute('src'))).toEqual([
    '/api/v1/photographs/5?small',
    '/api/v1/photographs/7?small',
  ]);
  const picture = new File(['x'], 'seen.jpg', { type: 'image/jpeg' });
  fireEvent.change(screen.getByLabelText('Photograph: roll bearing rough'), { target: { files: [picture] } });
  await settle();
  await settle();
  expect(acts).toEqual([
    ['add-photograph', { photographs: [77], caption: 'Roll bearing rough', shows: 'fault:bearing-rough' }],
  ]);
});

test('one cause needs no name on its key', () => {
  furnishBrowser();
  const { facts } = jobInFind();
  stand(<FoundPictures desk={{ job: facts, act: async () => true }} faults={['belt-broken']} />);
  expect(screen.getByRole('button', { name: 'Photograph what was found' })).toBeTruthy();
});

test('many causes leave room for the work: those without a picture are folded away', () => {
  furnishBrowser();
  const { facts } = jobInFind([], { photographs: [shown(5, 'fault:belt-broken')] });
  const faults = ['bearing-rough', 'belt-broken', 'roll-jammed-by-object'];
  stand(<FoundPictures desk={{ job: facts, act: async () => true }} faults={faults} />);
  const folded = document.querySelector('details')!;
  expect(folded.open).toBe(false);
  expect([...folded.querySelectorAll('button')].map((b) => b.textContent)).toEqual([
    'Photograph: roll bearing rough',
    'Photograph: roll jammed by an object',
  ]);
  expect(screen.getByRole('img').closest('details')).toBeNull();
});
