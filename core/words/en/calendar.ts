/** What stands in the calendar beside the sentences of the stages. */
export const CALENDAR = {
  'calendar.shop': 'Shopping at {supplier}',
  'calendar.order': 'Order from {supplier}',
  'calendar.delivery': 'Delivery from {supplier}, {reference}',
  'calendar.delivery.opened': 'Delivery from {supplier}, {reference}: opened by {who}',
  'calendar.line': '{packs} {name}',
  'calendar.build': 'Build day',
  'calendar.sitting.detail': '{start} to {done}',
  'calendar.build.detail': '{start}, {ends}',
  'calendar.task': '{title}: {detail}',
  'calendar.change': 'change {litres} of water',
  'calendar.test': 'test the water, write it down',
  'calendar.feed': 'feed the plants: {count, plural, one {# dose} other {# doses}}',
  'calendar.light': 'light {hours} h at {percent} %',
} as const;
