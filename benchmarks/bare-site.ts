import { FORMAT } from '@sormet/core/model';

/** The documents that every site has, with nothing in them. */
export function bareSite(): object[] {
  return [
    {
      id: 'site',
      kind: 'site',
      format: FORMAT,
      name: 'Bench',
      slug: 'bench',
      language: 'en',
      surround: null,
      widths: {},
      fonts: {},
    },
    { id: 'tags', kind: 'tags', format: FORMAT, tags: {} },
    { id: 'tokens', kind: 'tokens', format: FORMAT, tokens: {} },
  ];
}
