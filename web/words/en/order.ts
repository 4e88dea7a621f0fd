/** What the order says. */
export const ORDER = {
  'orderStage.working': 'Working out what is needed, and by when…',
  'orderStage.unpriced': 'Not in the catalogue, to be had otherwise: {names}.',
  'supplierOrderCard.sent': 'On its way, waiting for the answer…',
  'supplierOrderCard.rest': 'Order the rest',
  'supplierOrderCard.all': 'all of it is confirmed',
  'supplierOrderCard.refused': 'Refused: {reason}',
  'supplierOrderCard.unreachable': 'Not confirmed: {reason}',
  'comingLines.delivered': 'comes {day}',
  'comingLines.noDay': 'has no delivery day yet',
  'comingLines.none': 'none',
  'comingLines.of': 'of {asked} asked for',
  'orderPreview.besides': '{standing} stands as it is; this is ordered besides.',
  'orderPreview.before':
    '{count, plural, one {One finding} other {# findings}} to be settled before ordering',
  'orderPreview.more': 'and {count, plural, one {one more} other {# more}}',
  'orderPreview.wanted': 'wanted by {day}',
  'orderPreview.noDay': 'no delivery day can be had',
  'orderStage.suppliers': '{count, plural, one {# supplier} other {# suppliers}}, back from {day}',
} as const;
