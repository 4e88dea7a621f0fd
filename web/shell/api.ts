import type { Fault } from '../../core/commission/fault';
import type { Studio } from '../../core/catalogue/studio';
import type { Commission } from '../../core/commission/schema';
import type { Confirmation } from '../../core/ordering/confirmation';

/** An answer that was not the one asked for, or none at all (`status` 0). */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly body: { faults?: Fault[]; theirs?: Stored } = {},
  ) {
    super(message);
  }
}

export interface Stored {
  revision: number;
  document: Commission;
  updatedAt?: string;
}

export interface Listed {
  id: string;
  title: string;
  client: string;
  place: string;
  buildDay: string;
  lengthMm: number;
  widthMm: number;
  heightMm: number;
  waterLineMm: number;
  removedAt: string | null;
}

export interface SentOrder {
  reference: string;
  supplier: string;
  state: 'sending' | 'confirmed' | 'partly' | 'refused' | 'unreachable';
  reason: string | null;
  sentAt: string;
  answeredAt: string | null;
  confirmation: Confirmation | null;
}

async function call<T>(method: string, path: string, body?: string, type = 'application/json'): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      body,
      headers: body === undefined ? {} : { 'Content-Type': type },
    });
  } catch {
    throw new ApiProblem(0, 'The server does not answer. What you typed is kept in this browser.');
  }
  const answer = (await response.json().catch(() => ({}))) as {
    title?: string;
    faults?: Fault[];
    theirs?: Stored;
  };
  if (!response.ok)
    throw new ApiProblem(response.status, answer.title ?? `The server answered ${response.status}.`, answer);
  return answer as T;
}

const json = (value: unknown) => JSON.stringify(value);
const at = (id: string) => `/commissions/${encodeURIComponent(id)}`;

/** The server, one function an address. */
export const api = {
  list: (q: string, removed: boolean) =>
    call<{ commissions: Listed[] }>(
      'GET',
      `/commissions?${new URLSearchParams({ q, removed: removed ? '1' : '0' })}`,
    ),
  read: (id: string) => call<Stored & { removedAt: string | null }>('GET', at(id)),
  create: (document: Commission) => call<{ id: string }>('POST', '/commissions', json(document)),
  save: (id: string, revision: number, document: Commission) =>
    call<{ revision: number; updatedAt: string }>('PUT', at(id), json({ revision, document })),
  duplicate: (id: string) => call<{ id: string }>('POST', `${at(id)}/duplicate`),
  remove: (id: string) => call('DELETE', at(id)),
  restore: (id: string) => call('POST', `${at(id)}/restore`),
  importFile: (text: string) => call<{ id: string }>('POST', '/commissions/import', text, 'text/plain'),
  studio: () => call<Studio>('GET', '/studio'),
  orders: (id: string) => call<{ orders: SentOrder[] }>('GET', `${at(id)}/orders`),
  sendOrder: (id: string, supplier: string, option: string, today: string) =>
    call<{ reference: string }>('POST', `${at(id)}/orders`, json({ supplier, option, today })),
  pictureUrl: (id: string, picture: string) => `/api${at(id)}/pictures/${picture}`,
  clientExport: (name: string) => `/api/clients/export?${new URLSearchParams({ name })}`,
  eraseClient: (name: string) => call<{ erased: string[] }>('POST', '/clients/erase', json({ name })),
  file: (id: string, name: string, option?: string) =>
    `/api${at(id)}/${name}${option ? `${name.includes('?') ? '&' : '?'}option=${encodeURIComponent(option)}` : ''}`,
};
