import { parse, rgb, type Color } from 'culori';
import { nearestHex, readColour } from '../colour';
import { own, type Declared, type Json } from '../model';
import { borderParts, splitAt } from '../style';
import { EASINGS, WEIGHTS } from './format-types';

/** What a token is called in a file, in braces: what stands there for it. */
export type AliasOf = (token: string) => string | undefined;

/**
 * A value of the format for what is declared; nothing where the format has none that says the same. What stands for a
 * token is an alias of it.
 */
export function formatValue(type: string, declared: Declared, aliasOf: AliasOf): Json | undefined {
  return new ValuesOut(declared, aliasOf).value(type, declared.css);
}

class ValuesOut {
  constructor(
    private readonly declared: Declared,
    private readonly aliasOf: AliasOf,
  ) {}

  value(type: string, css: string): Json | undefined {
    const alias = this.alias(css);
    if (alias !== undefined) return alias;
    switch (type) {
      case 'color':
        return colourOut(css);
      case 'dimension':
        return dimensionOut(css, ['px', 'rem']);
      case 'duration':
        return dimensionOut(css, ['ms', 's']);
      case 'fontWeight':
        return Object.hasOwn(WEIGHTS, css) ? css : numberOut(css);
      case 'number':
        return numberOut(css);
      case 'fontFamily':
        return this.family(css);
      case 'cubicBezier':
        return curveOf(css);
      case 'strokeStyle':
        return css.includes('var(') ? undefined : css;
      case 'border': {
        const parts = borderParts(this.declared);
        return (
          parts &&
          this.members({
            color: ['color', parts.color],
            width: ['dimension', parts.width],
            style: ['strokeStyle', parts.style],
          })
        );
      }
      case 'shadow': {
        const shadows = splitAt(css, ',').map((each) => this.shadow(each));
        if (shadows.includes(undefined)) return undefined;
        return shadows.length === 1 ? shadows[0] : (shadows as Json[]);
      }
      case 'gradient':
        return this.gradient(css);
      default:
        return undefined;
    }
  }

  /** The alias that stands for a value which is a token and nothing more. */
  private alias(css: string): string | undefined {
    const name = /^var\(--([a-z][a-z0-9-]*)\)$/.exec(css)?.[1];
    const ref = name === undefined ? undefined : own(this.declared.refs ?? {}, name);
    return ref && 'token' in ref && !ref.part ? this.aliasOf(ref.token) : undefined;
  }

  private members(of: Readonly<Record<string, readonly [string, string]>>): Json | undefined {
    const made = Object.entries(of).map(([name, [type, css]]) => [name, this.value(type, css)]);
    return made.some(([, value]) => value === undefined)
      ? undefined
      : (Object.fromEntries(made) as Json);
  }

  private family(css: string): Json | undefined {
    const families = splitAt(css, ',').map((each) => {
      const name = each.trim();
      return this.alias(name) ?? name.replace(/^(['"])(.*)\1$/, '$2');
    });
    if (families.some((each) => each.includes('var('))) return undefined;
    return families.length === 1 ? families[0]! : families;
  }

  private shadow(css: string): Json | undefined {
    const words = splitAt(css, ' ');
    const inset = words.includes('inset');
    const isLength = (word: string) =>
      /^-?[.\d]/.test(word) || (this.alias(word) !== undefined && this.typeOf(word) === 'length');
    const lengths = words.filter(isLength);
    const [colour, ...more] = words.filter((word) => word !== 'inset' && !lengths.includes(word));
    if (colour === undefined || more.length > 0 || lengths.length < 2) return undefined;
    const [x, y, blur = '0', spread = '0'] = lengths as [string, string, string?, string?];
    const made = this.members({
      color: ['color', colour],
      offsetX: ['dimension', x],
      offsetY: ['dimension', y],
      blur: ['dimension', blur],
      spread: ['dimension', spread],
    });
    return made && inset ? { ...(made as object), inset } : made;
  }

  private typeOf(css: string): string | undefined {
    return own(this.declared.refs ?? {}, css.slice('var(--'.length, -1))?.type;
  }

  /** Stops with their places, of a gradient that has no direction of its own: the format knows none. */
  private gradient(css: string): Json | undefined {
    const inner = /^linear-gradient\((.*)\)$/.exec(css)?.[1];
    const stops = splitAt(inner ?? '', ',').map((stop) => {
      const [colour, place, ...more] = splitAt(stop, ' ');
      const percent = /^([\d.]+)%$/.exec(place ?? '')?.[1];
      const color = colour === undefined ? undefined : this.value('color', colour);
      if (color === undefined || percent === undefined || more.length > 0) return undefined;
      return { color, position: Number((Number(percent) / 100).toFixed(6)) };
    });
    return stops.length < 2 || stops.includes(undefined) ? undefined : (stops as Json[]);
  }
}

function colourOut(css: string): Json | undefined {
  const read: Color | undefined = parse(css);
  const known = read && readColour(css);
  const value = read && rgb(read);
  if (!value || !known || read.mode !== 'rgb') return undefined;
  const components = [value.r, value.g, value.b].map((each) => Number(each.toFixed(6)));
  return {
    colorSpace: 'srgb',
    components,
    ...(known.alpha < 1 ? { alpha: Number(known.alpha.toFixed(4)) } : {}),
    hex: nearestHex(known),
  };
}

function dimensionOut(css: string, units: readonly string[]): Json | undefined {
  if (css === '0' && units.includes('px')) return { value: 0, unit: 'px' };
  const [, value, unit] = /^(-?(?:\d+\.?\d*|\.\d+))([a-z]+)$/.exec(css) ?? [];
  return unit !== undefined && units.includes(unit) ? { value: Number(value), unit } : undefined;
}

function numberOut(css: string): Json | undefined {
  const value = Number(css);
  return css !== '' && Number.isFinite(value) ? value : undefined;
}

function curveOf(css: string): Json | undefined {
  if (Object.hasOwn(EASINGS, css)) return [...EASINGS[css]!];
  const [, inner] = /^cubic-bezier\(([^()]*)\)$/.exec(css) ?? [];
  const numbers = inner?.split(',').map(Number) ?? [];
  return numbers.length === 4 && numbers.every(Number.isFinite) ? numbers : undefined;
}
