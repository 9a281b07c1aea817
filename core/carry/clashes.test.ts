import { clashesOf, clipOf, fitClip, type Choice } from '.';
import { doEdit, isRefusal } from '../edit';
import { FORMAT, newId, placeAt, type Documents, type StyleDoc, type TokensDoc } from '../model';
import { saidText } from '../said';
import { readBlock } from '../style';
import { documentsOf, page } from '../test';

const tokensOf = (brand: string): TokensDoc => ({
  id: 'tokens',
  kind: 'tokens',
  format: FORMAT,
  tokens: { brand: { name: 'brand', order: 'a0', type: 'colour', value: { css: brand } } },
});
const look = (id: string, says: Record<string, string>, brand: string): StyleDoc => ({
  id,
  kind: 'style',
  format: FORMAT,
  name: 'Look',
  order: 'a0',
  base: null,
  origin: null,
  style: readBlock(tokensOf(brand).tokens, says, { ':hover': { color: 'black' } }),
});

const theirs = documentsOf(
  tokensOf('#aa0000'),
  look('their-look', { color: '{brand}', 'padding-top': '9px' }, '#aa0000'),
  page('from', '/', {
    id: 'root',
    tag: 'main',
    children: [{ id: 'box', tag: 'p', text: 'Words', shared: { 'their-look': true } }],
  }),
);
const ours = documentsOf(
  tokensOf('#0000aa'),
  look('our-look', { color: '{brand}', 'padding-top': '1px' }, '#0000aa'),
  page('start', '/', { id: 'root', tag: 'main' }),
);
const clip = clipOf(theirs, 'there', 'from', ['box'])!;

function pasted(choice: Choice): Documents {
  const at = placeAt({ ...ours.ofKind('page', 'start')!.nodes }, 'root', 0);
  const choices = { brand: choice, 'their-look': choice };
  const { roots, nodes, bring, restyle, tokens } = fitClip(
    ours,
    clip,
    'start',
    at,
    newId,
    choices,
  )!;
  const done = doEdit(ours, {
    name: 'paste',
    args: { doc: 'start', roots: [...roots], nodes, bring: [...bring], restyle, tokens },
  });
  if (isRefusal(done)) throw new Error(saidText(done.refused));
  return done.documents;
}

const names = (documents: Documents) => [
  ...documents.all('style').map(({ name }) => name),
  ...Object.values(documents.tokens.tokens).map(({ name, value }) => `${name} ${value.css}`),
];

test('what is called the same and looks otherwise is told, styles and tokens each', () => {
  expect(clashesOf(ours, clip).map(({ is, name }) => [is, name])).toEqual([
    ['token', 'brand'],
    ['style', 'Look'],
  ]);
  expect(clashesOf(theirs, clip)).toEqual([]);
});

test('ours: nothing of the site changes, and what comes in has it on', () => {
  const after = pasted('ours');
  expect(names(after)).toEqual(['Look', 'brand #0000aa']);
  const [node] = Object.values(after.ofKind('page', 'start')!.nodes).filter(
    (each) => each.kind === 'element' && each.tag === 'p',
  );
  expect(node).toMatchObject({ shared: { 'our-look': true } });
});

test('theirs in place of ours: the site’s own look so from then on, states too', () => {
  const after = pasted('theirs');
  expect(names(after)).toEqual(['Look', 'brand #aa0000']);
  expect(after.ofKind('style', 'our-look')!.style).toEqual(
    look('x', { color: '{brand}', 'padding-top': '9px' }, '#aa0000').style,
  );
});

test('theirs under another name: both are there, and what comes in has theirs on', () => {
  const after = pasted('both');
  expect(names(after).sort()).toEqual(['Look', 'Look 2', 'brand #0000aa', 'brand 2 #aa0000']);
  const second = after.all('style').find(({ name }) => name === 'Look 2')!;
  const [ref] = Object.values(second.style['color']!.refs!);
  expect(ref && 'token' in ref && after.tokens.tokens[ref.token]!.name).toBe('brand 2');
});
