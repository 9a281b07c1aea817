import { Type, type Static } from '@sinclair/typebox';
import { assetPath } from '../assets';
import { ID_PATTERN } from '../ids';
import { defineKind, specSchema } from './kind';

/** A picture, by the id of its asset, with what is said of it where it is shown. */
export const ImageValue = Type.Object(
  {
    asset: Type.String({ pattern: ID_PATTERN }),
    /** What stands for it where it is not seen (HTML, 4.8.4.4); nothing where that of the file is meant. */
    alt: Type.Optional(Type.String({ minLength: 1, maxLength: 500 })),
    /** It says nothing that the words around it do not say: no alternative text is missing. */
    decorative: Type.Optional(Type.Literal(true)),
    /** It is loaded when it is about to be seen (HTML, 2.5.7). */
    lazy: Type.Optional(Type.Literal(true)),
  },
  { additionalProperties: false },
);
export type ImageValue = Static<typeof ImageValue>;

/** A picture; written with its size, so that a page keeps its room while it loads. */
export const imageKind = defineKind({
  kind: 'image',
  spec: specSchema('image', {}),
  value: ImageValue,
  empty: null,
  isEmpty: ({ asset }, site) => site.asset(asset) === undefined,
  attribute(name, value, site) {
    const asset = site.asset(value.asset);
    if (!asset) return [];
    const written: [string, string][] = [[name, assetPath(asset)]];
    if (asset.width !== undefined) written.push(['width', String(asset.width)]);
    if (asset.height !== undefined) written.push(['height', String(asset.height)]);
    return written;
  },
  beside: {
    alt: ({ asset, alt, decorative }, site) =>
      alt ?? (decorative ? null : (site.asset(asset)?.alt ?? null)),
    loading: ({ lazy }) => (lazy ? 'lazy' : null),
  },
  focus: ({ asset }, site) => {
    const point = site.asset(asset)?.focus;
    return point ? `${point.x}% ${point.y}%` : null;
  },
  css({ asset }, site) {
    const found = site.asset(asset);
    return found ? `url("${assetPath(found)}")` : 'none';
  },
  asksSite: true,
});
