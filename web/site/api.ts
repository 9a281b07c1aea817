import type { Doc, EntryDates } from '@sormet/core/model';
import type {
  EntriesStanding,
  FileAnswer,
  HistoryEntry,
  HistoryLine,
  LastChanges,
  Mail,
  MarkRequest,
  MessageList,
  OpenFamily,
  PlanAnswer,
  ReleaseSummary,
  RemoveMessages,
  RemovedSite,
  SiteRequest,
  SiteSummary,
} from '@sormet/core/api';
import type { Change } from '@sormet/core/edit';
import { isSaid, say, type Said } from '@sormet/core/said';
import { sentence } from '../words';

/** An error that people are told of. */
class TellingError extends Error {
  constructor(readonly said: Said) {
    super(sentence(said));
  }
}

/** What the server said was wrong (RFC 9457 problem details). */
export class ApiProblem extends TellingError {
  constructor(
    readonly status: number,
    said: Said,
    readonly more: Readonly<Record<string, unknown>>,
  ) {
    super(said);
  }
}

/** The server could not be reached, or says that it cannot serve now: the same may go well later. */
export class Unreachable extends TellingError {}

/** The server was reached and failed on what it was asked: the same may fail again. */
export class ServerFault extends TellingError {}

/** Statuses that say: not now (RFC 9110, 15.6; a gateway in front of a server that is away). */
const NOT_NOW = new Set([502, 503, 504]);

/** @param read how what the server answers is read: as JSON, unless said otherwise */
async function request<T>(
  path: string,
  init: RequestInit = {},
  read: (response: Response) => Promise<unknown> = (response) => response.json(),
): Promise<T> {
  let response: Response;
  try {
    response = await fetch('/api' + path, init);
  } catch {
    throw new Unreachable(say('server-unreachable'));
  }
  if (response.ok)
    return response.status === 204 ? (undefined as T) : ((await read(response)) as T);
  if (NOT_NOW.has(response.status))
    throw new Unreachable(say('server-busy', { status: response.status }));
  if (response.status >= 500)
    throw new ServerFault(say('server-fails', { status: response.status }));
  const problem = (await response.json()) as Readonly<Record<string, unknown>>;
  const said = isSaid(problem['said']) ? problem['said'] : say('no-reason-known');
  throw new ApiProblem(response.status, said, problem);
}

function post<T>(path: string, body: unknown): Promise<T> {
  return send('POST', path, body);
}

function send<T>(method: 'POST' | 'DELETE' | 'PATCH', path: string, body: unknown): Promise<T> {
  return request(path, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
}

/** Which messages of a site are shown. */
export type ShownMessages = 'inbox' | 'unread' | 'held';

function messagesAsked(shown: ShownMessages, search: string): string {
  return new URLSearchParams({ shown, ...(search === '' ? {} : { search }) }).toString();
}

/** Where the messages that are shown are taken out as a table. */
export function csvOfMessages(site: string, shown: ShownMessages, search: string): string {
  return `/api/sites/${site}/messages.csv?${messagesAsked(shown, search)}`;
}

export const api = {
  messages: (id: string, shown: ShownMessages, search: string, before?: string) =>
    request<MessageList>(
      `/sites/${id}/messages?${messagesAsked(shown, search)}${before === undefined ? '' : `&before=${before}`}`,
    ),
  markMessages: (id: string, marks: MarkRequest) =>
    send<void>('PATCH', `/sites/${id}/messages`, marks),
  removeMessages: (id: string, ids: RemoveMessages) =>
    post<void>(`/sites/${id}/messages/remove`, ids),
  mails: (id: string) => request<{ mails: Mail[] }>(`/sites/${id}/mails`),
  sites: () => request<{ sites: SiteSummary[]; removed: RemovedSite[] }>('/sites'),
  makeSite: (site: SiteRequest) => post<SiteSummary>('/sites', site),
  removeSite: (id: string, name: string) => send<void>('DELETE', `/sites/${id}`, { name }),
  bringBack: (id: string) => post<void>(`/sites/${id}/back`, {}),
  site: (id: string) =>
    request<{ site: SiteSummary; revision: number; documents: Record<string, Doc> }>(
      `/sites/${id}`,
    ),
  history: (id: string, after: number) =>
    request<{ revision: number; edits: HistoryEntry[]; more: boolean }>(
      `/sites/${id}/history?after=${after}`,
    ),
  /** @param document of which document alone; of the whole site without one */
  historyLines: (id: string, before: number, document?: string) =>
    request<{ lines: HistoryLine[]; more: boolean }>(
      `/sites/${id}/history/lines?before=${before}${document === undefined ? '' : `&document=${document}`}`,
    ),
  /** @returns nothing when it was not there then */
  documentAfter: (id: string, revision: number, document: string) =>
    request<{ revision: number; document: Doc }>(
      `/sites/${id}/revisions/${revision}/documents/${document}`,
    ).then(
      (answer) => answer.document,
      (problem: Error) => {
        if (problem instanceof ApiProblem && problem.status === 404) return null;
        throw problem;
      },
    ),
  lastChanges: (id: string) => request<LastChanges>(`/sites/${id}/changed`),
  edit: (
    id: string,
    edit: {
      id: string;
      who: string;
      name: string;
      args: unknown;
      changes: Change[];
      stretch: string | null;
      editing?: true;
    },
  ) => post<{ revision: number }>(`/sites/${id}/edits`, edit),
  /** How the entries of a type stand: published as they are, changed since, not yet. */
  standing: (id: string, type: string, entry?: string) =>
    request<EntriesStanding>(
      `/sites/${id}/types/${type}/standing${entry === undefined ? '' : `?entry=${entry}`}`,
    ),
  /** The days of all entries as publishing now would show them. */
  dates: (id: string) => request<EntryDates>(`/sites/${id}/dates`),
  plan: (id: string) => request<PlanAnswer>(`/sites/${id}/plan`),
  releases: (id: string) => request<{ releases: ReleaseSummary[] }>(`/sites/${id}/releases`),
  release: (id: string, release: string) =>
    request<ReleaseSummary>(`/sites/${id}/releases/${release}`),
  publish: (id: string) => post<ReleaseSummary>(`/sites/${id}/releases`, {}),
  goBack: (id: string, release: string) => post<void>(`/sites/${id}/releases/${release}/live`, {}),
  /** The families of fonts that ship with the program. */
  openFamilies: () =>
    request<{ families: OpenFamily[] }>('/fonts').then(({ families }) => families),
  /** The file of a face of one of them. */
  openFont: (file: string) => request<Blob>(`/fonts/${file}`, {}, (response) => response.blob()),
  upload: (id: string, file: File) => {
    const body = new FormData();
    body.append('file', file);
    return request<FileAnswer>(`/sites/${id}/files`, { method: 'POST', body });
  },
};
