import { doEdit, isRefusal, placesOfValue, type NamedEdit } from '..';
import type { Documents } from '../../model';
import { saidText } from '../../said';
import { documentsOf, page } from '../../test';
import { after } from '../../test/after';
import { blockOf } from '../../style';

const start = documentsOf(
  page('home', '/', {
    id: 'root',
    tag: 'main',
    style: blockOf({ color: '#123456', 'border-top': '1px solid #123456', width: '9px' }),
  }),
);

const add = (token: string, css: string, more: object = {}): NamedEdit => ({
  name: 'addToken',
  args: { token, name: token, group: 'colour', order: 'a0', css, places: [], ...more },
});
const styleOf = (documents: Documents) => {
  const root = documents.ofKind('page', 'home')!.nodes['root']!;
  return root.kind === 'element' ? root.style : {};
};
const refusal = (documents: Documents, edit: NamedEdit) => {
  const done = doEdit(documents, edit);
  return isRefusal(done) ? done.refused.code : '';
};

test('a value becomes a token wherever it stands for the same thing, and nowhere else', () => {
  const places = placesOfValue(start, '#123456', 'colour');
  expect(places.map(({ path }) => path)).toEqual([
    '/nodes/root/style/color',
    '/nodes/root/style/border-top-color',
  ]);
  const style = styleOf(after(start, add('brand', '#123456', { places })));
  const named = { css: 'var(--t)', refs: { t: { token: 'brand', type: 'colour' } } };
  expect(style['color']).toEqual(named);
  expect(style['border-top-color']).toEqual(named);
  expect(style['width']).toEqual({ css: '9px' });
});

test('a place that holds something else by now is told, and nothing is done', () => {
  const places = [{ doc: 'home', path: '/nodes/root/style/width' }];
  expect(refusal(start, add('brand', '#123456', { places }))).toContain('not-that-any-more');
});

test('a token that would be made from itself is refused with the way', () => {
  const both = after(
    start,
    add('a', 'red'),
    add('b', 'color-mix(in oklab,var(--x),black 10%)', { tokens: { x: 'a' } }),
  );
  const edit: NamedEdit = {
    name: 'setToken',
    args: { token: 'a', set: { css: 'var(--x)', tokens: { x: 'b' } } },
  };
  expect(refusal(both, edit)).toBe('token-of-itself');
});

test('removed, its value is written out wherever it stood, or another stands there', () => {
  const places = placesOfValue(start, '#123456', 'colour');
  const used = after(
    start,
    add('brand', '#123456', { places }),
    add('dark', 'color-mix(in oklab,var(--x),black 10%)', { tokens: { x: 'brand' } }),
    add('other', 'red'),
  );
  const written = after(used, { name: 'removeToken', args: { token: 'brand', instead: null } });
  expect(styleOf(written)['color']).toEqual({ css: '#123456' });
  expect(written.tokens.tokens['dark']!.value.css).toBe('color-mix(in oklab,#123456,black 10%)');
  const instead = after(used, { name: 'removeToken', args: { token: 'brand', instead: 'other' } });
  expect(styleOf(instead)['color']!.refs).toEqual({ t: { token: 'other', type: 'colour' } });
});

test('names are told apart however they are written; one with braces could not be typed', () => {
  const one = after(start, add('brand', 'red'));
  expect(refusal(one, add('x', 'red', { name: ' BRAND ' }))).toBe('token-name-taken');
  expect(refusal(one, add('x', 'red', { name: '{x}' }))).toContain('token-name-braces');
  expect(refusal(one, add('x', '12px'))).toContain('is-no');
});

test('of every element only states are said, weaker than what a tag says', () => {
  const documents = documentsOf();
  const ring = (state?: ':focus-visible') =>
    doEdit(documents, {
      name: 'declareTag',
      args: {
        tag: '*',
        property: 'outline-width',
        width: 'base',
        css: '5px',
        ...(state ? { state } : {}),
      },
    });
  expect(ring()).toMatchObject({ refused: { code: 'every-element-only-states' } });
  const done = ring(':focus-visible');
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  expect(done.documents.tags.tags['*']!['outline-width:focus-visible']).toEqual({ css: '5px' });
});

test('a token holds no keyword that says where a value comes from', () => {
  for (const css of ['inherit', ' Initial', 'unset', 'revert-layer']) {
    const done = doEdit(documentsOf(), {
      name: 'addToken',
      args: { token: 'wide', name: 'wide', group: 'colour', order: 'a0', css, places: [] },
    });
    expect(done).toHaveProperty('refused.code', 'is-no');
  }
});
