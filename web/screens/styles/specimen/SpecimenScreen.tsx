import { useEffect, useLayoutEffect, useMemo, useState, type ReactNode } from 'react';
import { createPortal } from 'react-dom';
import { useSearchParams } from 'react-router';
import { useHotkeys } from 'react-hotkeys-hook';
import { Button } from 'antd';
import {
  EVERY_TAG,
  nodeIn,
  rootOf,
  treeDocOf,
  type Documents,
  type TagsDoc,
  type TreeDoc,
} from '@sormet/core/model';
import {
  build,
  rulesOf,
  addressOf,
  type Built,
  type Resolved,
  type ResolvedElement,
} from '@sormet/core/resolve';
import { SPECIMEN, specimenOf, type Stands } from '@sormet/core/specimen';
import { widthsOf, type AppliedBlock } from '@sormet/core/style';
import type { Data } from '@sormet/core/value';
import { StyleLedger } from '../../../ledger/style/StyleLedger';
import { useRuleWords } from '../../../ledger/style/rule-words';
import { litRule } from '../../../ledger/style/lit-rule';
import type { Selected } from '../../../ledger/use-selected';
import { CanvasCss, HELD } from '../../../canvas/canvas-css';
import { Draw } from '../../../canvas/draw';
import { Registry } from '../../../canvas/registry';
import { ruleKey, selectorOfRule } from '../../../canvas/rule-key';
import { useFrame } from '../../../canvas/use-frame';
import { WidthChoice } from '../../../canvas/WidthChoice';
import { useDerived } from '../../../site/SiteProvider';
import { benchActions } from '../../../store/bench-slice';
import { wasCovered } from '../../../parts/covering';
import { doneBy } from '../../../store/keymap';
import { useApp, useAppDispatch, useBench } from '../../../store/store';
import { StyleOrder } from '../shared/StyleOrder';
import { TokenRow } from '../tokens/TokenRow';
import '../../../ledger/Ledger.css';
import './SpecimenScreen.css';

/** At which width the specimen is drawn, in CSS px. */
const DRAWN = 1200;

/** On paper each theme begins a sheet, grounds are printed, and nothing small is cut in two (CSS Paged Media, CSS Fragmentation). */
const ON_PAPER =
  '@media print{@page{size:A4;margin:12mm}*{-webkit-print-color-adjust:exact;print-color-adjust:exact}' +
  'main>section{break-before:page}main>section:first-child{break-before:auto}main>section>*{break-inside:avoid}main>section>p{break-after:avoid}}';

/**
 * Everything the look of the site is made of, in each theme: whatever is pressed has its rule lit below, and is edited
 * there, with whom it reaches beside it.
 */
export function SpecimenScreen(): ReactNode {
  const { documents, data, linker } = useDerived();
  const dispatch = useAppDispatch();
  const { page, stands } = useMemo(() => specimenOf(documents), [documents]);
  const all = useMemo(() => documents.with(page), [documents, page]);
  const [sheets] = useState(() => new Sheets());
  const built = useMemo(
    () => sheets.of(linker.link(all, SPECIMEN), data),
    [sheets, all, data, linker],
  );
  // A style that is asked for by the address is pressed as soon as it stands there.
  const [asked] = useSearchParams();
  const wanted = asked.get('style');
  const [begun] = useState(() => {
    const found = partsOf(built, stands).find((part) => {
      const what = standsOf(part, built, stands);
      return what?.is === 'style' && what.style === wanted && what.held === undefined;
    });
    return found && { address: addressOf(found), lit: ruleOfStyle(all, found, wanted ?? '') };
  });
  const [chosen, setChosen] = useState<string | null>(begun?.address ?? null);
  const element = useMemo(
    () => (chosen === null ? undefined : elementAt(built.root, chosen)),
    [built, chosen],
  );
  useEffect(() => {
    dispatch(benchActions.arrive({}));
    dispatch(benchActions.setTab('style'));
    if (begun) dispatch(benchActions.light(begun.lit));
  }, [dispatch, begun]);
  const [sheet, setSheet] = useState<HTMLIFrameElement | null>(null);
  const { keymap } = useBench('keymap');
  useHotkeys(
    '*',
    (event) => {
      if (event.ctrlKey || event.metaKey || event.altKey || wasCovered()) return;
      if (doneBy(keymap, event.key) !== 'declare' || !element) return;
      event.preventDefault();
      dispatch(benchActions.askDeclare());
    },
    { enableOnFormTags: ['radio'] },
    [dispatch, keymap, element],
  );
  const choose = (found: ResolvedElement) => {
    setChosen(addressOf(found));
    const what = standsOf(found, built, stands);
    // Of every element only states are said.
    dispatch(benchActions.holdState((what?.is === 'tag' && what.held) || null));
    dispatch(benchActions.light(what?.is === 'style' ? ruleOfStyle(all, found, what.style) : null));
  };
  const body = partsOf(built, stands).find((part) => {
    const what = standsOf(part, built, stands);
    return what?.is === 'tag' && what.tag === 'body';
  });
  return (
    <div className="specimen">
      <div className="specimen-head">
        <span className="quiet">drawn at</span> <WidthChoice />
        {body ? (
          <button type="button" className="as-link" onClick={() => choose(body)}>
            the page itself: its ground, letters and ink
          </button>
        ) : null}
      </div>
      <div className="specimen-sheet">
        <Sheet
          documents={all}
          built={built}
          stands={stands}
          chosen={element}
          onSheet={setSheet}
          onChoose={choose}
        />
      </div>
      <section
        className={element ? 'specimen-ledger' : 'specimen-ledger is-empty'}
        aria-label="What is pressed"
      >
        {element ? (
          <Below documents={all} built={built} element={element} stands={stands} />
        ) : (
          <p className="ledger-empty">
            Press anything on the sheet: the rule that makes it look so stands here, with whom it
            reaches.{' '}
            <Button size="small" onClick={() => sheet?.contentWindow?.print()}>
              Print it as a style guide
            </Button>
          </p>
        )}
      </section>
    </div>
  );
}

/** The rule of a shared style on what has it on, by its key; nothing where it has no such. */
function ruleOfStyle(documents: Documents, found: ResolvedElement, style: string): string | null {
  const rule = rulesOf(found, documents, documents.tags).find(
    ({ origin }) => origin.is === 'shared' && origin.doc === style,
  );
  return rule ? ruleKey(rule.origin) : null;
}

/** One sheet after the other, each brought up to date from the one before. */
class Sheets {
  private last: Built | undefined;

  of(linked: Built['linked'], data: Data): Built {
    return (this.last = build(linked, data, undefined, this.last));
  }
}

function Sheet({
  documents,
  built,
  stands,
  chosen,
  onSheet,
  onChoose,
}: {
  documents: Documents;
  built: Built;
  stands: ReadonlyMap<string, Stands>;
  chosen: ResolvedElement | undefined;
  /** Told the frame that the sheet is drawn in. */
  onSheet: (frame: HTMLIFrameElement | null) => void;
  onChoose: (element: ResolvedElement) => void;
}): ReactNode {
  const registry = useMemo(() => new Registry(), []);
  const styles = useMemo(() => new CanvasCss(), []);
  const css = useMemo(
    () => styles.of(documents, built.linked) + ON_PAPER,
    [styles, documents, built],
  );
  const { language } = documents.site;
  const held = useApp((state) => state.bench.width);
  const drawn = Math.min(
    DRAWN,
    widthsOf(documents.site).find(({ id }) => id === held)?.max ?? DRAWN,
  );
  const { frame, body, onLoad, height } = useFrame({ css, language, built, width: drawn });
  const lit = useApp((state) => state.bench.lit);
  useEffect(() => onSheet(frame.current), [onSheet, frame, body]);
  useLayoutEffect(() => {
    if (!body) return;
    const visit = (node: Resolved): void => {
      if (node.kind === 'text') return;
      const what = stands.get(node.from.id);
      if (node.kind === 'element' && what && 'held' in what && what.held)
        for (const each of registry.elementsOf(node)) each.setAttribute(HELD, what.held.slice(1));
      node.children.forEach(visit);
    };
    if (built.root) visit(built.root);
  }, [body, built, registry, stands]);
  const rects = (selector: string | undefined) =>
    body && selector
      ? [...body.querySelectorAll(selector)]
          .slice(0, 200)
          .map((each) => each.getBoundingClientRect())
      : [];
  const reached = lit === null ? [] : rects(selectorOfRule(lit));
  const own = chosen && registry.rectOf(chosen);
  return (
    <div className="specimen-paper" style={{ width: drawn, height }}>
      <iframe
        ref={frame}
        src="/canvas"
        title="The specimen"
        tabIndex={-1}
        onLoad={onLoad}
        style={{ width: drawn, height }}
      />
      {body && built.root
        ? createPortal(<Draw node={built.root} registry={registry} />, body)
        : null}
      <div
        className="specimen-over"
        role="group"
        tabIndex={0}
        aria-label="The sheet. Arrow keys walk what stands on it."
        onClick={({ clientX, clientY }) => {
          const rect = frame.current!.getBoundingClientRect();
          const at = frame.current!.contentDocument!.elementFromPoint(
            clientX - rect.left,
            clientY - rect.top,
          );
          const found = registry.at(at);
          if (found) onChoose(found);
        }}
        onKeyDown={(event) => {
          const step = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 }[event.key];
          if (!step) return;
          event.preventDefault();
          const parts = partsOf(built, stands);
          const now = chosen ? parts.findIndex((each) => each === chosen) : -1;
          const next = parts[Math.min(parts.length - 1, Math.max(0, now + step))];
          if (!next) return;
          onChoose(next);
          registry.elementsOf(next)[0]?.scrollIntoView({ block: 'nearest' });
        }}
      >
        {reached.map(({ left, top, width, height: high }, i) => (
          <span key={i} className="mark mark-reached" style={{ left, top, width, height: high }} />
        ))}
        {own ? (
          <span
            className="mark mark-plain"
            style={{ left: own.left, top: own.top, width: own.width, height: own.height }}
          />
        ) : null}
      </div>
    </div>
  );
}

/** What is pressed, to be edited: a token in its row, anything else by its rules. */
function Below({
  documents,
  built,
  element,
  stands,
}: {
  documents: Documents;
  built: Built;
  element: ResolvedElement;
  stands: ReadonlyMap<string, Stands>;
}): ReactNode {
  const lit = useApp((state) => state.bench.lit);
  const what = standsOf(element, built, stands);
  const selected = selectedFor(documents, built, element, what);
  const words = useRuleWords(selected);
  const { tokens, themes = {} } = documents.tokens;
  if (what?.is === 'token' && tokens[what.token])
    return (
      <table className="screen-table tokens-table" aria-label="The token">
        <tbody>
          <TokenRow
            id={what.token}
            token={tokens[what.token]!}
            themes={Object.entries(themes)}
            head={null}
          />
        </tbody>
      </table>
    );
  if (!selected) return <p className="ledger-empty">What was pressed is not there any more.</p>;
  const rule = litRule(selected, lit);
  return (
    <>
      <div className="sentence edge-plain">
        <span className="sentence-words">
          {rule ? (
            <>
              You are styling <b>{words.word(rule.origin)}</b>: {words.whom(rule.origin)}.
            </>
          ) : null}
        </span>
        {rule?.origin.is === 'shared' ? <StyleOrder style={rule.origin.doc} /> : null}
      </div>
      <StyleLedger key={selected.id} selected={selected} />
    </>
  );
}

/** A pressed element as the ledger of styles takes it: its rules but those that only the sheet itself has. */
function selectedFor(
  documents: Documents,
  built: Built,
  element: ResolvedElement,
  what: Stands | undefined,
): Selected | undefined {
  const { doc: id } = element.scope.within;
  const doc: TreeDoc | undefined = treeDocOf(documents, id);
  const node = doc && nodeIn(documents, id, element.from.id);
  if (!doc || !node) return undefined;
  // What a sheet lies on is the page itself: what its body is given. Nothing on it stands for every element.
  const { tags } = documents;
  const rules =
    what?.is === 'tag' && (what.tag === 'body' || what.tag === EVERY_TAG)
      ? [wholeRule(tags, what.tag)]
      : rulesOf(element, documents, tags).filter(
          ({ origin }) => !('doc' in origin && origin.doc === SPECIMEN),
        );
  return {
    doc,
    id: element.from.id,
    node,
    isRoot: rootOf(doc.nodes) === element.from.id,
    slot: undefined,
    component: undefined,
    resolved: element,
    entry: undefined,
    built,
    element,
    rules,
    picked: undefined,
    inside: undefined,
    address: undefined,
    count: 1,
    all: [element.from.id],
  };
}

function wholeRule(tags: TagsDoc, tag: string): AppliedBlock {
  return {
    origin: { is: 'tag', doc: tags.id, tag },
    level: { of: tag === EVERY_TAG ? 'everything' : 'tags' },
    block: tags.tags[tag] ?? {},
  };
}

function standsOf(
  element: ResolvedElement,
  built: Built,
  stands: ReadonlyMap<string, Stands>,
): Stands | undefined {
  return element.scope.within.doc === built.linked.doc ? stands.get(element.from.id) : undefined;
}

function elementAt(
  node: Resolved | null | undefined,
  address: string,
): ResolvedElement | undefined {
  if (!node || node.kind === 'text') return undefined;
  if (node.kind === 'element' && addressOf(node) === address) return node;
  for (const child of node.children) {
    const found = elementAt(child, address);
    if (found) return found;
  }
  return undefined;
}

/** Everything on the sheet that stands for something, in its order. */
function partsOf(built: Built, stands: ReadonlyMap<string, Stands>): ResolvedElement[] {
  const found: ResolvedElement[] = [];
  const visit = (node: Resolved): void => {
    if (node.kind === 'text') return;
    if (node.kind === 'element' && standsOf(node, built, stands)) found.push(node);
    node.children.forEach(visit);
  };
  if (built.root) visit(built.root);
  return found;
}
