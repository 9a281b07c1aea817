import {
  assetPath,
  docOf,
  IMAGE,
  leafPath,
  TEXT,
  type Address,
  type Documents,
  type Moment,
  type Source,
} from '../model';
import {
  dataFor,
  escapeAttribute,
  escapeText,
  prepare,
  type Does,
  type Linked,
  type Linker,
  type Template,
} from '../resolve';
import {
  bareNames,
  dataOf,
  evaluate,
  recording,
  type Data,
  type Known,
  type Names,
  type Recorded,
} from '../value';
import { behaviourJs, KEYS_TOLD } from './behaviour-js';
import { cssOf, stylesRead } from './css';

/** A page as it is published: its HTML, the CSS file it loads, and what it was made from. */
export interface CompiledPage {
  readonly path: string;
  /** How many pages its lists are divided over. */
  readonly leaves: number;
  readonly html: string;
  readonly css: Stylesheet;
  /** What makes it do something; nothing for a page that does nothing. */
  readonly script: Script | undefined;
  /** What it was made from (see `Recorded`): when none of it changes, neither does the page. */
  readonly depends: readonly string[];
}

/** A CSS file, named after its content. */
export interface Stylesheet {
  readonly path: string;
  readonly text: string;
  readonly sha256: string;
}

/** A JavaScript file, named after its content. */
export type Script = Stylesheet;

/** What compiling takes beside documents. */
export interface Means {
  readonly linker: Linker;
  /** The SHA-256 of a text as UTF-8, in hexadecimal digits: the platform has one that is faster than any of ours. */
  readonly sha256: (text: string) => string;
  /** The moment at which it is made; nothing where no page goes by it. */
  readonly at?: Moment;
  /** Whether pages tell the frame around what happens in them: in a preview beside the bench. */
  readonly tells?: boolean;
  /** The data of the documents at that moment, where somebody has it already. */
  readonly data?: Data;
}

/** Compiles the pages of one state of a site; what pages share is worked out once. */
export class PageCompiler {
  private readonly data: Data;
  private sink: Recorded = new Set();
  private readonly prepared = new Map<string, Prepared>();
  private readonly scripts = new Map<string, Script>();

  constructor(
    private readonly documents: Documents,
    private readonly means: Means,
  ) {
    this.data = recording(
      means.data ?? dataOf(documents, undefined, undefined, means.at),
      () => this.sink,
    );
  }

  /** The CSS file that a page loads, on whatever entry. @throws when the page cannot be linked */
  stylesheet(page: string): Stylesheet {
    return this.prepare(page).css;
  }

  /**
   * @param number which of the pages that its lists are divided over, from 1
   * @throws when the page cannot be linked, or shows something that is not loaded.
   */
  compile({ path: first, page, entry }: Address, number = 1): CompiledPage {
    const path = leafPath(first, number);
    const prepared = this.prepare(page.id);
    this.sink = new Set(prepared.depends);
    if (entry) this.sink.add(entry.id).add(entry.type);
    const { missed } = this.data;
    const { html: body, leaves, does } = prepared.template.write(entry, { number, path: first });
    const script = this.script(does);
    const names: Names = { ...bareNames(dataFor(page, this.data)), page: entry };
    const html = htmlOf({
      language: page.language ?? this.documents.site.language,
      site: this.documents.site.name,
      title: plainText(page.title, names),
      before: number > 1 ? leafPath(first, number - 1) : '',
      next: number < leaves ? leafPath(first, number + 1) : '',
      leaf: leaves > 1 && number > 1 ? ` · ${number}/${leaves}` : '',
      description: plainText(page.description, names),
      image: page.image ? picturePath(page.image, names) : '',
      icon: this.icon(),
      css: prepared.css.path,
      script: script?.path ?? '',
      body,
    });
    if (prepared.waits || this.data.missed !== missed)
      throw new Error(
        `${path} shows something that is not loaded: only a whole site is published.`,
      );
    const { css } = prepared;
    return { path, leaves, html, css, script, depends: [...this.sink].sort() };
  }

  /** The script of a page, by what of it the page needs. */
  private script(does: Does | undefined): Script | undefined {
    const tells = this.means.tells ?? false;
    if (!does && !tells) return undefined;
    const key = does ? `${does.more} ${does.happenings} ${does.keys} ${does.wrong}` : '';
    const known = this.scripts.get(key);
    if (known) return known;
    const text = does ? behaviourJs({ ...does, tells }) : KEYS_TOLD;
    const sha256 = this.means.sha256(text);
    const script = { path: `/files/${sha256.slice(0, 16)}.js`, text, sha256 };
    this.scripts.set(key, script);
    return script;
  }

  private icon(): string {
    const { icon } = this.documents.site;
    const asset = icon === undefined ? undefined : this.data.asset(icon);
    return asset ? assetPath(asset) : '';
  }

  private prepare(page: string): Prepared {
    const done = this.prepared.get(page);
    if (done) return done;
    this.sink = new Set();
    const { missed } = this.data;
    const linked = this.means.linker.link(this.documents, page);
    const template = prepare(linked, this.data);
    const text = cssOf(this.documents, template.used);
    const site = this.documents.site;
    this.sink.add(site.id);
    for (const font of Object.values(site.fonts)) {
      const file = docOf(this.documents, 'asset', font.asset);
      // Those of its sheet alone: what no text of it is set in is no part of the page. A file that is gone may come back.
      if (!file || text.includes(assetPath(file))) this.sink.add(font.asset);
    }
    for (const each of stylesRead(this.documents, template.used)) this.sink.add(each);
    addDefinitions(linked, this.sink);
    const prepared: Prepared = {
      template,
      css: stylesheetOf(text, this.means.sha256(text)),
      waits: this.data.missed !== missed,
      depends: this.sink,
    };
    this.prepared.set(page, prepared);
    return prepared;
  }
}

interface Prepared {
  /** Whether something it shows on every entry is not loaded. */
  readonly waits: boolean;
  readonly template: Template;
  readonly css: Stylesheet;
  readonly depends: Recorded;
}

function addDefinitions(linked: Linked, into: Recorded): void {
  into.add(linked.doc);
  for (const [id, definition] of linked.definitions) {
    into.add(id);
    if (definition) addDefinitions(definition, into);
  }
}

function stylesheetOf(text: string, sha256: string): Stylesheet {
  return { path: `/files/${sha256.slice(0, 16)}.css`, text, sha256 };
}

function plainText(source: Source, names: Names): string {
  const value = evaluate(source, TEXT, names) as Known;
  return value !== null && value.type === 'text' && value.value !== null ? value.value : '';
}

/** The path of the file that a source of a picture leads to, `''` for none. */
function picturePath(source: Source, names: Names): string {
  const value = evaluate(source, IMAGE, names) as Known;
  const asset =
    value?.type === 'image' && value.value ? names.data.asset(value.value.asset) : undefined;
  return asset ? assetPath(asset) : '';
}

/**
 * An HTML document (HTML Living Standard, 13.1) around a body; what is shared of it in the words of the Open Graph
 * protocol (ogp.me): its title, description and picture.
 */
export function htmlOf(page: {
  language: string;
  site: string;
  title: string;
  /** Where the pages before and after it are, of a list that is divided over several; `''` for none. */
  before: string;
  next: string;
  /** Which of them it is, behind its title. */
  leaf: string;
  description: string;
  image: string;
  icon: string;
  css: string;
  /** `''` for a page that does nothing. */
  script: string;
  body: string;
}): string {
  const title = (page.title === '' ? page.site : page.title) + page.leaf;
  return [
    '<!DOCTYPE html>',
    `<html lang="${escapeAttribute(page.language)}">`,
    '<head>',
    '<meta charset="utf-8">',
    '<meta name="viewport" content="width=device-width, initial-scale=1">',
    `<title>${escapeText(title)}</title>`,
    ...(page.description === ''
      ? []
      : [`<meta name="description" content="${escapeAttribute(page.description)}">`]),
    ...(page.image === ''
      ? []
      : [
          `<meta property="og:title" content="${escapeAttribute(title)}">`,
          `<meta property="og:image" content="${escapeAttribute(page.image)}">`,
        ]),
    // Documents of a sequence (HTML Living Standard, 4.6.7: sequential link types).
    ...(page.before === '' ? [] : [`<link rel="prev" href="${escapeAttribute(page.before)}">`]),
    ...(page.next === '' ? [] : [`<link rel="next" href="${escapeAttribute(page.next)}">`]),
    ...(page.icon === '' ? [] : [`<link rel="icon" href="${escapeAttribute(page.icon)}">`]),
    `<link rel="stylesheet" href="${page.css}">`,
    ...(page.script === '' ? [] : [`<script defer src="${page.script}"></script>`]),
    '</head>',
    // Nothing behind the body: an HTML parser would put it into the body.
    `<body>${page.body}</body></html>`,
  ].join('\n');
}

/** A page that leads visitors of a former path to the new one, without a script. */
export function redirectHtml(language: string, to: string): string {
  return [
    '<!DOCTYPE html>',
    `<html lang="${escapeAttribute(language)}">`,
    '<head>',
    '<meta charset="utf-8">',
    '<title>This page has moved</title>',
    `<meta http-equiv="refresh" content="0; url=${escapeAttribute(to)}">`,
    `<link rel="canonical" href="${escapeAttribute(to)}">`,
    '</head>',
    `<body><p>This page has moved: <a href="${escapeAttribute(to)}">${escapeText(to)}</a></p></body>`,
    '</html>',
    '',
  ].join('\n');
}
