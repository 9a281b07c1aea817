import { assetPath, type LinkValue } from '../model';
import type { Data, Known } from '../value';

/** The attributes as written, in order: a picture also gives its width and height. */
export type Written = readonly (readonly [string, string])[];

const NONE_WRITTEN: Written = [];
/** A picture without an alternative text is decoration, and says so (HTML, 4.8.4.4.4). */
const EMPTY_ALT: Written = [['alt', '']];

/** What one attribute's value is written as; nothing for an empty one. */
export function writtenAttribute(name: string, value: Known, data: Data): Written {
  if (value === null || value.type === 'hide' || value.value === null)
    return name === 'alt' ? EMPTY_ALT : NONE_WRITTEN;
  switch (value.type) {
    case 'text':
    case 'date':
      return [[name, value.value]];
    case 'number':
      return [[name, String(value.value)]];
    case 'boolean':
      return value.value ? [[name, '']] : NONE_WRITTEN;
    case 'link':
      return [[name, data.href(value.value as LinkValue)]];
    case 'entry':
      return NONE_WRITTEN;
    case 'image': {
      const asset = data.asset(value.value.asset);
      if (!asset) return NONE_WRITTEN;
      const written: [string, string][] = [[name, assetPath(asset)]];
      if (asset.width !== undefined) written.push(['width', String(asset.width)]);
      if (asset.height !== undefined) written.push(['height', String(asset.height)]);
      return written;
    }
  }
}

/** Whether an element without this value is not written at all: a picture with no picture. */
export function needs(tag: string, name: string): boolean {
  return tag === 'img' && name === 'src';
}
