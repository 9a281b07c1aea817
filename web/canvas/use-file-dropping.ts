import { useRef, useState, type DragEvent } from 'react';
import { newId, placeAt, placesFrom, treeDocOf, type Tree } from '@sormet/core/model';
import { plant } from '@sormet/core/ready';
import type { ResolvedElement } from '@sormet/core/resolve';
import { useLatest } from '../parts/use-latest';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { usePictures } from '../values/use-pictures';
import { fileBranch, isBroughtIn } from './file-branch';
import { landingAt, type Landing } from './landing';
import { pictureAt, usePictureDrop } from './picture-drop';
import { pointIn, type Stage } from './stage';

/**
 * Dropping files of one's own onto a stage: each is brought in, and stands where it was let go; one picture that is let go on
 * another is shown in its place.
 */
export function useFileDropping(stage: Stage): {
  /** The picture in the place of which another would be shown. */
  readonly over: ResolvedElement | null;
  readonly onDragOver: (event: DragEvent) => void;
  readonly onDragLeave: () => void;
  readonly onDrop: (event: DragEvent) => void;
} {
  const { doc, built, registry } = stage;
  const { documents } = useDerived();
  const sync = useSync();
  const dispatch = useAppDispatch();
  const pictures = usePictures();
  const landing = useRef<Landing['at'] | undefined>(undefined);
  const [over, setOver] = useState<ResolvedElement | null>(null);
  const give = usePictureDrop(stage);
  const latest = useLatest(documents);
  const show = (at: Landing['at'] | undefined) => {
    landing.current = at;
    dispatch(benchActions.showLanding(at ?? null));
  };
  const place = async (files: readonly File[], at: Landing['at']) => {
    const assets = await pictures.bringIn(files);
    // While files came in, others may have moved things: where they land is looked up now.
    const tree = treeDocOf(latest.current, doc)?.nodes;
    if (!tree || assets.length === 0) return;
    const places = placesFrom(tree, placeAt(tree, at.parent, at.index, at.slot), assets.length);
    const planted = assets.map((asset, i) => plant(fileBranch(asset), places[i]!, newId));
    const roots = planted.map(({ root }) => root);
    const nodes = Object.assign({}, ...planted.map((each) => each.nodes)) as Tree;
    if (sync.edit({ name: 'paste', args: { doc, roots, nodes, bring: [] } }))
      dispatch(benchActions.select({ doc, nodes: roots }));
  };
  const replace = async (shown: ResolvedElement, file: File) => {
    const [asset] = await pictures.bringIn([file]);
    if (asset) give(shown, asset);
  };
  return {
    over,
    onDragOver(event) {
      if (!event.dataTransfer.types.includes('Files') || !built) return;
      event.preventDefault();
      const picture = isOnePicture(event.dataTransfer) ? pictureAt(stage, event) : undefined;
      setOver(picture ?? null);
      const { x, y } = pointIn(stage, event);
      show(picture ? undefined : landingAt(documents, built, registry, x, y)?.at);
    },
    onDragLeave() {
      setOver(null);
      show(undefined);
    },
    onDrop(event) {
      const at = landing.current;
      setOver(null);
      const dropped = [...event.dataTransfer.files];
      if (dropped.length === 0) return;
      event.preventDefault();
      show(undefined);
      const files = dropped.filter(isBroughtIn);
      if (files.length < dropped.length)
        dispatch(
          benchActions.notice(
            'Pictures (SVG, PNG, JPEG, WebP, GIF) and films (MP4, WebM) can be brought in; the rest was left.',
          ),
        );
      const [file] = files;
      if (over && file) void replace(over, file);
      else if (at && files.length > 0) void place(files, at);
    },
  };
}

/** Whether one file is dragged, and that is a picture. */
function isOnePicture({ items }: DataTransfer): boolean {
  const [item] = items;
  return items.length === 1 && item!.type.startsWith('image/');
}
