import { FORMAT, newId, type AssetDoc } from '@sormet/core/model';
import type { FileAnswer } from '@sormet/core/api';
import { api } from '../site/api';
import { useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { siteActions } from '../store/site-slice';
import { useAppDispatch } from '../store/store';

/** Bringing pictures in: each is read and cleaned by the server, then it is a file of the site. */
export function usePictures(): {
  /** @returns the ids of those that came in; why another did not is said */
  readonly bringIn: (files: readonly File[]) => Promise<string[]>;
} {
  const sync = useSync();
  const dispatch = useAppDispatch();
  return {
    async bringIn(files) {
      const brought: string[] = [];
      for (const file of files)
        try {
          const stored = await api.upload(sync.site, file);
          const doc = assetOf(stored);
          if (stored.leftOut.length > 0)
            dispatch(
              benchActions.notice(
                `${stored.name} was brought in without what does not draw: ${stored.leftOut.join(', ')}.`,
              ),
            );
          if (sync.edit({ name: 'addAsset', args: { asset: doc } })) brought.push(doc.id);
        } catch (error) {
          dispatch(siteActions.refused((error as Error).message));
        }
      return brought;
    },
  };
}

function assetOf({ sha256, mediaType, name, width, height }: FileAnswer): AssetDoc {
  return {
    id: newId(),
    kind: 'asset',
    format: FORMAT,
    name,
    sha256,
    mediaType: mediaType as AssetDoc['mediaType'],
    width,
    height,
  };
}
