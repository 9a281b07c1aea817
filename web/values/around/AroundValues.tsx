import {
  lazy,
  Suspense,
  useEffect,
  useLayoutEffect,
  useMemo,
  useRef,
  useState,
  type ReactNode,
} from 'react';
import { createPortal } from 'react-dom';
import { EditorContent, Extension, useEditor, type Editor } from '@tiptap/react';
import { NodeSelection } from '@tiptap/pm/state';
import { namesAt } from '@sormet/core/edit';
import { dataFor } from '@sormet/core/resolve';
import {
  literal,
  newId,
  sameJson,
  TEXT,
  type Literal,
  type NodeId,
  type Source,
  type TreeDoc,
  type TypeSpec,
  type Words,
  type WordsPiece,
} from '@sormet/core/model';
import { useCovering } from '../../parts/covering';
import { useLatest } from '../../parts/use-latest';
import { useDerived } from '../../site/SiteProvider';
import { richExtensions } from '../rich/extensions';
import { aroundFromEditor, PLACE, toEditor } from '../rich/rich-json';
import { RichButtons } from '../rich/RichButtons';
import { ChoosePlace } from './ChoosePlace';
import { HeldSources } from './held-sources';
import { placeNode, type PlaceAttributes } from './place-node';
import { PlaceFormat } from './PlaceFormat';
import '../rich/rich.css';
import './around.css';

const WorkOut = lazy(() =>
  import('../working-out/WorkOut').then(({ WorkOut: loaded }) => ({ default: loaded })),
);

/** Words that may have values among them: words alone, or those around values. */
export type MayHoldValues = Words | Literal;

/** What is open over the words. */
type Open =
  | { readonly is: 'choosing'; readonly at: number; readonly instead?: PlaceAttributes }
  | { readonly is: 'format'; readonly at: number }
  | { readonly is: 'working out'; readonly at: number; readonly instead?: PlaceAttributes };

/**
 * Words with values between them, plain or rich: a brace opens the choice of a value, which then stands among the words as
 * one thing, with a format of its own.
 */
export function AroundValues({
  label,
  doc,
  node,
  without,
  wanted,
  source,
  gives,
  isLine = true,
  begin,
  onChange,
  onLeave,
}: {
  label: string;
  doc: TreeDoc;
  node: NodeId | null;
  /** The property that the words are for, which cannot stand among them. */
  without?: string;
  wanted: TypeSpec;
  source: MayHoldValues;
  /** What a source gives where one is looking, in words. */
  gives: ((source: Source) => string) | undefined;
  /** Whether rich text is a line of words. */
  isLine?: boolean;
  /** Where a brace was typed while it held words alone. */
  begin?: number | undefined;
  onChange: (source: MayHoldValues, group: string) => void;
  /** Told when the focus has gone elsewhere. */
  onLeave?: () => void;
}): ReactNode {
  const { documents, data } = useDerived();
  const of = wanted.kind === 'rich' ? 'rich' : 'text';
  const { language } = dataFor(doc, data);
  const names = useMemo(
    () =>
      namesAt(documents, doc, node, wanted).filter(
        (each) =>
          each.source.is !== 'value' &&
          (each.source.is !== 'property' || each.source.property !== without),
      ),
    [documents, doc, node, wanted, without],
  );
  const [open, setOpen] = useState<Open | null>(null);
  useCovering(open !== null);
  const [held] = useState(() => {
    const begun = new HeldSources(source.is === 'words' ? source.names : {});
    // The editor asks what its places are called as it is mounted, before any effect of what is around it.
    begun.look(names, gives);
    return begun;
  });
  useLayoutEffect(() => held.look(names, gives), [held, names, gives]);
  const last = useRef<Source>(source);
  const session = useRef(newId());
  const latest = useLatest({ onChange, whenEmpty: source.whenEmpty });

  const editor = useEditor({
    extensions: [
      ...richExtensions({ line: of === 'text' || isLine, plain: of === 'text' }),
      placeNode(({ name, format }) => ({
        label: held.called(name).label,
        holds: held.written(name, format),
      })),
      Extension.create({
        name: 'placing',
        // Enter on a place is for the place, before it breaks the line.
        priority: 1000,
        addKeyboardShortcuts: () => ({
          Enter: ({ editor: at }) => {
            const place = placeAt(at);
            if (place === null) return of === 'text';
            setOpen({ is: 'format', at: place });
            return true;
          },
        }),
      }),
    ],
    content: toEditor(source.is === 'words' ? source.pieces : piecesOf(source)),
    injectCSS: false,
    editorProps: {
      attributes: {
        'aria-label': label,
        role: 'textbox',
        'aria-multiline': String(of === 'rich'),
        class: `rich-text around-values ${of === 'text' ? 'is-plain' : ''}`,
      },
      handleTextInput: (view, _from, _to, typed) => {
        if (typed !== '{') return false;
        setOpen({ is: 'choosing', at: view.state.selection.from });
        return true;
      },
      handleClickOn: (view, _pos, clicked, at) => {
        if (clicked.type.name !== PLACE) return false;
        view.dispatch(view.state.tr.setSelection(NodeSelection.create(view.state.doc, at)));
        setOpen({ is: 'format', at });
        // The focus goes into what is opened.
        return true;
      },
    },
    onFocus: () => {
      session.current = newId();
    },
    onBlur: ({ event }) => {
      const to = event.relatedTarget;
      if (!(to instanceof Element && to.closest('.place-over, .ant-modal'))) onLeave?.();
    },
    onUpdate: ({ editor: now }) => {
      // What was open over a place is over with it.
      setOpen((was) => (was?.is === 'format' && !placeIn(now, was.at) ? null : was));
      tell(now);
    },
  });

  const tell = (now: Editor): void => {
    const pieces = aroundFromEditor(now.getJSON(), of === 'text' || isLine);
    const used = new Set(placesIn(pieces));
    const next: MayHoldValues =
      used.size === 0
        ? of === 'text'
          ? literal({ type: 'text', value: (pieces as readonly string[]).join('') })
          : (literal({ type: 'rich', value: pieces as never }) as Literal)
        : ({
            is: 'words',
            of,
            pieces,
            names: held.among(used),
            ...(latest.current.whenEmpty === undefined
              ? {}
              : { whenEmpty: latest.current.whenEmpty }),
          } as Words);
    last.current = next;
    latest.current.onChange(next, session.current);
  };

  // Somebody else, or a step back, has changed it: what is shown follows.
  useEffect(() => {
    if (!editor || editor.isDestroyed || sameJson(source, last.current)) return;
    last.current = source;
    if (source.is === 'words') held.take(source.names);
    const pieces = source.is === 'words' ? source.pieces : piecesOf(source);
    editor.commands.setContent(toEditor(pieces), { emitUpdate: false });
  }, [editor, held, source]);

  // A brace was typed while these were words alone: it goes on here.
  const began = useRef(begin);
  useEffect(() => {
    if (!editor || editor.isDestroyed || began.current === undefined) return;
    const at = began.current;
    began.current = undefined;
    editor.commands.setTextSelection(at + 1);
    setOpen({ is: 'choosing', at: Math.min(at + 1, editor.state.doc.content.size) });
  }, [editor]);

  // A dialog gives the focus back to what had it, which is gone by then: one goes on among the words.
  const isWorkingOut = open?.is === 'working out';
  useEffect(() => {
    if (!isWorkingOut || !editor) return;
    return () => {
      setTimeout(() => {
        if (!editor.isDestroyed) editor.view.focus();
      });
    };
  }, [isWorkingOut, editor]);

  if (!editor) return null;

  const close = () => {
    if (open?.is === 'format') editor.commands.setTextSelection(open.at + 1);
    setOpen(null);
    // The command of the package waits for a frame, and takes the focus from whoever has it by then.
    editor.view.focus();
  };
  /** Puts a value among the words, or another in the place of one. */
  const put = (value: Source, at: number, instead?: PlaceAttributes) => {
    const name = held.nameFor(value);
    editor.view.focus();
    const chain = editor.chain();
    if (instead) chain.setNodeSelection(at).deleteSelection();
    chain.insertContentAt(at, { type: PLACE, attrs: { name, format: null } }).run();
    setOpen(null);
  };
  const attributes = open ? placeIn(editor, open.at) : undefined;
  const standing = attributes && held.of(attributes.name);
  const called = attributes && held.called(attributes.name);

  return (
    <div className="rich-editor">
      {of === 'rich' ? <RichButtons editor={editor} label={label} line={isLine} /> : null}
      <EditorContent editor={editor} />
      {open && open.is !== 'working out' ? (
        <Over editor={editor} at={open.at}>
          {open.is === 'choosing' ? (
            <ChoosePlace
              names={names}
              holds={(each) => gives?.(asWords(each)) ?? ''}
              onChoose={({ source: value }) => put(value, open.at, open.instead)}
              onWorkOut={() =>
                setOpen({
                  is: 'working out',
                  at: open.at,
                  ...(open.instead ? { instead: open.instead } : {}),
                })
              }
              onLeave={() => {
                if (!open.instead) editor.chain().insertContentAt(open.at, '{').run();
                close();
              }}
            />
          ) : attributes && standing && called ? (
            <PlaceFormat
              label={called.label}
              kind={called.kind}
              format={attributes.format ?? undefined}
              whenEmpty={standing.whenEmpty}
              language={language}
              written={held.written(attributes.name, attributes.format)}
              onFormat={(format) =>
                editor
                  .chain()
                  .setNodeSelection(open.at)
                  .updateAttributes(PLACE, { format: format ?? null })
                  .run()
              }
              onEmpty={(whenEmpty) => {
                held.decide(attributes.name, whenEmpty);
                tell(editor);
                setOpen({ ...open });
              }}
              onExchange={() =>
                setOpen(
                  standing.is === 'expression'
                    ? { is: 'working out', at: open.at, instead: attributes }
                    : { is: 'choosing', at: open.at, instead: attributes },
                )
              }
              onRemove={() => {
                editor.chain().setNodeSelection(open.at).deleteSelection().run();
                close();
              }}
              onClose={close}
            />
          ) : null}
        </Over>
      ) : null}
      {open?.is === 'working out' ? (
        <Suspense fallback={null}>
          <WorkOut
            label={`a value in ${label}`}
            documents={documents}
            doc={doc}
            node={node}
            {...(without === undefined ? {} : { without })}
            wanted={TEXT}
            source={open.instead ? held.of(open.instead.name) : undefined}
            gives={gives}
            onDone={(value) => put(value, open.at, open.instead)}
            onRelease={undefined}
            onClose={close}
          />
        </Suspense>
      ) : null}
    </div>
  );
}

/** What lies over the words at a place of them. */
function Over({
  editor,
  at,
  children,
}: {
  editor: Editor;
  at: number;
  children: ReactNode;
}): ReactNode {
  const { left, bottom, top } = editor.view.coordsAtPos(at);
  const above = bottom > window.innerHeight * 0.55;
  return createPortal(
    <div
      className="place-over"
      style={{
        left: Math.max(8, Math.min(left, window.innerWidth - 348)),
        ...(above ? { bottom: window.innerHeight - top + 4 } : { top: bottom + 4 }),
      }}
    >
      {children}
    </div>,
    document.body,
  );
}

/** The place of a value that stands somewhere among the words; nothing where none does. */
function placeIn({ state: { doc } }: Editor, at: number): PlaceAttributes | undefined {
  const node = at < doc.content.size ? doc.nodeAt(at) : null;
  return node?.type.name === PLACE ? (node.attrs as PlaceAttributes) : undefined;
}

/** Where the place of a value stands that is selected, or at which the cursor is. */
function placeAt({ state }: Editor): number | null {
  const { from, empty, $from } = state.selection;
  if (!empty) return state.doc.nodeAt(from)?.type.name === PLACE ? from : null;
  if ($from.nodeBefore?.type.name === PLACE) return from - $from.nodeBefore.nodeSize;
  return $from.nodeAfter?.type.name === PLACE ? from : null;
}

function piecesOf(source: Literal): WordsPiece[] {
  if (source.type === 'rich') return source.value ?? [];
  return source.type === 'text' && source.value ? [source.value] : [];
}

function placesIn(pieces: readonly WordsPiece[]): string[] {
  return pieces.flatMap((piece) => {
    if (typeof piece === 'string') return [];
    return 'place' in piece ? [piece.place] : placesIn(piece.children);
  });
}

function asWords(source: Source): Words {
  return { is: 'words', of: 'text', pieces: [{ place: 'n0' }], names: { n0: source } };
}
