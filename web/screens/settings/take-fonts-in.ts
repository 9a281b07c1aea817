import { allOf, newId, type Documents, type Font } from '@sormet/core/model';
import type { FileAnswer, OpenFamily } from '@sormet/core/api';
import type { NamedEdit } from '@sormet/core/edit';
import { api } from '../../site/api';
import type { SiteSync } from '../../site/sync';
import { assetOf } from '../../values/use-pictures';
import { refusalWords } from '../../words';

/** A font that was stored, and what is known of it beside what it says itself. */
interface Stored {
  readonly file: FileAnswer;
  readonly known?: Pick<Font, 'family' | 'style' | 'range'>;
}

/** Takes a file of one's own in as a face of a font. @returns what is wrong with it, `''` for nothing */
export async function takeFileIn(
  sync: SiteSync,
  documents: Documents,
  file: File,
): Promise<string> {
  const stored = await api.upload(sync.site, file);
  if (!stored.font) return `“${stored.name}” is no font. Fonts come in as WOFF2.`;
  return addFaces(sync, documents, [{ file: stored }]);
}

/** Takes a family that ships in, with all its faces. @returns what is wrong, `''` for nothing */
export async function takeFamilyIn(
  sync: SiteSync,
  documents: Documents,
  { family, faces }: OpenFamily,
): Promise<string> {
  const stored: Stored[] = [];
  for (const { file, ...face } of faces) {
    const bytes = await api.openFont(file);
    const name = `${file}.woff2`;
    stored.push({
      file: await api.upload(sync.site, new File([bytes], name)),
      known: { family, ...face },
    });
  }
  return addFaces(sync, documents, stored);
}

/** Adds faces as one step. A file that the site has already is not made a second one of it. */
function addFaces(sync: SiteSync, documents: Documents, stored: readonly Stored[]): string {
  const edits = stored.flatMap(({ file, known }): NamedEdit[] => {
    const there = allOf(documents, 'asset').find(({ sha256 }) => sha256 === file.sha256);
    const asset = there ?? assetOf(file);
    const font = { ...file.font!, asset: asset.id, ...known };
    const add: NamedEdit = { name: 'addFont', args: { id: newId(), font } };
    return there ? [add] : [{ name: 'addAsset', args: { asset } }, add];
  });
  return refusalWords(sync.attemptAll(edits, { group: `font ${newId()}` }));
}
