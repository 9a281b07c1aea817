import { docOf, FORMAT, readCheck, type AssetDoc } from '../../model';
import { documentsOf, page, signTokens } from '../../test';
import { applyChanges, EDITS, doEdit, inverse, isRefusal, runEdit } from '..';

const file = (id: string, name: string): AssetDoc => ({
  kind: 'asset',
  format: FORMAT,
  id,
  name,
  sha256: 'a'.repeat(64),
  mediaType: 'image/png',
  width: 4,
  height: 3,
});

const documents = documentsOf(
  signTokens,
  page('home', '/', { tag: 'main' }),
  file('one', 'one.png'),
  file('two', 'sheds/old/two.png'),
);

const moved = (folder: string, assets = ['one', 'two']) =>
  doEdit(documents, { name: 'moveAssets', args: { assets, folder } });
const names = (done: ReturnType<typeof moved>) =>
  isRefusal(done)
    ? done.refused.code
    : ['one', 'two'].map((id) => docOf(done.documents, 'asset', id)!.name);

describe('files that are moved to a folder', () => {
  test('keep what they are called in it, wherever they came from', () => {
    expect(names(moved('mills'))).toEqual(['mills/one.png', 'mills/two.png']);
    expect(names(moved('sheds/old'))).toEqual(['sheds/old/one.png', 'sheds/old/two.png']);
    expect(names(moved(''))).toEqual(['one.png', 'two.png']);
  });

  test('are all moved, or none, and are back by one step', () => {
    const changes = runEdit(documents, {
      name: 'moveAssets',
      args: { assets: ['one', 'two'], folder: 'mills' },
    });
    if (isRefusal(changes)) throw new Error(changes.refused.code);
    const after = applyChanges(documents, changes);
    expect([...applyChanges(after, inverse(changes))]).toEqual([...documents]);
    expect(names(moved('mills', ['one', 'gone']))).toBe('gone');
  });

  // A folder that is none is refused where edits come in, by its form.
  test.each(['/', 'a//b', 'a/', '/a', 'x'.repeat(201)])('are not moved to %s', (folder) =>
    expect(readCheck(EDITS.moveAssets.args)({ assets: ['one'], folder })).toBe(false),
  );

  test.each(['', 'a', 'a b/c'])('are moved to “%s”', (folder) =>
    expect(readCheck(EDITS.moveAssets.args)({ assets: ['one'], folder })).toBe(true),
  );

  test('are not moved where their names would be longer than names may be', () => {
    expect(isRefusal(moved('x'.repeat(190)))).toBe(false);
    const long = documents.with(file('one', `${'y'.repeat(60)}.png`));
    const done = doEdit(long, {
      name: 'moveAssets',
      args: { assets: ['one'], folder: 'x'.repeat(190) },
    });
    expect(isRefusal(done)).toBe(true);
  });
});
