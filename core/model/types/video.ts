import { Type, type Static } from '@sinclair/typebox';
import { assetPath } from '../assets';
import { ID_PATTERN } from '../ids';
import { defineKind, specSchema } from './kind';

const Id = Type.String({ pattern: ID_PATTERN });

/** A moving picture, by the id of its asset, with the still picture that stands for it until it plays. */
export const VideoValue = Type.Object(
  { asset: Id, poster: Type.Optional(Id) },
  { additionalProperties: false },
);
export type VideoValue = Static<typeof VideoValue>;

/** A video; written as the address of its file, with that of its still picture beside, and its size, so that a page keeps its room while it loads. */
export const videoKind = defineKind({
  kind: 'video',
  spec: specSchema('video', {}),
  value: VideoValue,
  empty: null,
  isEmpty: ({ asset }, site) => site.asset(asset) === undefined,
  attribute(name, { asset, poster }, site) {
    const file = site.asset(asset);
    const still = poster === undefined ? undefined : site.asset(poster);
    if (!file) return [];
    const written: [string, string][] = [[name, assetPath(file)]];
    if (still) written.push(['poster', assetPath(still)]);
    if (file.width !== undefined) written.push(['width', String(file.width)]);
    if (file.height !== undefined) written.push(['height', String(file.height)]);
    return written;
  },
  asksSite: true,
});
