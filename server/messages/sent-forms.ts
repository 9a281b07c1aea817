import express, { type Request, type Response } from 'express';
import { asTyped, faultsOf, type Field, type Said } from '@sormet/core/forms';
import type { Message } from '@sormet/core/api';
import type { SiteStore } from '../database/site-store';
import { formInPage, type FormInPage } from './form-in-page';
import { receive } from './inbox';
import { pageAfter, pageWithFaults, wordsAfter } from './page-after';
import { Senders } from './senders';
import { wordsOfFault } from './words-of-faults';

/** How much a form may send, and of how many fields. */
const LARGEST = '200kb';
const MOST_FIELDS = 300;

const readForm = express.urlencoded({
  extended: false,
  limit: LARGEST,
  parameterLimit: MOST_FIELDS,
});

/** Where a form was sent: the site, the page, and the page's HTML as visitors get it. */
export interface SentTo {
  readonly site: { readonly id: string; readonly name: string; readonly revision: number };
  readonly path: string;
  readonly html: string;
  /** Whether what is sent there is kept: not from a preview. */
  readonly isKept: boolean;
}

/** The place of a form that is sent, as its address says it; nothing for what sends none. */
export function sentPlace({ query }: Request): string | undefined {
  const { send } = query;
  return typeof send === 'string' && send.length <= LONGEST_PLACE ? send : undefined;
}

const LONGEST_PLACE = 2000;

/** Takes what visitors send with the forms of sites. */
export class SentForms {
  readonly senders = new Senders();

  constructor(private readonly store: SiteStore) {}

  /**
   * A page as it is after one of its forms was sent; nothing where it has no such form.
   * @param place the form that was sent
   */
  after(html: string, place: string): string | undefined {
    const form = formInPage(html, place);
    return form && pageAfter(form);
  }

  /**
   * Takes what was sent with a form, holding it against the form in the page that visitors get. Browsers are led to what comes
   * then (RFC 9110, 15.4.4: loading that anew sends nothing twice); scripts are told in JSON.
   */
  async take(to: SentTo, place: string, request: Request, response: Response): Promise<void> {
    response.set('cache-control', 'no-store');
    const isJson = request.accepts(['html', 'json']) === 'json';
    response.type(isJson ? 'json' : 'html');
    const form = formInPage(to.html, place);
    const refuse = (status: number, why: string, html: string) => {
      response.status(status);
      if (isJson) response.json({ said: why });
      else response.type('html').send(html);
    };
    if (!form) return refuse(404, GONE, plainPage(GONE));
    // Another site sends nothing in a visitor's name (Fetch Metadata Request Headers, 2.3).
    const from = request.headers['sec-fetch-site'];
    if (from === 'cross-site') return refuse(403, ELSEWHERE, plainPage(ELSEWHERE));
    const typed = await readTyped(request, response);
    if (!typed) return refuse(413, TOO_LARGE, plainPage(TOO_LARGE));
    const faults = faultsOf(form.fields, typed);
    if (faults.length > 0) {
      if (!isJson) return refuse(422, WRONG, pageWithFaults(form, typed, WRONG, faults));
      const wrong = faults.map((fault) => ({
        name: fault.field.name,
        label: fault.field.label,
        said: wordsOfFault(fault),
      }));
      const [first] = wrong;
      return void response.status(422).json({ said: `${first!.label}: ${first!.said}`, wrong });
    }
    const who = request.ip ?? '';
    const wait = to.isKept ? this.senders.sends(who, to.site.id) : undefined;
    if (wait !== undefined) {
      response.set('retry-after', String(wait));
      const why = `That was much at once. Send it again in ${wait} seconds, please: nothing is lost.`;
      return refuse(429, why, isJson ? '' : pageWithFaults(form, typed, why, []));
    }
    if (to.isKept) await this.keep(to, form, typed, who);
    const words = wordsAfter(form);
    if (isJson) return void response.status(201).json({ said: words, kept: to.isKept });
    response.redirect(303, form.leadsTo || `?sent=${encodeURIComponent(place)}`);
  }

  private async keep(
    { site, path }: SentTo,
    form: FormInPage,
    typed: Said,
    who: string,
  ): Promise<void> {
    const { documents } = await this.store.stateAt(site.id, site.revision);
    const { inbox, name } = documents.site;
    const recipient = inbox?.mail;
    await receive(
      this.store.database,
      {
        site: site.id,
        path,
        form: form.label.slice(0, 200),
        fields: toldFields(form.fields, typed),
        held: this.held(form.fields, typed, who, site.id, path),
      },
      recipient === undefined ? undefined : { recipient, siteName: name },
    );
  }

  private held(
    fields: readonly Field[],
    typed: Said,
    who: string,
    site: string,
    path: string,
  ): Message['held'] {
    const isTrapped = fields.some(
      ({ isTrap, name }) => isTrap && (typed.get(name) ?? []).some((value) => value !== ''),
    );
    if (isTrapped) return 'trap';
    return this.senders.isQuick(who, site, path) === undefined ? null : 'quick';
  }
}

const GONE = 'This form is not on the page any more. Load the page anew, please.';
const ELSEWHERE = 'This form is sent from its own page alone.';
const TOO_LARGE = 'That is more than this form takes.';
const WRONG = 'This was not sent yet: something is missing or cannot be read.';

/** What was sent under each name; nothing where it is too much to be read. */
async function readTyped(request: Request, response: Response): Promise<Said | undefined> {
  try {
    await new Promise<void>((done, failed) =>
      readForm(request, response, (error?: unknown) => (error ? failed(error as Error) : done())),
    );
  } catch (error) {
    if ((error as { status?: number }).status === 413) return undefined;
    throw error;
  }
  const body: unknown = request.body;
  const typed = new Map<string, string[]>();
  if (typeof body !== 'object' || body === null) return typed;
  for (const [name, value] of Object.entries(body))
    typed.set(name, (Array.isArray(value) ? value : [value]).map(kept));
  return typed;
}

/** Text as PostgreSQL holds it: without the one character that it cannot. */
function kept(value: unknown): string {
  return String(value).replaceAll('\u0000', '\uFFFD');
}

/** What was said, with what people call each field; what nobody sees is left out, and what says nothing. */
function toldFields(fields: readonly Field[], typed: Said): Message['fields'] {
  const told: { label: string; value: string }[] = [];
  const nth = new Map<string, number>();
  for (const { name, label, type, isTrap, options } of fields) {
    if (name === '' || isTrap) continue;
    const values = typed.get(name) ?? [];
    if (type === 'select') {
      if (values.length > 0) told.push({ label, value: values.join(', ') });
      continue;
    }
    if (type === 'radio' || type === 'checkbox') {
      const [option = 'on'] = options ?? [];
      // A tick without a word of its own is a yes.
      if (values.includes(option)) told.push({ label, value: option === 'on' ? 'yes' : option });
      continue;
    }
    const at = nth.get(name) ?? 0;
    nth.set(name, at + 1);
    const value = asTyped(type, values[at] ?? '');
    if (value !== '') told.push({ label, value });
  }
  return told;
}

function plainPage(words: string): string {
  return `<!doctype html><html lang="en"><meta charset="utf-8"><title>Not sent</title><h1>Not sent</h1><p>${words}</p></html>`;
}
