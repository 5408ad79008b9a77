import { asWork, notWanted } from './underWay';

test('work is cancelled when its sender leaves, and knows it wherever it is done', async () => {
  const sender = new AbortController();
  const heard = asWork(1, sender.signal, async () => {
    const signal = notWanted()!;
    expect(signal.aborted).toBe(false);
    sender.abort();
    await Promise.resolve();
    return signal.aborted;
  });
  expect(await heard).toBe(true);
  expect(notWanted()).toBeUndefined();
});

test('one person cannot have everything at once; another is answered meanwhile, and so is the first afterwards', async () => {
  let finish = () => {};
  const gate = new Promise<void>((done) => (finish = done));
  const never = new AbortController().signal;
  const under = Array.from({ length: 40 }, () => asWork(7, never, () => gate));
  await expect(asWork(7, never, async () => 'more')).rejects.toMatchObject({ status: 503 });
  expect(await asWork(8, never, async () => 'other')).toBe('other');
  finish();
  await Promise.all(under);
  expect(await asWork(7, never, async () => 'again')).toBe('again');
});
