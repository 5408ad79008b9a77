import { afterwards, afterwardsDone } from './afterwards';

test('it begins once what runs now has come to rest, and is waited for from the moment it was asked', async () => {
  const order: string[] = [];
  afterwards(async () => void order.push('afterwards'));
  order.push('the answer');
  for (let turns = 0; turns < 5; turns++) await Promise.resolve();
  order.push('its last words');
  await afterwardsDone();
  expect(order).toEqual(['the answer', 'its last words', 'afterwards']);
});
