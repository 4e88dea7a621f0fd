import type { Response } from 'express';

/*
 * Who is at which commission, and what was saved there: told to every page that has it open, as server-sent events (HTML
 * Living Standard, "Server-sent events"). Nothing of a commission goes this way but the number of its revision.
 */

/** Where somebody is in a commission. */
export interface Here {
  name: string;
  /** The stage, and what is chosen on it. */
  stage?: string;
  chosen?: string;
}
interface Listener {
  person: string;
  res: Response;
  here: Here;
}

/** Pages of one person at once, and of all: what is left open costs a connection. */
const MOST_EACH = 12;
const MOST = 200;
/** How often a page is told that the way is open, and looked whether it may still listen, ms. */
const BEAT_MS = 10_000;

export interface Live {
  /** Listens to a commission until the page goes; false where too many do. `mayStill` is asked now and then. */
  listen(commission: string, tab: string, person: { id: string; name: string }, res: Response, mayStill: () => Promise<boolean>): boolean;
  /** A page says where it is; false where it does not listen. */
  at(commission: string, tab: string, person: string, where: Omit<Here, 'name'>): boolean;
  saved(commission: string, revision: number): void;
  /** Ends everything: the server stops. */
  end(): void;
} // prettier-ignore

export function openLive(): Live {
  const rooms = new Map<string, Map<string, Listener>>();
  const all = () => [...rooms.values()].flatMap((room) => [...room.values()]);
  const send = (res: Response, event: string, data: unknown) => res.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`); // prettier-ignore

  /** Everybody in a commission hears who else is. */
  function tell(commission: string): void {
    const room = rooms.get(commission);
    for (const [tab, { res }] of room ?? [])
      send(res, 'here', [...room!].filter(([other]) => other !== tab).map(([, l]) => l.here)); // prettier-ignore
  }

  return {
    listen(commission, tab, person, res, mayStill) {
      const open = all();
      if (open.length >= MOST || open.filter((l) => l.person === person.id).length >= MOST_EACH) return false;
      const room = rooms.get(commission) ?? new Map<string, Listener>();
      rooms.set(commission, room);
      room.get(tab)?.res.end();
      const mine: Listener = { person: person.id, res, here: { name: person.name } };
      room.set(tab, mine);
      res.status(200).type('text/event-stream').setHeader('X-Accel-Buffering', 'no').flushHeaders();
      const beat = setInterval(() => {
        res.write(': still here\n\n');
        void mayStill().then((may) => void (may || res.end()), () => res.end());
      }, BEAT_MS);
      res.on('close', () => {
        clearInterval(beat);
        // Another page may have taken its place.
        if (room.get(tab) === mine) room.delete(tab);
        if (room.size === 0 && rooms.get(commission) === room) rooms.delete(commission);
        tell(commission);
      });
      tell(commission);
      return true;
    },
    at(commission, tab, person, where) {
      const mine = rooms.get(commission)?.get(tab);
      if (mine?.person !== person) return false;
      mine.here = { name: mine.here.name, ...where };
      tell(commission);
      return true;
    },
    saved(commission, revision) {
      for (const { res } of rooms.get(commission)?.values() ?? []) send(res, 'saved', { revision });
    },
    end: () => all().forEach(({ res }) => res.end()),
  };
} // prettier-ignore
