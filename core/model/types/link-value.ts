import { Type, type Static } from '@sinclair/typebox';
import { ID_PATTERN } from '../ids';

const Id = Type.String({ pattern: ID_PATTERN });

/** Whether it opens beside what is open; nobody is told of it otherwise, so words should say it. */
const newTab = Type.Optional(Type.Literal(true));

/**
 * Where a link leads: a page by id (with the entry, on pages made from entries; at an anchor, the id of an element
 * there), a web address, somebody's mail (RFC 6068) or telephone (RFC 3966).
 */
export const LinkValue = Type.Union([
  Type.Object(
    {
      to: Type.Literal('page'),
      page: Id,
      entry: Type.Optional(Id),
      anchor: Type.Optional(
        Type.String({ pattern: '^\\S+$', maxLength: 200, says: 'no-spaces-form' }),
      ),
      newTab,
    },
    { additionalProperties: false },
  ),
  Type.Object(
    { to: Type.Literal('address'), href: Type.String({ maxLength: 2000 }), newTab },
    { additionalProperties: false },
  ),
  Type.Object(
    {
      to: Type.Literal('mail'),
      address: Type.String({
        pattern: '^[^\\s@]+@[^\\s@]+$',
        maxLength: 320,
        says: 'mail-form',
      }),
      subject: Type.Optional(Type.String({ maxLength: 200 })),
    },
    { additionalProperties: false },
  ),
  Type.Object(
    {
      to: Type.Literal('telephone'),
      /** As people write it: digits, with what is put between them to be read. */
      number: Type.String({
        pattern: '^\\+?[0-9][0-9 ()./-]*$',
        maxLength: 40,
        says: 'telephone-form',
      }),
    },
    { additionalProperties: false },
  ),
]);
export type LinkValue = Static<typeof LinkValue>;

/** The address of a mail or a telephone: percent-encoded (RFC 6068, 2), visual separators taken out (RFC 3966, 5.1.1). */
export function addressOfContact(link: Extract<LinkValue, { to: 'mail' | 'telephone' }>): string {
  if (link.to === 'telephone') return `tel:${link.number.replace(/[^+0-9]/g, '')}`;
  const [local, domain] = [
    link.address.slice(0, link.address.lastIndexOf('@')),
    link.address.slice(link.address.lastIndexOf('@') + 1),
  ];
  const subject = link.subject ? `?subject=${encodeURIComponent(link.subject)}` : '';
  return `mailto:${encodeURIComponent(local)}@${encodeURIComponent(domain)}${subject}`;
}

/** Whether a link opens beside what is open. */
export function opensBeside(link: LinkValue): boolean {
  return 'newTab' in link && link.newTab === true;
}
