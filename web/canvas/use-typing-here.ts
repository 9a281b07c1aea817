import { useCallback, useEffect } from 'react';
import type { Resolved, ResolvedElement } from '@sormet/core/resolve';
import { docOf, nodeIn } from '@sormet/core/model';
import { useLatest } from '../parts/use-latest';
import { useDerived, useSync } from '../site/SiteProvider';
import { benchActions } from '../store/bench-slice';
import { useAppDispatch, useBench } from '../store/store';
import { resolvedOf, textTarget } from './address';
import type { Stage } from './stage';
import { onlyContent } from './only-text';
import { useTyping } from './typing';
import type { RichSession } from './rich-session';
import { useRichTyping } from './typing-rich';
import { NOW_RICH, type Marked } from '../values/rich/marking';
import { plainInDefinition } from '../values/rich/plain-in-definition';
import { refusalWords } from '../words';
import { wordsKey, type TypedTarget } from './value-edit';
import { forgetContent, writeContent } from './written-content';

/** The smallest size at which text is typed, in px of the screen: what is drawn smaller is drawn larger meanwhile. */
const LEGIBLE = 13;

/**
 * Typing into texts of a stage: where somebody asks for it, and in the first text of what was placed last.
 * @param onZoom told at which share of its size to draw meanwhile; `null` when it is over
 */
export function useTypingHere(
  stage: Stage,
  onZoom: (zoom: number | null) => void,
): {
  active: boolean;
  /** The editor of rich text, while that is typed. */
  rich: RichSession | null;
  start: (element: ResolvedElement) => void;
} {
  const { doc, built, registry, frame, body, scale } = stage;
  const { documents } = useDerived();
  const sync = useSync();
  const latest = useLatest(documents);
  const dispatch = useAppDispatch();
  const { typeInto } = useBench('typeInto');
  const onEnd = useCallback(
    (element: HTMLElement) => {
      onZoom(null);
      // What was typed into belonged to whoever typed: what it shows is written there anew.
      const drawn = registry.of(element);
      const content = drawn && onlyContent(drawn);
      forgetContent(element);
      if (content !== undefined) writeContent(element, content);
    },
    [onZoom, registry],
  );
  const onFull = useCallback(
    (longest: number) =>
      dispatch(benchActions.notice(`No more than ${longest} characters may stand here.`)),
    [dispatch],
  );
  const { typing: rich, start: typeRich } = useRichTyping({ frame, onEnd });
  const onMarked = useCallback(
    (element: HTMLElement, target: TypedTarget, marked: Marked) => {
      const { doc: within, node, control } = target;
      if (control.of !== 'text') {
        const stored = nodeIn(latest.current, within, node);
        const component =
          stored?.kind === 'instance'
            ? docOf(latest.current, 'component', stored.component)
            : undefined;
        const property = control.of === 'value' ? control.property : '';
        dispatch(benchActions.offer(plainInDefinition(component, property)));
        return;
      }
      const words = element.textContent ?? '';
      const why = refusalWords(sync.attempt({ name: 'makeRich', args: { doc: within, node } }));
      dispatch(benchActions.notice(why === '' ? NOW_RICH : why));
      if (why !== '') return;
      const pieces = words === '' ? [] : [words];
      typeRich(element, { ...target, rich: { pieces, line: true, lowered: 0 } }, marked);
    },
    [dispatch, latest, sync, typeRich],
  );
  const onPlace = useCallback(
    ({ doc: within, node, control }: TypedTarget, at: number) =>
      dispatch(benchActions.placeValue({ words: wordsKey(within, node, control), at })),
    [dispatch],
  );
  const { active, start: type } = useTyping({ frame, onEnd, onFull, onMarked, onPlace });

  const start = useCallback(
    (element: ResolvedElement, all = false) => {
      if (!built) return;
      const target = textTarget(documents, built, element);
      if (!target.ok) {
        dispatch(benchActions.offer({ notice: target.why, offer: target.offer ?? null }));
        return;
      }
      const html = registry.elementsOf(element)[0];
      if (!html) return;
      const size = parseFloat(frame.current!.contentWindow!.getComputedStyle(html).fontSize);
      if (size * scale < LEGIBLE) onZoom(LEGIBLE / size);
      if (target.rich) typeRich(html, { ...target, rich: target.rich }, all ? 'all' : 'as it is');
      else type(html, target);
      requestAnimationFrame(() => html.scrollIntoView({ block: 'nearest', inline: 'nearest' }));
    },
    [documents, built, dispatch, registry, frame, scale, onZoom, type, typeRich],
  );

  useEffect(() => {
    if (typeInto?.doc !== doc || !built || !body) return;
    const first = resolvedOf(built, typeInto.node)[0];
    const element = first && firstText(first, (each) => textTarget(documents, built, each).ok);
    dispatch(benchActions.typeInto(null));
    if (element) start(element, true);
  }, [typeInto, doc, built, body, documents, dispatch, start]);

  return { active: active || rich !== null, rich, start };
}

/** The first element that holds a text alone and that one may type into. */
function firstText(
  node: Resolved,
  fits: (element: ResolvedElement) => boolean,
): ResolvedElement | undefined {
  if (node.kind === 'text') return undefined;
  const [only, ...more] = node.children;
  if (node.kind === 'element' && only?.kind === 'text' && more.length === 0 && fits(node))
    return node;
  for (const child of node.children) {
    const found = firstText(child, fits);
    if (found) return found;
  }
  return undefined;
}
