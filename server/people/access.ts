import { SIGHTS, type Sight } from '../../core/commission/sight';

/*
 * Who may ask what: one table for every route. A route that is not in it is nobody's; a test walks all that the server has.
 */

/**
 * The owner, for whom all is open, the studio and its people too; designers work on every commission; the books have orders
 * and prices; the crew builds, and a guest reads, the commissions that they are on.
 */
export const ROLES = ['owner', 'designer', ...SIGHTS] as const;
export type Role = (typeof ROLES)[number];

/** Those for whom a commission that they are not on is not there. */
export const SCOPED: Role[] = ['crew', 'guest'];

/** With how much in it somebody sees a commission; undefined for those who see all of it. */
export const sightOf = (role: Role | undefined): Sight | undefined => SIGHTS.find((s) => s === role);

/** Open to whoever comes, signed in or not. */
export const ANYBODY = 'anybody';
type Allowed = typeof ANYBODY | readonly Role[];

const OWNER: Allowed = ['owner'];
const DESIGN: Allowed = ['owner', 'designer'];
const BOOKS: Allowed = [...DESIGN, 'books'];
const BUILD: Allowed = [...DESIGN, 'crew'];
const LOOK: Allowed = [...BUILD, 'guest'];
const ALL: Allowed = ROLES;

const entries = (list: string): [string, Allowed][] => [
  [`GET /api/studio/${list}`, DESIGN],
  [`POST /api/studio/${list}`, DESIGN],
  [`PUT /api/studio/${list}/:id`, DESIGN],
  [`DELETE /api/studio/${list}/:id`, DESIGN],
];
const file = (list: string): [string, Allowed][] => [
  [`GET /api/studio/${list}.csv`, DESIGN],
  [`POST /api/studio/${list}.csv`, DESIGN],
];

/** By method and address, as the routers have them. */
export const ACCESS: ReadonlyMap<string, Allowed> = new Map<string, Allowed>([
  ['GET /api/health', ANYBODY],
  ['GET /api/ready', ANYBODY],
  // Signing in, and what a page asks before it knows whether somebody has to.
  ['GET /api/people/me', ANYBODY],
  ['POST /api/people/sign-in', ANYBODY],
  ['POST /api/people/join', ANYBODY],
  ['POST /api/people/invitation', ANYBODY],
  ['POST /api/people/again', ANYBODY],
  ['POST /api/people/sign-in/code', ANYBODY],
  ['POST /api/people/sign-in/key/ask', ANYBODY],
  ['POST /api/people/sign-in/key', ANYBODY],
  // What a link opens: its secret is what is asked for.
  ['POST /api/link', ANYBODY],
  ['POST /api/link/picture', ANYBODY],
  ['GET /api/link/dates/:secret.ics', ANYBODY],
  ['POST /api/link/answer', ANYBODY],
  ['POST /api/people/sign-out', ALL],
  ['POST /api/people/password', ALL],
  ['GET /api/people/keys', ALL],
  ['POST /api/people/keys/ask', ALL],
  ['POST /api/people/keys', ALL],
  ['DELETE /api/people/keys/:id', ALL],
  ['POST /api/people/codes', ALL],
  ['POST /api/people/codes/on', ALL],
  ['POST /api/people/codes/off', ALL],
  ['GET /api/people/sessions', ALL],
  ['DELETE /api/people/sessions/:id', ALL],
  // Who is there and what they may is the owner's.
  ['GET /api/people', OWNER],
  ['PUT /api/people/:id', OWNER],
  ['DELETE /api/people/:id', OWNER],
  ['POST /api/people/:id/again', OWNER],
  ['POST /api/people/invitations', OWNER],
  ['DELETE /api/people/invitations/:id', OWNER],
  ['GET /api/people/journal', OWNER],
  // What concerns the whole studio, or a person who is a client, and cannot be taken back.
  ['PUT /api/studio/house', OWNER],
  ['GET /api/studio/kept', OWNER],
  ['POST /api/studio/suppliers/:id/prices', OWNER],
  ['GET /api/clients/export', OWNER],
  ['POST /api/clients/erase', OWNER],
  ['POST /api/clock/accept', OWNER],
  ['GET /api/clock', ALL],
  // The studio's lists and its yard, which are worked with every day.
  ['GET /api/studio', ALL],
  ['GET /api/studio/shelf-stock', BOOKS],
  ['POST /api/studio/start-set', DESIGN],
  ...['materials', 'plants', 'suppliers', 'animals', 'shelf'].flatMap(entries),
  ...['materials', 'plants', 'animals'].flatMap(file),
  ['GET /api/studio/price-lists', BOOKS],
  ['GET /api/studio/offers', BOOKS],
  ['POST /api/studio/prices-today', BOOKS],
  ['POST /api/studio/yard', DESIGN],
  ['POST /api/studio/yard/scans', DESIGN],
  ['PATCH /api/studio/yard/:id', DESIGN],
  ['POST /api/studio/yard/:id/parts', DESIGN],
  ['PUT /api/studio/yard/:id/photo', DESIGN],
  ['GET /api/studio/yard/photos/:photo', BUILD],
  ['DELETE /api/studio/yard/:id', DESIGN],
  ['GET /api/lessons', DESIGN],
  ['GET /api/week', BOOKS],
  ['GET /api/week/feed.ics', DESIGN],
  // Commissions.
  ['GET /api/commissions', ALL],
  ['POST /api/commissions', DESIGN],
  ['POST /api/commissions/import', DESIGN],
  ['GET /api/commissions/:id', ALL],
  ['PUT /api/commissions/:id', DESIGN],
  ['PATCH /api/commissions/:id', [...BOOKS, 'crew']],
  ['DELETE /api/commissions/:id', DESIGN],
  ['GET /api/commissions/:id/head', ALL],
  ['POST /api/commissions/:id/duplicate', DESIGN],
  ['POST /api/commissions/:id/restore', DESIGN],
  ['GET /api/commissions/:id/file', DESIGN],
  ['GET /api/commissions/:id/takeoff.csv', BOOKS],
  ['GET /api/commissions/:id/books.csv', BOOKS],
  ['GET /api/commissions/:id/scape.glb', DESIGN],
  ['GET /api/commissions/:id/scape.stl', DESIGN],
  ['GET /api/commissions/:id/scape.svg', DESIGN],
  ['GET /api/commissions/:id/calendar.ics', ALL],
  ['GET /api/commissions/:id/glance', BOOKS],
  ['GET /api/commissions/:id/orders', [...BOOKS, 'crew']],
  ['POST /api/commissions/:id/orders', BOOKS],
  ['POST /api/commissions/:id/orders/:reference/confirmed', BOOKS],
  ['POST /api/commissions/:id/orders/:reference/instead', BOOKS],
  ['POST /api/commissions/:id/orders/:reference/withdraw', BOOKS],
  ['GET /api/commissions/:id/orders/:reference.csv', BOOKS],
  ['GET /api/commissions/:id/orders/:reference.pdf', BOOKS],
  ['POST /api/commissions/:id/pictures', BUILD],
  ['GET /api/commissions/:id/pictures/:picture', LOOK],
  ['GET /api/commissions/:id/history', DESIGN],
  ['GET /api/commissions/:id/live', ALL],
  ['POST /api/commissions/:id/live', ALL],
  ['GET /api/commissions/:id/people', DESIGN],
  ['PUT /api/commissions/:id/people/:person', DESIGN],
  ['DELETE /api/commissions/:id/people/:person', DESIGN],
  ['GET /api/commissions/:id/links', DESIGN],
  ['POST /api/commissions/:id/links', DESIGN],
  ['DELETE /api/commissions/:id/links/:link', DESIGN],
  ['GET /api/meshes', ALL],
  // How the simulated suppliers answer, where they are what is behind the orders.
  ['GET /api/stand-ins/suppliers', OWNER],
  ['PUT /api/stand-ins/suppliers', OWNER],
]);

/** What a page shows only to who may do it, by the route that it asks. */
const TOLD = {
  house: 'PUT /api/studio/house',
  kept: 'GET /api/studio/kept',
  priceLists: 'POST /api/studio/suppliers/:id/prices',
  erase: 'POST /api/clients/erase',
  standIns: 'GET /api/stand-ins/suppliers',
  people: 'GET /api/people',
  history: 'GET /api/commissions/:id/history',
  members: 'GET /api/commissions/:id/people',
  links: 'POST /api/commissions/:id/links',
  create: 'POST /api/commissions',
  change: 'PATCH /api/commissions/:id',
  week: 'GET /api/week',
  studio: 'GET /api/studio/materials',
  prices: 'GET /api/commissions/:id/takeoff.csv',
  glances: 'GET /api/commissions/:id/glance',
  order: 'POST /api/commissions/:id/orders',
  photograph: 'POST /api/commissions/:id/pictures',
  pictures: 'GET /api/commissions/:id/pictures/:picture',
} as const;
export type Told = keyof typeof TOLD;

/** What a role may do of that. */
export function mayDo(role: Role): Told[] {
  return (Object.keys(TOLD) as Told[]).filter((what) => isAllowed(TOLD[what], role));
}

interface Pattern {
  route: string;
  method: string;
  is: RegExp;
}

/** Addresses with fewer names in them first: `/import` is not some `/:id`. */
const PATTERNS: readonly Pattern[] = [...ACCESS.keys()]
  .map((route): Pattern => {
    const [method, path] = route.split(' ');
    const parts = path.replace(/[.]/g, '\\.').replace(/:\w+/g, '[^/]+?');
    return { route, method, is: new RegExp(`^${parts}/?$`, 'i') };
  })
  .sort((a, b) => a.route.split(':').length - b.route.split(':').length);

/** The route of the table that a request means; undefined where it has none. `HEAD` asks what `GET` does. */
export function routeOf(method: string, path: string): string | undefined {
  const asked = method === 'HEAD' ? 'GET' : method;
  return PATTERNS.find((p) => p.method === asked && p.is.test(path))?.route;
}

/** Whether somebody may ask for a route: a person by their role, or nobody who is signed in. */
export function isAllowed(route: string, role: Role | undefined): boolean {
  const allowed = ACCESS.get(route);
  if (allowed === undefined) return false;
  return allowed === ANYBODY || (role !== undefined && allowed.includes(role));
}
