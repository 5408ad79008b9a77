import { knowledge } from '@/knowledge';
import { drawnKinds } from './KindPicture';
import { similarModels } from './similarModels';

const list = ['Hollin Drayman 40', 'Hollin Drayman 60', 'Ardlow Stave', 'Tussock Rake'].map((m) => {
  const [maker, ...name] = m.split(' ');
  return { maker: maker!, name: name.join(' ') };
});
const found = (maker: string, name: string) => similarModels(list, maker, name).map((m) => m.name);

test.each([
  ['Hollin', 'Drayman40', ['Drayman 40', 'Drayman 60']],
  ['hollin', 'DRAYMAN 40', ['Drayman 40', 'Drayman 60']],
  ['Holin', 'Draiman 40', ['Drayman 40', 'Drayman 60']],
  ['', 'Stave', ['Stave']],
  ['Ardlow', 'Stafe', ['Stave']],
  ['Ardlow', 'Cooper', []],
  ['Hollin', '', []],
])('%s %s', (maker, name, names) => expect(found(maker, name)).toEqual(names));

test('every kind has its picture', () => {
  expect([...drawnKinds].sort()).toEqual(knowledge.kinds.map((k) => k.id).sort());
});
