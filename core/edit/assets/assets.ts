import { Type } from '@sinclair/typebox';
import { AssetDoc, FocusPoint, docOf } from '../../model';
import { say } from '../../said';
import { exact, Id } from '../args';
import { change, type Change, changeTo } from '../changes';
import { defineEdit, gone, refuse } from '../define';
import { documentWord } from '../names';

/** Makes a stored file part of the site. That it is stored is checked by the server, which alone knows. */
export const addAsset = defineEdit({
  args: Type.Object({ asset: AssetDoc }, exact),
  run(documents, { asset }) {
    if (documents.get(asset.id)) return refuse(say('id-taken'), asset.id);
    return [change(asset.id, '', undefined, asset)];
  },
  told: (_, { asset }) => say('added-file', { name: asset.name }),
});

/**
 * Names a file, says what stands for it where it is not seen, or puts another file in its place: whatever shows it shows
 * that one from then on.
 */
export const setAsset = defineEdit({
  args: Type.Object(
    {
      asset: Id,
      set: Type.Union([
        Type.Object({ name: AssetDoc.properties.name }, exact),
        Type.Object({ alt: Type.Union([AssetDoc.properties.alt, Type.Null()]) }, exact),
        Type.Object({ focus: Type.Union([FocusPoint, Type.Null()]) }, exact),
        Type.Object(
          {
            file: Type.Pick(AssetDoc, ['sha256', 'mediaType', 'width', 'height'], exact),
          },
          exact,
        ),
      ]),
    },
    exact,
  ),
  run(documents, { asset, set }) {
    const doc = docOf(documents, 'asset', asset);
    if (!doc) return gone('the-file', asset);
    if ('name' in set) return changeTo(documents, asset, ['name'], set.name);
    if ('alt' in set) {
      if (isFont(doc.mediaType)) return refuse(say('font-is-not-seen'), asset);
      return changeTo(documents, asset, ['alt'], set.alt ?? undefined);
    }
    if ('focus' in set)
      return doc.mediaType.startsWith('image/')
        ? changeTo(documents, asset, ['focus'], set.focus ?? undefined)
        : refuse(say('only-picture-cropped'), asset);
    // A font stays a font: what is set in it would have none.
    if (isFont(doc.mediaType) !== isFont(set.file.mediaType))
      return refuse(say('file-of-another-sort'), asset);
    const { width: _, height: __, ...kept } = doc;
    return [change(asset, '', doc, { ...kept, ...set.file })];
  },
  told: (documents, { asset, set }) => {
    const name = docOf(documents, 'asset', asset)?.name ?? say('the-file');
    if ('alt' in set) return say('said-of-file', { name });
    if ('focus' in set) return say('set-focus', { name });
    return 'name' in set
      ? say('named-thing', { what: name, name: set.name })
      : say('replaced-file', { name });
  },
});

/** Puts files into a folder, or into none: what their names begin with, up to the last slash. */
export const moveAssets = defineEdit({
  args: Type.Object(
    {
      assets: Type.Array(Id, { minItems: 1, maxItems: 5000, uniqueItems: true }),
      folder: Type.String({
        pattern: '^([^/]+(/[^/]+)*)?$',
        // As long as names are: what is in it makes it too long then, and that is said here.
        maxLength: 200,
        says: 'folder-form',
      }),
    },
    exact,
  ),
  run(documents, { assets, folder }) {
    const changes: Change[] = [];
    for (const asset of assets) {
      const doc = docOf(documents, 'asset', asset);
      if (!doc) return gone('the-file', asset);
      const alone = doc.name.slice(doc.name.lastIndexOf('/') + 1) || doc.name;
      const name = folder === '' ? alone : `${folder}/${alone}`;
      if (name !== doc.name) changes.push(...changeTo(documents, asset, ['name'], name));
    }
    return changes;
  },
  told: (documents, { assets, folder }) => {
    const what = docOf(documents, 'asset', assets[0]!)?.name ?? say('the-file');
    if (folder === '') return say('took-out-of-folder', { many: assets.length, what });
    return say('moved-to-folder', { many: assets.length, what, folder });
  },
});

/** Removes files from the site. What showed them is empty then; a font that is used stays. */
export const removeAssets = defineEdit({
  args: Type.Object(
    { assets: Type.Array(Id, { minItems: 1, maxItems: 5000, uniqueItems: true }) },
    exact,
  ),
  run(documents, { assets }) {
    const fonts = new Set(Object.values(documents.site.fonts).map(({ asset }) => asset));
    const changes: Change[] = [];
    for (const asset of assets) {
      const doc = docOf(documents, 'asset', asset);
      if (!doc) return gone('the-file', asset);
      if (fonts.has(asset))
        return refuse(
          say('still-used', {
            what: doc.name,
            places: [documentWord(documents.site)],
            more: 0,
          }),
          asset,
        );
      changes.push(change(asset, '', doc, undefined));
    }
    return changes;
  },
  told: (documents, { assets }) =>
    assets.length === 1
      ? say('removed-thing', {
          what: docOf(documents, 'asset', assets[0]!)?.name ?? say('the-file'),
        })
      : say('removed-files', { many: assets.length }),
});

function isFont(mediaType: string): boolean {
  return mediaType.startsWith('font/');
}
