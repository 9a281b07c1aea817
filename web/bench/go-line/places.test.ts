import { component, documentsOf, page } from '@sormet/core/test';
import type { Placeable } from '../../canvas/placing';
import { nextPlace, placesFor } from './places';

const frame = component('frame', { tag: 'div', children: [{ slot: 'main' }] }, {}, ['main']);
const home = page('home', '/', {
  id: 'body',
  component: 'frame',
  slots: {
    main: [
      { id: 'empty', tag: 'div' },
      { id: 'full', tag: 'section', children: [{ id: 'words', tag: 'p', text: 'Words' }] },
      { id: 'line', tag: 'hr' },
      { id: 'press', tag: 'a', text: 'Words' },
      { id: 'framed', component: 'frame' },
    ],
  },
});
const documents = documentsOf(frame, home);
const from = (node: string | null, placeable?: Placeable) =>
  placesFor(
    documents,
    'home',
    node === null ? null : { doc: 'home', nodes: [node] },
    placeable,
  ).map(({ where, place: { parent, slot } }) => [where, parent, slot].filter(Boolean).join(' '));

describe('where something goes that is placed without pointing', () => {
  test('is into an empty box or an empty slot that is selected', () => {
    expect(from('empty')[0]).toBe('into empty');
    expect(from('framed')[0]).toBe('into framed main');
  });

  test('is after what is selected when that holds something, then before it, then into it', () => {
    expect(from('full')).toEqual(['after body main', 'before body main', 'into full']);
  });

  test('is never into what holds nothing, and into words last', () => {
    expect(from('line')).toEqual(['after body main', 'before body main']);
    expect(from('words')).toEqual(['after full', 'before full', 'into words']);
  });

  test('is into what is pressed, for a mark beside its words', () => {
    const icon: Placeable = { is: 'starter', key: 'icon' };
    expect(from('press', icon)[0]).toBe('into press');
    expect(from('press')[0]).toBe('after body main');
    const at = nextPlace(documents, 'home', { doc: 'home', nodes: ['press'] }, icon);
    expect(at?.parent).toBe('press');
  });

  test('is last in the main content with nothing selected, or the page itself', () => {
    expect(from(null)).toEqual(['into body main']);
    expect(from('body')).toEqual(['into body main']);
    expect(placesFor(documents, 'gone', null)).toEqual([]);
  });
});
