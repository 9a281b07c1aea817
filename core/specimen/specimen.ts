import { plant, type Branch } from '../ready';
import { allOf, FORMAT, inOrder, PLAIN_THEME, text, type Documents, type PageDoc } from '../model';
import { blockOf } from '../style';
import { caption } from './pieces';
import type { As, Stands } from './stands';
import { stylesShown } from './styles-shown';
import { tagsShown } from './tags-shown';
import { tokensShown } from './tokens-shown';

/** The id of the page that is the specimen; no stored document has it. */
export const SPECIMEN = 'the-specimen';

/** A page with one of everything that has a look, and what of it is which. */
export interface Specimen {
  readonly page: PageDoc;
  /** What each part stands for. */
  readonly stands: ReadonlyMap<string, Stands>;
}

/** Everything a site's look is made of, as a page of it: in each theme. */
export function specimenOf(documents: Documents): Specimen {
  const stands = new Map<string, Stands>();
  let next = 0;
  const newId = (letter: string) => `${letter}${(next += 1)}`;
  const as: As = (each) => {
    const id = newId('s');
    stands.set(id, each);
    return id;
  };
  const themes = inOrder(documents.tokens.themes ?? {});
  const sections = [
    inTheme(documents, 'Plain', PLAIN_THEME, as),
    ...themes.map(([id, { name }]) => inTheme(documents, name, id, as)),
  ];
  const { nodes } = plant(
    { id: 'specimen', tag: 'main', children: sections },
    { parent: null, order: 'a0' },
    () => newId('n'),
  );
  const page: PageDoc = {
    id: SPECIMEN,
    kind: 'page',
    format: FORMAT,
    name: 'Specimen',
    path: '/',
    title: text('Specimen'),
    description: text(''),
    draft: true,
    entries: null,
    former: {},
    nodes,
  };
  return { page, stands };
}

function inTheme(documents: Documents, name: string, theme: string, as: As): Branch {
  return {
    id: as({ is: 'tag', tag: 'body' }),
    tag: 'section',
    theme,
    style: blockOf({ padding: '24px 32px 40px' }),
    children: [
      caption(`Theme: ${name}`),
      ...tokensShown(documents, as),
      ...tagsShown(as),
      ...stylesShown(documents, as),
      ...componentsShown(documents, as),
    ],
  };
}

function componentsShown(documents: Documents, as: As): Branch[] {
  const { surround } = documents.site;
  const components = allOf(documents, 'component')
    .filter(({ id }) => id !== surround)
    .sort((a, b) => (a.name < b.name ? -1 : 1));
  return components.flatMap(({ id, name }) => [
    caption(name),
    { id: as({ is: 'component', component: id }), component: id },
  ]);
}
