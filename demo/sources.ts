import type { Literal, Query, Source, WhenEmpty } from '@sormet/core/model';

/** A link to a page of this site. */
export function toPage(page: string, entry?: string): Literal {
  return {
    is: 'value',
    type: 'link',
    value: entry ? { to: 'page', page, entry } : { to: 'page', page },
  };
}

/** A link to an address. */
export function toAddress(href: string): Literal {
  return { is: 'value', type: 'link', value: { to: 'address', href } };
}

/** A picture. */
export function picture(asset: string): Literal {
  return { is: 'value', type: 'image', value: { asset } };
}

/** A number. */
export function number(value: number): Literal {
  return { is: 'value', type: 'number', value };
}

/** The order of a query by one field, upwards. */
export function sortedBy(field: string): Query['order'] {
  return { [`by-${field}`]: { path: [field], descending: false, order: 'a0' } };
}

/** What a property of the definition around gives. */
export function property(id: string, whenEmpty?: WhenEmpty): Source {
  return whenEmpty ? { is: 'property', property: id, whenEmpty } : { is: 'property', property: id };
}

/** A field of the entry a page is made for. */
export function ofPage(field: string, whenEmpty: WhenEmpty = 'default'): Source {
  return { is: 'field', from: 'page', path: field === '' ? [] : [field], whenEmpty };
}

/** A field of the entry of the repeat around; dots cross references, '' is the entry itself. */
export function ofItem(repeat: string, path: string, whenEmpty: WhenEmpty = 'default'): Source {
  return { is: 'field', from: { repeat }, path: path === '' ? [] : path.split('.'), whenEmpty };
}
