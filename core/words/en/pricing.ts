/** What a quote and a proposal say. */
export const PRICING = {
  'quote.substrate': 'Substrate',
  'quote.hardscape': 'Stone and wood',
  'quote.plants': 'Plants',
  'quote.gear': 'Equipment',
  'quote.consumables': 'Water care and small things',
  'quote.gas': 'CO2 set',
  'quote.lots': 'Second-hand',
  'quote.carriage': 'Carriage',
  'quote.hours': 'Work, {hours} h',
  'quote.travel': 'Travel, {days, plural, one {one day} other {# days}}',
  'quote.visits': '{visits, plural, one {One visit} other {# visits}} after the build',
  'quote.rounding': 'Rounding',
  'books.wholeTax': 'Tax, reckoned once on the whole',
  'books.parcel': 'Order {reference} (theirs: {theirs})',
} as const;
