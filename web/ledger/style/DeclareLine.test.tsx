import { act, type ReactNode } from 'react';
import { screen } from '@testing-library/react';
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
