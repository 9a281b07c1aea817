import { literal, text, type AssetDoc } from '@sormet/core/model';
import type { Branch } from '@sormet/core/ready';

/** The kinds of files that can be brought in by dropping or pasting them: pictures and films. */
export function isBroughtIn({ type }: { readonly type: string }): boolean {
  return type.startsWith('image/') || type === 'video/mp4' || type === 'video/webm';
}

/** The element that shows a file of the site: a picture, or a film with what it is played with. */
export function fileBranch({ id: asset, mediaType }: AssetDoc): Branch {
  return mediaType.startsWith('video/')
    ? {
        tag: 'video',
        attributes: {
          src: literal({ type: 'video', value: { asset } }),
          controls: literal({ type: 'boolean', value: true }),
        },
      }
    : {
        tag: 'img',
        attributes: { src: literal({ type: 'image', value: { asset } }), alt: text('') },
      };
}
