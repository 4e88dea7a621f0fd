/** What the order says. */
export const ORDER = {
  'orderStage.working': 'Working out what is needed, and by when…',
  'orderStage.unpriced': 'Not in the catalogue, to be had otherwise: {names}.',
  'supplierOrderCard.sent': 'On its way, waiting for the answer…',
  'supplierOrderCard.changed': 'The scape has changed since.',
} as const;
