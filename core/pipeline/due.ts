import type { Day } from '../calendar/day';
import { openQuestions } from '../commission/notes';
import type { Commission } from '../commission/schema';
import { endsOf } from '../buildDay/buildPlan';
import type { SittingPlan } from '../buildDay/sittingPlan';
import { visitPlan } from '../buildDay/visitPlan';
import { visitTitle } from '../buildDay/visits';
import { clockOf, minuteOf } from '../calendar/clock';
import { sittingTitle } from '../sittings/sittings';
import type { Held } from '../beforehand/held';
import { goodsHere } from '../ordering/goodsHere';
import type { DueSort, Hands } from '../staging/sorts';
import { say, type Said } from '../words/text';
import { standingOf } from '../yard/candidate';
import type { Plan } from './plan';

/** Something that the studio has to see to on a day. */
export interface Due {
  /** The same for the same thing, however often it is planned. */
  key: string;
  sort: DueSort;
  day: Day;
  title: Said;
  /** What it is about, a line each. */
  detail: Said[];
  /** An order that is not sent: over its day it is not past, it is late. */
  waits?: boolean;
  hands?: Hands;
  /** What of the studio's own it holds, from its day on. */
  holds?: Held;
}

/** Orders, deliveries once they are confirmed, what comes beforehand, the build and visits: calendar and list read this. */
export function dueOf(
  { order, build }: Plan,
  commission: Pick<Commission, 'log' | 'brief' | 'candidates' | 'parcels'>,
): Due[] {
  const hands = (s: Pick<SittingPlan, 'startTime' | 'doneMin' | 'crew'>): Due['hands'] => ({
    fromMin: minuteOf(s.startTime),
    toMin: minuteOf(s.startTime) + s.doneMin,
    count: s.crew.length,
    names: s.crew.filter((name) => typeof name === 'string'),
  });
  const here = goodsHere(order);
  return [
    ...questionsDue(commission),
    ...holdsDue(commission),
    ...order.suppliers.flatMap((s): Due[] =>
      s.orderBy
        ? [
            {
              key: `order ${s.supplier}`,
              sort: s.isShop ? 'fetch' : 'order',
              day: s.orderBy,
              title: say(s.isShop ? 'calendar.shop' : 'calendar.order', { supplier: s.name }),
              detail: s.lines.map((l) => say('calendar.line', { packs: l.packWords, name: l.name })),
              waits: true,
            },
          ]
        : [],
    ),
    ...deliveries(order, commission.parcels),
    ...build.beforehand.map((b, i): Due => ({
      key: `before ${i}`,
      sort: b.kind === 'brokenDown' ? 'fetch' : 'ready',
      day: b.day,
      title: b.title,
      detail: [b.detail],
      ...(b.holds ? { holds: b.holds } : {}),
    })),
    ...build.earlier.map((s): Due => ({
      key: `sitting ${s.id}`,
      sort: 'build',
      hands: hands(s),
      day: s.day,
      title: sittingTitle(s),
      detail: [
        say('calendar.sitting.detail', { start: s.startTime, done: clockOf(s.startTime, s.doneMin) }),
        ...(s.left ? [s.left.says] : []),
      ],
    })),
    {
      key: 'build',
      sort: 'build',
      hands: hands(build),
      ...(here ? { holds: { what: 'bay', ...here, amount: 1 } } : {}),
      day: build.buildDay,
      title: say('calendar.build'),
      detail: [say('calendar.build.detail', { start: build.startTime, ends: endsOf(build) })],
    },
    ...build.visits.map((v): Due => ({
      sort: 'visit',
      hands: hands(visitPlan(v, commission.brief)),
      key: v.sitting ? `sitting ${v.sitting.id}` : `visit ${v.afterDays}`,
      day: v.day,
      title: visitTitle(v),
      detail: v.tasks.map((t) => say('calendar.task', { title: t.title, detail: t.detail })),
    })),
  ];
}

/** Until when an actual piece is held for a yes or a no. */
function holdsDue({ candidates = [] }: Pick<Commission, 'candidates'>): Due[] {
  return candidates.flatMap((c): Due[] => {
    const isOpen = ['asked', 'offered'].includes(standingOf(c));
    if (!isOpen || c.heldUntil === undefined) return [];
    return [{ key: `held ${c.id}`, sort: 'question', day: c.heldUntil, title: say('calendar.held', { candidate: c.id, piece: c.piece }), detail: [], waits: true }]; // prettier-ignore
  });
}

function deliveries({ suppliers }: Plan['order'], parcels: Commission['parcels'] = []): Due[] {
  return suppliers.flatMap((s) => {
    const coming = s.coming.flatMap((c) =>
      c.day && c.given > 0 && !c.received ? [{ ...c, day: c.day }] : [],
    );
    return [...new Set(coming.map((c) => c.supplierReference))].map((reference): Due => {
      const own = coming.filter((c) => c.supplierReference === reference);
      const who = parcels.find((p) => p.reference === own[0].reference)?.openedBy;
      return {
        key: `delivery ${reference}`,
        sort: 'receive',
        day: own[0].day,
        title: who
          ? say('calendar.delivery.opened', { supplier: s.name, reference, who })
          : say('calendar.delivery', { supplier: s.name, reference }),
        detail: own.map((c) => say('calendar.line', { packs: c.packWords, name: c.name })),
      };
    });
  });
}

/** Questions with a day, until they are answered. */
function questionsDue(commission: Pick<Commission, 'log'>): Due[] {
  return openQuestions(commission).flatMap(
    (q) =>
    q.until ? [{ key: `question ${q.id}`, sort: 'question' as const, day: q.until, title: say('calendar.question', { text: q.text }), detail: [], waits: true }] : [], // prettier-ignore
  );
}

/** True for what is not over: an order that should have gone out stays until the build day. */
export function isAhead({ day, waits }: Pick<Due, 'day' | 'waits'>, { build }: Pick<Plan, 'build'>, today: Day): boolean {
  return day >= today || (waits === true && today <= build.buildDay);
} // prettier-ignore

/** What has to be seen to from a day on, soonest first. */
export function comingUp(
  plan: Plan,
  commission: Pick<Commission, 'log' | 'brief'>,
  today: Day,
): Pick<Due, 'day' | 'title'>[] {
  const later = plan.care.later.map((l) => ({ day: l.day, title: l.what }));
  return [...dueOf(plan, commission), ...later]
    .filter((d) => isAhead(d, plan, today))
    .sort((a, b) => a.day.localeCompare(b.day));
}
