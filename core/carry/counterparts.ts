import {
  allOf,
  claim,
  type Doc,
  docOf,
  type Documents,
  entryDateOf,
  isTheme,
  type Kind,
  own,
  type TypeSpec,
} from '../model';
import type { Choices } from './choices';
import type { Clip } from './clip';

/**
 * What a site has in place of what a clip names: the same by its id, else what is called the same. Definitions, shared
 * styles and files that it does not have come along under ids that are free.
 */
export class Counterparts {
  /** The ids that come along, by the ids they have in the clip. */
  readonly coming = new Map<string, string>();
  /** The same of tokens. */
  readonly comingTokens = new Map<string, string>();
  private readonly found = new Map<string, string | undefined>();

  constructor(
    private readonly documents: Documents,
    private readonly clip: Clip,
    private readonly makeId: () => string,
    private readonly choices: Choices = {},
  ) {}

  /** The component here: the same, one of the same name, or the one that comes along. */
  component(id: string): string | undefined {
    const copied = own(this.clip.components, id);
    return this.of('component', id, copied !== undefined, () =>
      allOf(this.documents, 'component').find(({ name }) => name === copied?.name),
    );
  }

  /** The shared style here, by its name; else it comes along. */
  style(id: string): string | undefined {
    const copied = own(this.clip.styles, id);
    return this.of('style', id, copied !== undefined, () =>
      allOf(this.documents, 'style').find(({ name }) => name === copied?.name),
    );
  }

  /** The file here, by its content; else it comes along. */
  asset(id: string): string | undefined {
    const copied = own(this.clip.assets, id);
    return this.of('asset', id, copied !== undefined, () =>
      allOf(this.documents, 'asset').find(({ sha256 }) => sha256 === copied?.sha256),
    );
  }

  /** The content type here, by its name. Content never comes along: it belongs to its site. */
  type(id: string): string | undefined {
    const copied = own(this.clip.types, id);
    return this.of('type', id, false, () =>
      allOf(this.documents, 'type').find(({ name }) => name === copied?.name),
    );
  }

  /** The entry here: of the type that stands for its type, with the same slug. */
  entry(id: string): string | undefined {
    const copied = own(this.clip.entryNames, id);
    return this.of('entry', id, false, () => {
      const type = copied && this.type(copied.type);
      return type === undefined
        ? undefined
        : allOf(this.documents, 'entry').find(
            (each) => each.type === type && each.slug === copied!.slug,
          );
    });
  }

  /** The page here that has the path which the copied one had. */
  page(id: string): string | undefined {
    const copied = own(this.clip.pages, id);
    return this.of('page', id, false, () => {
      const [at] = copied ? this.documents.claiming(claim.path(copied.path)) : [];
      return at === undefined ? undefined : docOf(this.documents, 'page', at);
    });
  }

  /** The field of a content type that stands for one of the copied type. */
  field(type: string, id: string): string | undefined {
    const here = this.type(type);
    const fields = here === undefined ? undefined : docOf(this.documents, 'type', here)?.fields;
    if (!fields || own(fields, id)) return fields && id;
    if (entryDateOf(id)) return id;
    const key = own(this.clip.types, type)?.fields[id]?.key;
    return Object.keys(fields).find((each) => fields[each]!.key === key);
  }

  /** A path of fields from a content type, each in its type's counterpart. */
  path(type: string, path: readonly string[]): string[] | undefined {
    const fields: string[] = [];
    let of: string | undefined = type;
    for (const id of path) {
      const field: string | undefined = of === undefined ? undefined : this.field(of, id);
      if (field === undefined || of === undefined) return undefined;
      fields.push(field);
      const spec: TypeSpec | undefined = own(this.clip.types, of)?.fields[id]?.type;
      of = spec?.kind === 'entry' ? spec.of : undefined;
    }
    return fields;
  }

  /** The property of a component's counterpart that stands for one of the copied one. */
  property(component: string, id: string): string | undefined {
    const properties = this.definition(component)?.properties;
    if (!properties || own(properties, id)) return properties && id;
    const copied = own(this.clip.components, component)?.properties[id];
    return Object.keys(properties).find(
      (each) =>
        properties[each]!.key === copied?.key && properties[each]!.type.kind === copied.type.kind,
    );
  }

  /** The same of a slot, by its label. */
  slot(component: string, id: string): string | undefined {
    const slots = this.definition(component)?.slots;
    if (!slots || own(slots, id)) return slots && id;
    const label = own(this.clip.components, component)?.slots[id]?.label;
    return Object.keys(slots).find((each) => slots[each]!.label === label);
  }

  /** The token here, by its name; where both are wanted, one that comes along. */
  token(id: string): string | undefined {
    const { tokens } = this.documents.tokens;
    if (own(this.choices, id) === 'both') {
      let here = this.comingTokens.get(id);
      if (here === undefined) this.comingTokens.set(id, (here = this.makeId()));
      return here;
    }
    if (own(tokens, id)) return id;
    const name = own(this.clip.tokens, id)?.name;
    return Object.keys(tokens).find((each) => tokens[each]!.name === name);
  }

  /** The theme here, by its name. */
  theme(id: string): string | undefined {
    const { themes = {} } = this.documents.tokens;
    if (isTheme(themes, id)) return id;
    const name = own(this.clip.themes, id)?.name;
    return Object.keys(themes).find((each) => themes[each]!.name === name);
  }

  /** The narrower width here that holds up to the same viewport, in CSS px. */
  width(id: string): string | undefined {
    const { widths } = this.documents.site;
    if (own(widths, id)) return id;
    const max = own(this.clip.widths, id)?.max;
    return Object.keys(widths).find((each) => widths[each]!.max === max);
  }

  /** The definition that stands for a copied one: this site's, or the one that comes along. */
  private definition(component: string) {
    const here = this.component(component);
    if (here === undefined) return undefined;
    return docOf(this.documents, 'component', here) ?? own(this.clip.components, component);
  }

  private of(kind: Kind, id: string, comesAlong: boolean, alike: () => Doc | undefined) {
    if (this.found.has(id)) return this.found.get(id);
    const same =
      own(this.choices, id) === 'both' ? undefined : (docOf(this.documents, kind, id) ?? alike());
    let here = same?.id;
    if (here === undefined && comesAlong) {
      here = this.documents.get(id) ? this.makeId() : id;
      this.coming.set(id, here);
    }
    this.found.set(id, here);
    return here;
  }
}
