import { Documents, WorkingCopy } from '.';

/** Documents that hold no more than is looked at here. */
const documentsOf = (record: Record<string, object>) =>
  Documents.from(
    Object.entries(record).map(([id, doc]) => ({ id, kind: 'page', ...doc }) as never),
  );
const inner = (documents: Documents, id: string) => documents.get(id) as never as { a: unknown };

describe('a working copy', () => {
  const before = documentsOf({ one: { a: { x: 1 }, b: { y: { z: 1 } } }, two: { a: {} } });

  test('shares everything off the paths that are written to, and leaves what it was given alone', () => {
    const copy = new WorkingCopy(before);
    expect(copy.write('one', '/b/y/z', 2)).toBe(true);
    const after = copy.documents;
    expect(after.get('one')).toMatchObject({ a: { x: 1 }, b: { y: { z: 2 } } });
    expect(after.get('two')).toBe(before.get('two'));
    expect(inner(after, 'one').a).toBe(inner(before, 'one').a);
    expect((before.get('one') as never as { b: { y: { z: number } } }).b.y.z).toBe(1);
  });

  test('copies a container once, however often it is written to', () => {
    const nodes = Object.fromEntries(Array.from({ length: 50 }, (_, i) => [`n${i}`, { name: '' }]));
    const copy = new WorkingCopy(documentsOf({ page: { nodes } }));
    const containers = new Set<unknown>();
    for (let i = 0; i < 50; i += 1) {
      copy.write('page', `/nodes/n${i}/name`, 'named');
      containers.add(copy.read('page', '')).add(copy.read('page', '/nodes'));
    }
    expect(containers.size).toBe(2);
  });

  test('never writes into a value that it was given to put in', () => {
    const given = { inner: { word: 'as it was' } };
    const copy = new WorkingCopy(before);
    copy.write('one', '/a', given);
    copy.write('one', '/a/inner/word', 'another');
    expect(given.inner.word).toBe('as it was');
    expect(copy.read('one', '/a/inner/word')).toBe('another');
  });

  test('takes members and whole documents away', () => {
    const copy = new WorkingCopy(before);
    copy.write('one', '/a', undefined);
    copy.write('two', '', undefined);
    expect(copy.documents.get('one')).toEqual({ id: 'one', kind: 'page', b: { y: { z: 1 } } });
    expect([...copy.documents.ids()]).toEqual(['one']);
  });

  test('treats a member named __proto__ like any other', () => {
    const copy = new WorkingCopy(before);
    copy.write('two', '/a/__proto__', { evil: true });
    expect(Object.keys((copy.documents.get('two') as never as { a: object }).a)).toEqual([
      '__proto__',
    ]);
    expect(({} as { evil?: boolean }).evil).toBeUndefined();
  });

  test('says where there is nothing to write into, inherited members and lists too', () => {
    const copy = new WorkingCopy(documentsOf({ one: { list: [1] } }));
    expect(copy.write('one', '/none/a', 1)).toBe(false);
    expect(copy.write('constructor', '/a', 1)).toBe(false);
    expect(copy.write('one', '/list/0', 1)).toBe(false);
  });
});
