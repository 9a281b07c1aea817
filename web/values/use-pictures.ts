import { FORMAT, newId, type AssetDoc } from '@sormet/core/model';
import type { FileAnswer } from '@sormet/core/api';
import { api } from '../site/api';
import { useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { siteActions } from '../store/site-slice';
import { useAppDispatch } from '../store/store';
import { toldWords } from '../words';

/** Bringing pictures and films in: each is read by the server, pictures are cleaned; then it is a file of the site. */
export function usePictures(): {
  /** @returns those that came in; why another did not is said */
  readonly bringIn: (files: readonly File[]) => Promise<AssetDoc[]>;
  /** Says why something that came in is not what was wanted. */
  readonly refuse: (why: string) => void;
} {
  const sync = useSync();
  const dispatch = useAppDispatch();
  return {
    refuse: (why) => dispatch(siteActions.refused(why)),
    async bringIn(files) {
      const brought: AssetDoc[] = [];
      for (const file of files)
        try {
          const stored = await api.upload(sync.site, file);
          if (stored.font) {
            dispatch(
              siteActions.refused(
                `“${stored.name}” is a font; fonts are brought in in the settings of the site.`,
              ),
            );
            continue;
          }
          const doc = assetOf(stored, await filmSize(stored.mediaType, file));
          if (stored.leftOut.length > 0)
            dispatch(
              benchActions.notice(
                `${stored.name} was brought in without what does not draw: ${stored.leftOut.map(toldWords).join(', ')}.`,
              ),
            );
          if (sync.edit({ name: 'addAsset', args: { asset: doc } })) brought.push(doc);
        } catch (error) {
          dispatch(siteActions.refused((error as Error).message));
        }
      return brought;
    },
  };
}

interface Size {
  readonly width?: number;
  readonly height?: number;
}

/** How large a film is drawn, in CSS px, as the browser that brings it in sees it; nothing where it cannot play it. */
function filmSize(mediaType: string, file: File): Promise<Size> {
  if (!mediaType.startsWith('video/')) return Promise.resolve({});
  const film = document.createElement('video');
  const address = URL.createObjectURL(file);
  return new Promise<Size>((done) => {
    const end = (size: Size) => {
      URL.revokeObjectURL(address);
      done(size);
    };
    film.addEventListener('loadedmetadata', () => {
      const { videoWidth: width, videoHeight: height } = film;
      end(width > 0 && height > 0 ? { width, height } : {});
    });
    film.addEventListener('error', () => end({}));
    film.preload = 'metadata';
    film.src = address;
  });
}

/**
 * A file that was stored as one of the site.
 * @param film how large a film is drawn: that the server does not know
 */
export function assetOf(
  { sha256, mediaType, name, width, height }: FileAnswer,
  film: Size = {},
): AssetDoc {
  return {
    id: newId(),
    kind: 'asset',
    format: FORMAT,
    name,
    sha256,
    mediaType: mediaType as AssetDoc['mediaType'],
    ...(width !== undefined && height !== undefined ? { width, height } : film),
  };
}
