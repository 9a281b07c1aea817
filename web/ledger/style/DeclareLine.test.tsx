import { act, type ReactNode } from 'react';
import { screen, within } from '@testing-library/react';
import { docOf, type ElementNode } from '@sormet/core/model';
import { benchActions } from '../../store/bench-slice';
import { atSite } from '../../test/at-site';
import { useSelected } from '../use-selected';
import { StyleLedger } from './StyleLedger';

function StyleOfAbout(): ReactNode {
  const selected = useSelected('page-about', undefined);
  return selected ? <StyleLedger selected={selected} /> : null;
}

/** A plain element of the page, selected. */
async function atElement() {
  const there = await atSite(<StyleOfAbout />);
  const { nodes } = docOf(there.documents(), 'page', 'page-about')!;
  const node = Object.keys(nodes).find((id) => nodes[id]!.kind === 'element')!;
  act(() => void there.store.dispatch(benchActions.select({ doc: 'page-about', nodes: [node] })));
  const styleNow = () =>
    (docOf(there.documents(), 'page', 'page-about')!.nodes[node] as ElementNode).style;
  return { ...there, styleNow, line: screen.getByRole('combobox', { name: 'Declare line' }) };
}

test('a few letters become a declaration, which is said before it is made', async () => {
  const { user, line, styleNow } = await atElement();
  await user.type(line, 'pt 24');
  expect(line.closest('.declare-line')).toHaveTextContent('padding-top');
  await user.keyboard('{Enter}');
  expect(styleNow()['padding-top']?.css).toBe('24px');
  expect(line).toHaveValue('');
});

test('at a width and in a state it goes there and nowhere else', async () => {
  const { user, line, styleNow, documents } = await atElement();
  const [width] = Object.entries(documents().site.widths).find(([, { max }]) => max === 600)!;
  await user.type(line, 'mt 32 @600{Enter}');
  expect(styleNow()[`margin-top@${width}`]?.css).toBe('32px');
  expect(styleNow()['margin-top']).toBeUndefined();
});

test('what cannot be read is said below, and stays to be mended', async () => {
  const { user, line, styleNow } = await atElement();
  const before = styleNow();
  await user.type(line, 'pad very much{Enter}');
  expect(screen.getByRole('alert')).not.toBeEmptyDOMElement();
  expect(line).toHaveValue('pad very much');
  expect(styleNow()).toBe(before);
  await user.keyboard('{Escape}{Escape}');
  expect(line).toHaveValue('');
  expect(screen.queryByRole('alert')).toBeNull();
});

test('columns on a block make it a grid too, which is said', async () => {
  const { user, line, styleNow } = await atElement();
  await user.type(line, 'cols 3');
  expect(line.closest('.declare-line')).toHaveTextContent('display: grid');
  await user.keyboard('{Enter}');
  expect(styleNow()).toMatchObject({
    display: { css: 'grid' },
    'grid-template-columns': { css: 'repeat(3,1fr)' },
  });
});

test('letters and Enter put on what is offered first, and what would do nothing is not offered', async () => {
  const { user, line, styleNow } = await atElement();
  await user.type(line, 'cen');
  expect(
    within(screen.getByRole('listbox', { name: 'Declare line' })).getAllByRole('option')[0],
  ).toHaveTextContent('centred');
  await user.keyboard('{Enter}');
  expect(styleNow()['text-align']?.css).toBe('center');
  await user.type(line, 'cen');
  expect(screen.queryByRole('option', { name: /centred/ })).toBeNull();
});

test('what has no effect says so in its cell, with what mends it', async () => {
  const { user, line, styleNow } = await atElement();
  await user.type(line, 'z 3{Enter}');
  await user.click(await screen.findByRole('button', { name: 'z-index, base: let it be moved' }));
  expect(styleNow()).toMatchObject({ 'z-index': { css: '3' }, position: { css: 'relative' } });
  expect(screen.queryByRole('button', { name: /let it be moved/ })).toBeNull();
});
