import {
  isTooDeep,
  pointer,
  TOKEN_GROUPS,
  type Finding,
  type Json,
  type TokenGroup,
} from '../model';
import { say } from '../said';
import { inFormat } from './older-forms';
import { EXTENSION } from './write-tokens';
import { extendedGroups, isObject, MOST_MEMBERS, type JsonObject } from './extended-groups';
import { FORMAT_TYPES, STYLE_TYPES, type StyleType } from './format-types';
import { aliasOf, ValuesIn, WrongValue } from './values-in';

/** A token that a file brings: where it stands there, and what it holds, other tokens by their names in braces. */
export interface ReadToken {
  readonly path: readonly string[];
  readonly name: string;
  readonly group: TokenGroup;
  readonly css: string;
  readonly about: string | undefined;
  /** What themes make of it, by their names. */
  readonly themes: Readonly<Record<string, string>>;
}

/** A token that says several things at once: here it is a shared style. */
export interface ReadStyle {
  readonly path: readonly string[];
  readonly name: string;
  /** What it declares, by longhand: tokens by their names in braces. */
  readonly declares: Readonly<Record<string, string>>;
}

/** What a file of tokens holds; of one in which nothing is sound, everything that is wrong, each by its place. */
export type ReadTokens =
  | {
      readonly ok: true;
      readonly tokens: readonly ReadToken[];
      readonly styles: readonly ReadStyle[];
      /** What is not sound and stays out, by its place. */
      readonly left: readonly Finding[];
    }
  | { readonly ok: false; readonly findings: readonly Finding[] };

interface Found {
  readonly path: readonly string[];
  readonly token: JsonObject;
  readonly type: string | undefined;
}

/**
 * Reads tokens in the Design Tokens Format Module (2025.10), and in the forms that are met beside it (`inFormat`). What is
 * sound is taken; everything that is not is told, by JSON Pointer.
 */
export function readTokens(file: Json): ReadTokens {
  const findings: Finding[] = [];
  if (!isObject(file))
    return { ok: false, findings: [{ path: '', reason: say('tokens-file-object') }] };
  if (isTooDeep(file, DEEPEST))
    return {
      ok: false,
      findings: [
        {
          path: '',
          reason: say('groups-too-deep', { most: DEEPEST }),
        },
      ],
    };
  const found = new Map<string, Found>();
  collect(extendedGroups(inFormat(file, findings), findings), [], undefined, found, findings);
  if (found.size > MOST_MEMBERS)
    return {
      ok: false,
      findings: [
        ...findings,
        { path: '', reason: say('too-many-members', { most: MOST_MEMBERS }) },
      ],
    };
  const leading = new Leading(found);
  const tokens: ReadToken[] = [];
  const styles: ReadStyle[] = [];
  const names = namesOf([...found.values()]);
  const values = new ValuesIn({
    name: (alias) => {
      const key = leading.to(alias);
      return key === undefined || isStyle(found.get(key)?.type) ? undefined : names.get(key);
    },
    value: (alias) => found.get(leading.to(alias) ?? '')?.token['$value'],
  });
  for (const [key, each] of found) {
    const type = typeOf(each, found, leading, findings);
    if (type === undefined) continue;
    if (isStyle(type)) {
      const declares = telling(each, findings, () =>
        declaredBy(type, each, found, leading, values),
      );
      if (declares) styles.push({ path: each.path, name: names.get(key)!, declares });
      continue;
    }
    const group = groupFor(type, each);
    if (group === undefined) {
      findings.push({
        path: pointer(...each.path, '$type'),
        reason: say('type-not-kept', { type }),
      });
      continue;
    }
    const alias = aliasIn(each.token);
    const css =
      alias === undefined
        ? telling(each, findings, () => values.css(type, each.token['$value'] ?? null))
        : `{${names.get(leading.to(alias) ?? '')}}`;
    const extension = extensionOf(each.token);
    const { $description: about } = each.token;
    const themes = isObject(extension['themes']) ? extension['themes'] : {};
    if (css !== undefined)
      tokens.push({
        path: each.path,
        name: names.get(key)!,
        group,
        css: typeof extension['css'] === 'string' ? extension['css'] : css,
        about: typeof about === 'string' ? about : undefined,
        themes: Object.fromEntries(
          Object.entries(themes).filter(
            (entry): entry is [string, string] => typeof entry[1] === 'string',
          ),
        ),
      });
  }
  return findings.length > 0 && tokens.length + styles.length === 0
    ? { ok: false, findings }
    : { ok: true, tokens, styles, left: findings };
}

/** How deep groups may stand in each other, what tokens hold counted in. */
const DEEPEST = 40;

/** Every token of a group and of the groups in it, with the type that the nearest group around it says. */
function collect(
  group: JsonObject,
  path: readonly string[],
  around: string | undefined,
  found: Map<string, Found>,
  findings: Finding[],
): void {
  const said = group['$type'];
  if (said !== undefined && typeof said !== 'string')
    findings.push({ path: pointer(...path, '$type'), reason: say('type-is-text') });
  const type = typeof said === 'string' ? said : around;
  for (const [name, inner] of Object.entries(group)) {
    if (name.startsWith('$') && name !== '$root') continue;
    const at = [...path, name];
    if (/[{}]/.test(name)) findings.push({ path: pointer(...at), reason: say('name-signs') });
    else if (!isObject(inner))
      findings.push({ path: pointer(...at), reason: say('token-or-group') });
    else if ('$value' in inner || '$ref' in inner) {
      const own = inner['$type'];
      if (own !== undefined && typeof own !== 'string')
        findings.push({ path: pointer(...at, '$type'), reason: say('type-is-text') });
      found.set(at.join('.'), {
        path: at,
        token: inner,
        type: typeof own === 'string' ? own : type,
      });
    } else collect(inner, at, type, found, findings);
  }
}

/** Where aliases lead: to the token of that path; else, in files of several sets, to the only one whose path ends so. */
class Leading {
  private ends: Map<string, string | null> | undefined;

  constructor(private readonly found: ReadonlyMap<string, unknown>) {}

  to(alias: string): string | undefined {
    if (this.found.has(alias)) return alias;
    // As it is written where tokens have `value`.
    const short = alias.replace(/\.value$/, '');
    if (this.found.has(short)) return short;
    this.ends ??= this.allEnds();
    return this.ends.get(short) ?? undefined;
  }

  /** The paths without what they begin with; `null` for ends that several have. */
  private allEnds(): Map<string, string | null> {
    const ends = new Map<string, string | null>();
    for (const key of this.found.keys())
      for (let at = key.indexOf('.'); at >= 0; at = key.indexOf('.', at + 1)) {
        const end = key.slice(at + 1);
        ends.set(end, ends.has(end) ? null : key);
      }
    return ends;
  }
}

/** The whole of what an alias names (`{group.token}`), or a reference by JSON Pointer does. */
function aliasIn({ $value, $ref }: JsonObject): string | undefined {
  if (typeof $value === 'string') return aliasOf($value);
  if (typeof $ref !== 'string') return undefined;
  const parts = $ref.replace(/^#\//, '').split('/');
  return parts
    .filter((part, i) => !(part === '$value' && i === parts.length - 1))
    .map((part) => part.replaceAll('~1', '/').replaceAll('~0', '~'))
    .join('.');
}

/** The type of a token: its own, its group's, or that of the token it is an alias of; a circle is told with its way. */
function typeOf(
  token: Found,
  found: ReadonlyMap<string, Found>,
  leading: Leading,
  findings: Finding[],
): string | undefined {
  const way: string[] = [];
  for (let at: Found | undefined = token; at;) {
    const key = at.path.join('.');
    if (way.includes(key)) {
      const names = [...way.slice(way.indexOf(key)), key];
      if (way[0] === key)
        findings.push({
          path: pointer(...token.path, '$value'),
          reason: say('made-from-itself', { way: names }),
        });
      return undefined;
    }
    way.push(key);
    const alias = aliasIn(at.token);
    if (alias === undefined) {
      if (at.type !== undefined) return token.type ?? at.type;
      findings.push({ path: pointer(...token.path), reason: say('has-no-type') });
      return undefined;
    }
    const next = found.get(leading.to(alias) ?? '');
    if (!next) {
      if (at === token)
        findings.push({
          path: pointer(...at.path, '$ref' in at.token ? '$ref' : '$value'),
          reason: say('names-not-there', { name: alias }),
        });
      return undefined;
    }
    at = next;
  }
  return undefined;
}

function isStyle(type: string | undefined): type is StyleType {
  return type !== undefined && Object.hasOwn(STYLE_TYPES, type);
}

/** What a token of a composite type declares, its own or that of the one it is an alias of. */
function declaredBy(
  type: StyleType,
  { token }: Found,
  found: ReadonlyMap<string, Found>,
  leading: Leading,
  values: ValuesIn,
): Record<string, string> {
  let at = token;
  // A circle was told when its type was looked for.
  for (let alias = aliasIn(at); alias !== undefined; alias = aliasIn(at))
    at = found.get(leading.to(alias)!)!.token;
  const members: Readonly<Record<string, readonly [string, string]>> = STYLE_TYPES[type];
  const types = Object.fromEntries(Object.entries(members).map(([name, [, of]]) => [name, of]));
  const made = values.members(at['$value'] ?? null, types, true);
  return Object.fromEntries(Object.entries(made).map(([name, css]) => [members[name]![0], css]));
}

/** What is made of a token's value; where that is wrong, it is told by its place. */
function telling<T>({ path }: Found, findings: Finding[], make: () => T): T | undefined {
  try {
    return make();
  } catch (error) {
    if (!(error instanceof WrongValue)) throw error;
    findings.push({ path: pointer(...path, '$value', ...error.where), reason: error.said });
    return undefined;
  }
}

function extensionOf(token: JsonObject): JsonObject {
  const extensions = token['$extensions'];
  const own = isObject(extensions) ? extensions[EXTENSION] : undefined;
  return isObject(own) ? own : {};
}

/** What each is called here: its own name, as long as no other has it; else with the groups it stands in. */
function namesOf(found: readonly Found[]): Map<string, string> {
  const short = ({ path, token }: Found) => {
    const said = extensionOf(token)['name'];
    const last = path.at(-1) === '$root' ? path.at(-2) : path.at(-1);
    return typeof said === 'string' ? said : (last ?? '');
  };
  const many = new Map<string, number>();
  for (const each of found) {
    const name = short(each).toLowerCase();
    many.set(name, (many.get(name) ?? 0) + 1);
  }
  return new Map(
    found.map((each) => {
      const name = short(each);
      const whole = each.path.filter((part) => part !== '$root').join(' ');
      return [each.path.join('.'), many.get(name.toLowerCase()) === 1 ? name : whole];
    }),
  );
}

/** For what a token of a type is: said by the group it stands in where it is one of ours, else guessed from its path. */
function groupFor(type: string, { path }: Found): TokenGroup | undefined {
  const fitting = (Object.keys(FORMAT_TYPES) as TokenGroup[]).filter(
    (group) => FORMAT_TYPES[group] === type,
  );
  const named = fitting.find((group) => TOKEN_GROUPS[group].word.toLowerCase() === path[0]);
  if (named || fitting.length < 2) return named ?? fitting[0];
  const words = path.join(' ').toLowerCase();
  if (/radius|round|corner/.test(words)) return 'radius';
  return /font|type|text|size/.test(words) ? 'size' : 'space';
}
