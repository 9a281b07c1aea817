import {
  createElement,
  memo,
  use,
  useContext,
  useLayoutEffect,
  useRef,
  type ReactNode,
  type RefObject,
} from 'react';
import { isVoid } from '@sormet/core/model';
import type { Content, Resolved, ResolvedElement, ResolvedGroup } from '@sormet/core/resolve';
import { reactNames } from '../values/icon/react-names';
import { onlyContent } from './only-text';
import type { Registry } from './registry';
import { EMPTY, Places } from './places';
import { writeContent } from './written-content';

/** HTML attributes whose name in React is another. */
const REACT_NAMES: Record<string, string> = {
  autocomplete: 'autoComplete',
  autoplay: 'autoPlay',
  checked: 'defaultChecked',
  class: 'className',
  datetime: 'dateTime',
  for: 'htmlFor',
  hreflang: 'hrefLang',
  playsinline: 'playsInline',
  tabindex: 'tabIndex',
};

/** Attributes that are there or not (HTML 2.3.2): React wants to be told so. */
const THERE = new Set(
  'autoplay checked controls disabled loop muted open playsinline required'.split(' '),
);

interface DrawProps {
  readonly node: Resolved;
  readonly registry: Registry;
}

/**
 * Draws a resolved node as the elements that publishing writes, nothing added. A node that is the same
 * object is not drawn again.
 */
export const Draw = memo(function Draw({ node, registry }: DrawProps): ReactNode {
  if (node.kind === 'text') return drawContent(node.content);
  if (node.kind === 'group') {
    if (node.children.length > 0) return <DrawList nodes={node.children} registry={registry} />;
    if (node.waiting) return '…';
    return node.from.kind === 'slot' ? <EmptySlot node={node} registry={registry} /> : null;
  }
  const content = onlyContent(node);
  // One that is typed into stays the same element, whether anything stands in it or not.
  if (content !== undefined)
    return <DrawTextElement node={node} registry={registry} content={content} />;
  return mayBeEmpty(node) ? (
    <DrawEmpty node={node} registry={registry} />
  ) : (
    <DrawElement node={node} registry={registry} />
  );
});

/** The place of a slot that has nothing in it: seen, so that it can be selected and filled; never published. */
function EmptySlot({ node, registry }: { node: ResolvedGroup; registry: Registry }): ReactNode {
  const words = useContext(Places).slot(node);
  const ref = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    if (ref.current) registry.setPlace(ref.current, node);
  });
  return words === undefined ? null : (
    <div ref={ref} data-sormet-place={words} data-sormet-slot="" />
  );
}

function DrawList({
  nodes,
  registry,
}: {
  nodes: readonly Resolved[];
  registry: Registry;
}): ReactNode {
  return nodes.map((child) => <Draw key={keyOf(child)} node={child} registry={registry} />);
}

/** Content as React draws it: words as words, elements around them. */
function drawContent(content: Content): ReactNode {
  if (typeof content === 'string') return content;
  return content.map((fragment, i) =>
    typeof fragment === 'string'
      ? fragment
      : createElement(
          fragment.tag,
          { ...reactNames(fragment.attributes), key: i },
          isVoid(fragment.tag) ? undefined : drawContent(fragment.children),
        ),
  );
}

function keyOf(node: Resolved): string {
  return node.kind === 'group' && node.item ? `${node.from.id}@${node.item.id}` : node.from.id;
}

function propsOf(node: ResolvedElement): Record<string, unknown> {
  const props: Record<string, unknown> = node.waiting ? { 'data-sormet-waiting': '' } : {};
  for (const name in node.attributes) {
    const value = node.attributes[name]!;
    // What a field holds is what it begins with: nobody types into one on a canvas.
    const given = name === 'value' && node.tag !== 'li' ? 'defaultValue' : REACT_NAMES[name];
    props[given ?? name] = name === 'style' ? styleOf(value) : THERE.has(name) ? true : value;
  }
  return props;
}

/** A style attribute as React takes it. It holds custom properties only, whose values hold neither `;` nor `:`. */
function styleOf(style: string): Record<string, string> {
  return Object.fromEntries(style.split(';').map((each) => each.split(':') as [string, string]));
}

interface DrawElementProps {
  readonly node: ResolvedElement;
  readonly registry: Registry;
  /** What marks it as empty, where nothing in it may be seen. */
  readonly empty?: Readonly<Record<string, string | undefined>>;
}

/** An element in which nothing may be seen, with the words for that: it alone asks for them, so that no other waits for them. */
function DrawEmpty({ node, registry }: DrawElementProps): ReactNode {
  const empty = { [EMPTY]: useContext(Places).box(node) };
  return <DrawElement node={node} registry={registry} empty={empty} />;
}

function DrawElement({ node, registry, empty }: DrawElementProps): ReactNode {
  const ref = useRef<HTMLElement>(null);
  useLayoutEffect(() => registry.set(ref.current!, node));
  const Tag = node.tag as 'div';
  const given = { ...propsOf(node), ...empty };
  return node.from.isVoid || node.tag === 'textarea' ? (
    <Tag {...given} ref={ref as RefObject<HTMLDivElement | null>} />
  ) : (
    <Tag {...given} ref={ref as RefObject<HTMLDivElement | null>}>
      <DrawList nodes={node.children} registry={registry} />
    </Tag>
  );
}

/**
 * An element that holds text only. Its text is written by hand, and only where it differs, so that the
 * cursor stays where it is while somebody types into it.
 */
function DrawTextElement({
  node,
  registry,
  content,
}: DrawElementProps & { content: Content }): ReactNode {
  const ref = useRef<HTMLElement>(null);
  // Asked for only where it is wanted, so that texts with words in them wait for nothing (React, `use` of a context).
  const empty = content.length === 0 ? { [EMPTY]: use(Places).box(node) } : undefined;
  useLayoutEffect(() => {
    const element = ref.current!;
    registry.set(element, node);
    // What was measured while it was empty holds no longer.
    if (content.length > 0) delete element.dataset['sormetPlace'];
    writeContent(element, content);
  });
  const Tag = node.tag as 'div';
  return <Tag {...propsOf(node)} {...empty} ref={ref as RefObject<HTMLDivElement | null>} />;
}

/** Whether nothing in an element may be seen; whether it has room all the same is measured once it is drawn. */
function mayBeEmpty(node: ResolvedElement): boolean {
  return !node.from.isVoid && node.children.every(showsNothing);
}

function showsNothing(node: Resolved): boolean {
  if (node.kind === 'group') return node.children.every(showsNothing);
  return node.kind === 'text' && node.content.length === 0;
}
