import { canBeExposed, controlsOf } from '@sormet/core/edit';
import { literal, newId, nodeIn, type AssetDoc } from '@sormet/core/model';
import type { Control, ResolvedElement } from '@sormet/core/resolve';
import { useLatest } from '../parts/use-latest';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch } from '../store/store';
import { useExposedAt } from '../values/exposed-at';
import { ownerIn, whereSaid } from './address';
import { elementAt, type ScreenPoint, type Stage } from './stage';
import { valueEdit } from './value-edit';

const SHOWN: Control = { of: 'attribute', name: 'src' };

/** Which share of a picture, from each of its edges, is for what shall stand beside it. */
const EDGE = 0.2;

/** The picture that is drawn at a point of the screen, unless the point is near its edge: there something lands beside it. */
export function pictureAt(stage: Stage, point: ScreenPoint): ResolvedElement | undefined {
  const element = elementAt(stage, point);
  if (element?.tag !== 'img') return undefined;
  const rect = stage.registry.rectOf(element);
  if (!rect) return undefined;
  const frame = stage.frame.current!.getBoundingClientRect();
  const across = ((point.clientX - frame.left) / stage.scale - rect.left) / rect.width;
  const down = ((point.clientY - frame.top) / stage.scale - rect.top) / rect.height;
  const isInside = (share: number) => share >= EDGE && share <= 1 - EDGE;
  return isInside(across) && isInside(down) ? element : undefined;
}

/**
 * Gives a picture to what shows one, and says where that went. What a definition shows everywhere alike becomes a property
 * of it, set where the picture was let go.
 */
export function usePictureDrop(stage: Stage): (shown: ResolvedElement, asset: AssetDoc) => void {
  const { doc, built } = stage;
  const { documents } = useDerived();
  const latest = useLatest(documents);
  const sync = useSync();
  const dispatch = useAppDispatch();
  const exposedAt = useExposedAt();
  return (shown, asset) => {
    if (!built) return;
    const now = latest.current;
    const say = (words: string) => dispatch(benchActions.notice(words));
    const picture = literal({ type: 'image', value: { asset: asset.id } });
    const found = whereSaid(now, built, shown, SHOWN);
    const owner = ownerIn(shown, doc);
    switch (found.is) {
      case 'here': {
        const edit = valueEdit(now, found.at, picture);
        if (!sync.edit(edit, { group: `picture ${newId()}` })) return;
        dispatch(benchActions.select({ doc, nodes: [found.at.node] }));
        return say(
          `It shows ${asset.name} now. What stands for the picture where it is not seen is as it was: look whether it fits.`,
        );
      }
      case 'field':
        dispatch(
          benchActions.offer({
            notice: `This picture is bound to content: it is chosen in the entry. ${asset.name} is among the files.`,
            offer: found.entry === undefined ? null : { is: 'entry', entry: found.entry },
          }),
        );
        return;
      case 'made':
        return say(`This picture is worked out. ${asset.name} is among the files.`);
      case 'rule':
        return say(`A rule of the definition says this picture. ${asset.name} is among the files.`);
      case 'inside': {
        const { definition, node } = found;
        const stored = owner === undefined ? undefined : nodeIn(now, doc, owner);
        const isItsOwn = stored?.kind === 'instance' && stored.component === definition?.id;
        const row = definition
          ? controlsOf(now, definition, node).find(
              (each) => each.node === node && each.type.kind === 'image' && canBeExposed(each),
            )
          : undefined;
        if (!definition || !row || !isItsOwn || owner === undefined)
          return say(
            `This picture belongs to a definition that stands further inside. ${asset.name} is among the files.`,
          );
        if (!exposedAt(definition, row, row.label, { doc, node: owner }, picture)) return;
        dispatch(benchActions.select({ doc, nodes: [owner] }));
        return say(
          `${row.label} is a property now: here it is ${asset.name}, elsewhere as it was.`,
        );
      }
    }
  };
}
