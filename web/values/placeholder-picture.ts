import { allOf, type Documents } from '@sormet/core/model';

/** The asset that stands for a picture nobody has chosen yet. */
export function placeholderPicture(documents: Documents): string | undefined {
  const pictures = allOf(documents, 'asset').filter(({ mediaType }) =>
    mediaType.startsWith('image/'),
  );
  return (pictures.find(({ name }) => name.startsWith('placeholder')) ?? pictures[0])?.id;
}
