import { Mark, mergeAttributes, type Extensions } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { safeAddress, type LinkValue } from '@sormet/core/model';

/** A link that leads where links of values do; what is pasted with an address that may not stand in a page is words. */
const Link = Mark.create({
  name: 'link',
  inclusive: false,
  addAttributes() {
    return {
      to: {
        default: null,
        parseHTML: (element) => linkOf(element.getAttribute('href') ?? ''),
        renderHTML: () => ({}),
      },
    };
  },
  parseHTML() {
    return [
      {
        tag: 'a[href]',
        getAttrs: (element) => (linkOf(element.getAttribute('href') ?? '') ? null : false),
      },
    ];
  },
  renderHTML({ HTMLAttributes }) {
    return ['a', mergeAttributes(HTMLAttributes, { class: 'rich-link' }), 0];
  },
});

const Small = Mark.create({
  name: 'small',
  parseHTML: () => [{ tag: 'small' }],
  renderHTML: () => ['small', 0],
});

/** A link to an address, where it may stand in a page. */
export function linkOf(href: string): LinkValue | null {
  const address = safeAddress(href);
  return address === '' ? null : { to: 'address', href: address };
}

/**
 * What rich text may hold, for the editor: what is pasted is read by this and by nothing else, so that no other element,
 * attribute or style gets in.
 * @param headings the levels that may stand in it; none in a line of words
 */
export function richExtensions(headings: readonly (2 | 3 | 4)[], line: boolean): Extensions {
  return [
    StarterKit.configure({
      link: false,
      underline: false,
      strike: false,
      codeBlock: false,
      horizontalRule: false,
      trailingNode: false,
      heading: headings.length > 0 ? { levels: [...headings] } : false,
      ...(line
        ? {
            bulletList: false,
            orderedList: false,
            listItem: false,
            listKeymap: false,
            blockquote: false,
            heading: false,
          }
        : {}),
    }),
    Link,
    Small,
  ];
}
