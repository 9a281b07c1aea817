import { defineKind, specSchema } from './kind';
import { LinkValue, opensBeside } from './link-value';

/** Where a link leads. */
export const linkKind = defineKind({
  kind: 'link',
  spec: specSchema('link', {}),
  value: LinkValue,
  empty: null,
  isEmpty: (value, site) => site.href(value) === '',
  attribute: (name, value, site) => [[name, site.href(value)]],
  beside: {
    target: (value) => (opensBeside(value) ? '_blank' : null),
    // What is opened gets no hold on what opened it (HTML, 4.6.7.14, link type noopener).
    rel: (value) => (opensBeside(value) ? 'noopener' : null),
  },
  asksSite: true,
});
