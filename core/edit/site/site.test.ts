import { say } from '../../said';
import { asset, documentsOf } from '../../test';
import { doEdit, toldOf, type NamedEdit } from '../edits';
import { isRefusal } from '../changes';

const start = documentsOf(asset('pic'));
const after = (edit: NamedEdit) => {
  const done = doEdit(start, edit);
  return isRefusal(done) ? done.refused.code : done.documents.site;
};

describe('the settings of a site', () => {
  test('are set one by one', () => {
    expect(after({ name: 'setSite', args: { set: { name: 'Other' } } })).toMatchObject({
      name: 'Other',
    });
    expect(after({ name: 'setSite', args: { set: { language: 'de-AT' } } })).toMatchObject({
      language: 'de-AT',
    });
    const icon = after({ name: 'setSite', args: { set: { icon: 'pic' } } });
    expect(icon).toMatchObject({ icon: 'pic' });
  });

  test('are refused with a reason where they mean nothing', () => {
    expect(after({ name: 'setSite', args: { set: { slug: 'Two Words' } } })).toContain('member-is');
    expect(after({ name: 'setSite', args: { set: { language: 'English!' } } })).toContain(
      'member-is',
    );
    expect(after({ name: 'setSite', args: { set: { surround: 'gone' } } })).toContain('gone');
    expect(after({ name: 'setSite', args: { set: { icon: 'gone' } } })).toContain('gone');
  });

  test('are named in the history as people say it', () => {
    expect(toldOf(start, { name: 'setSite', args: { set: { slug: 'x' } } })).toEqual(
      say('set-of-site', { what: say('the-address-of-site'), value: 'x' }),
    );
    expect(toldOf(start, { name: 'setWidth', args: { width: 'w500', max: null } })).toEqual(
      say('took-width', { max: 500 }),
    );
  });
});

describe('the widths of a site', () => {
  test('are added, changed and taken away', () => {
    expect(after({ name: 'setWidth', args: { width: 'new', max: 700 } })).toMatchObject({
      widths: { w900: { max: 900 }, w500: { max: 500 }, new: { max: 700 } },
    });
    expect(after({ name: 'setWidth', args: { width: 'w500', max: 480 } })).toMatchObject({
      widths: { w500: { max: 480 } },
    });
    const site = after({ name: 'setWidth', args: { width: 'w500', max: null } });
    expect(typeof site === 'string' ? site : Object.keys(site.widths)).toEqual(['w900']);
  });

  test('are each there once', () => {
    expect(after({ name: 'setWidth', args: { width: 'new', max: 900 } })).toBe('width-taken');
    expect(after({ name: 'setWidth', args: { width: 'gone', max: null } })).toContain('gone');
  });
});
