import { Senders } from './senders';

test('five messages a minute are taken of one sender for one site; others do not wait for that', () => {
  let now = 0;
  const senders = new Senders(() => now);
  const many = () => Array.from({ length: 5 }, () => senders.sends('a', 'site'));
  expect(many()).toEqual(Array.from({ length: 5 }, () => undefined));
  now = 20_000;
  expect(senders.sends('a', 'site')).toBe(40);
  expect(senders.sends('b', 'site')).toBeUndefined();
  expect(senders.sends('a', 'another')).toBeUndefined();
  now = 60_000;
  expect(senders.sends('a', 'site')).toBeUndefined();
});

test('who sends within a moment after the page was opened is quick; whose opening nobody saw is not', () => {
  let now = 0;
  const senders = new Senders(() => now);
  expect(senders.isQuick('a', 'site', '/')).toBeUndefined();
  senders.opens('a', 'site', '/');
  now = 800;
  expect(senders.isQuick('a', 'site', '/')).toBe(800);
  expect(senders.isQuick('a', 'site', '/other')).toBeUndefined();
  now = 1500;
  expect(senders.isQuick('a', 'site', '/')).toBeUndefined();
});
