/** What the takeoff says. */
export const TAKEOFF = {
  'takeOffStage.gear': 'what the list of devices has to buy',
  'takeOffStage.supplies': 'what follows from joints, filler and litres, and eight weeks of care',
  'takeOffStage.head': '{lines, plural, one {# line} other {# lines}}, measured from the Bench as it is now',
  'takeOffStage.working': 'Measuring what is drawn…',
  'linePrice.what': 'Nobody has said yet what it is bought in.',
  'takeOffRow.comes': 'confirmed as {reference}, comes {day}',
  'takeOffRow.noDay': 'confirmed as {reference}, on no day yet',
  'takeOffStage.bed': '{count, plural, one {# material} other {# materials}}, {litres} in place, {mass} dry',
  'takeOffStage.pieces': '{count, plural, one {# piece} other {# pieces}} placed, {mass}',
  'takeOffStage.plants': '{species} species, {packs, plural, one {# pack} other {# packs}}',
  'takeOffStage.order': 'Order {count, plural, one {# pack} other {# packs}} →',
} as const;
