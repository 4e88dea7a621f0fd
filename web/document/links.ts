import type { Answer } from '../../core/commission/quoteSchema';
import type { SheetView } from '../../core/commission/sheetView';
import type { LinkAsk, LinkKind } from '../../core/pricing/linkAsk';
import type { ProposalView } from '../../core/pricing/proposalView';
import { call } from './api';

/** A link as who works on a commission sees it. */
export interface Link {
  id: string;
  kind: LinkKind;
  named: string;
  madeAt: string;
  until: string;
  endedAt: string | null;
  usedAt: string | null;
  answer: (Answer & { day: string }) | null;
}
/** What a link opens: a proposal with the options that are shown, the first one first; or a sheet. */
export type Opened = { until: string } & (
  | { kind: 'proposal'; shows: ProposalView[]; answer?: Answer & { day: string } }
  | { kind: 'sheet'; shows: SheetView }
  | { kind: 'dates' }
);

const at = (id: string) => `/commissions/${encodeURIComponent(id)}/links`;
const json = JSON.stringify;
export const links = {
  of: (id: string) => call<{ links: Link[] }>('GET', at(id)),
  make: (id: string, ask: LinkAsk) => call<{ secret: string }>('POST', at(id), json(ask)), // prettier-ignore
  end: (id: string, link: string) => call('DELETE', `${at(id)}/${link}`),
  /** A picture that is shown; the same one twice is kept once. */
  picture: (id: string, picture: Blob) => call<{ id: string }>('POST', `/commissions/${encodeURIComponent(id)}/pictures`, picture, picture.type), // prettier-ignore
  open: (secret: string) => call<Opened>('POST', '/link', json({ secret })),
  answer: (secret: string, answer: Answer) => call('POST', '/link/answer', json({ secret, answer })),
};

/** A picture that a link shows, as an address of this page; undefined where it cannot be had. */
export async function linkPicture(secret: string, picture: string): Promise<string | undefined> {
  const response = await fetch('/api/link/picture', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: json({ secret, picture }) }).catch(() => undefined); // prettier-ignore
  return response?.ok ? URL.createObjectURL(await response.blob()) : undefined;
}
