import { Type, type Static } from '@sinclair/typebox';
import { assetPath } from '../assets';
import { ID_PATTERN } from '../ids';
import { defineKind, specSchema } from './kind';

/** A picture, by the id of its asset. */
export const ImageValue = Type.Object(
  { asset: Type.String({ pattern: ID_PATTERN }) },
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
  asksSite: true,
});
