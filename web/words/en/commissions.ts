/** What the commissions says. */
export const COMMISSIONS = {
  'week.title': 'Week',
  'week.late': 'Late',
  'week.none': 'nothing',
  'week.unknown':
    '{count, plural, one {One commission is} other {# commissions are}} still being worked out.',
  'week.before': 'The week before',
  'week.after': 'The week after',
  'week.today': 'From today',
  'week.feed': 'Feed for a calendar',
  'week.order': 'order',
  'week.fetch': 'fetch',
  'week.receive': 'comes',
  'week.ready': 'ready',
  'week.build': 'build',
  'week.visit': 'visit',
  'week.question': 'settle',
  'week.person': '{who} is in two places: {titles}.',
  'week.tubs':
    '{needs, plural, one {One tub is} other {# tubs are}} wanted and the studio has {has}: {titles}. Begin one sooner, or borrow.',
  'week.bays':
    'Goods of {needs} commissions stand here at once and there is room for {has}: {titles}. Have some brought to the site, or later.',
  'week.ro':
    '{needs} of RO water are wanted by this day, {has} can be there: {titles}. Make the rest ahead into tubs, fetch it, or move a day.',
  'week.hands': '{needs} hands are wanted at once and {has} work here: {titles}.',
  'clockQuestion.asks': 'Is today {now}?',
  'clockQuestion.why':
    'This machine’s clock says so, and Utsuwa last ran on {seen}. Until somebody says that it is right, nothing that was removed is deleted for good, and no older backup makes way for a new one. If it is wrong, set the clock of the machine and start Utsuwa again.',
  'commissionList.unchanged': 'Nothing was changed.',
  'commissionList.erased':
    'The client was erased from {count, plural, one {one commission} other {# commissions}} and from the backups. All files were searched afterwards: the name stands nowhere any more.',
  'commissionList.notAllErased': 'The client was erased, but something is left:',
  'commissionList.unknownFields': 'The commission was taken over. Some of its fields are not known here:',
  'commissionList.waiting':
    'Changes of {count, plural, one {one commission wait} other {# commissions wait}} in this browser:',
  'commissionList.removed': '{title} is removed.',
  'commissionList.ordersStay':
    '{count, plural, one {An order of {title} is with its supplier} other {# orders of {title} are with suppliers}}. Removing it withdraws none of them.',
  'commissionList.noneFound': 'No commission has all of these words.',
  'commissionList.noneOfThese': 'No commission is like that today.',
  'commissionList.binEmpty': 'Nothing was removed in the last 30 days.',
  'commissionList.empty': 'No commission yet.',
  'commissionList.wayStudio': 'Name, currency, suppliers, materials: what you buy and what it costs.',
  'commissionList.wayBegin': 'With the brief, in the order of a first visit.',
  'commissionList.waySample': 'A finished cube with its order, build day and care guide.',
  'commissionRow.toSettle': '{count} to settle',
  'commissionRow.standing.begun': 'Nothing drawn yet',
  'commissionRow.standing.drawn': 'Drawn, nothing ordered',
  'commissionRow.standing.ordering': '{confirmed} of {all} orders confirmed',
  'commissionRow.standing.ordered': 'Everything ordered',
  'commissionRow.standing.in-care': 'Built, in care',
  'commissionRow.standing.done': 'Care has ended',
  'commissionLook.of': 'A look at {title}',
  'commissionLook.more': 'and {count} more',
  'listChoice.unpriced': 'Without a price',
  'listChoice.which': 'Which commissions',
  'listChoice.kept': 'kept for 30 days',
  'listChoice.archive': 'built more than eight weeks ago',
  'listChoice.unknown':
    '{count, plural, one {one commission is} other {# commissions are}} still being worked out',
  'commissionRow.unpriced': '{count, plural, one {one line} other {# lines}} without a price',
} as const;
