/** What the studio's own place says. */
export const STUDIO = {
  'supplierTerms.title': 'Terms',
  'supplierTerms.shop': 'one goes there and chooses in the hand',
  'supplierTerms.open': 'open from – to',
  'supplierTerms.noHours': 'must be two hours like 9:00–18:00',
  'supplierTerms.contact': 'whom one asks there',
  'supplierTerms.cutOff': 'orders until',
  'supplierTerms.noHour': 'must be an hour like 14:00',
  'supplierTerms.minimum': 'sends for at least',
  'supplierTerms.from': 'goods from',
  'supplierTerms.carriage': 'carriage',
  'supplierTerms.add': 'Add a step of carriage',
  'supplierTerms.living': 'Plants and animals on',
  'houseSection.what':
    'Orders go out under its name; visit sheets and care guides have address and telephone too. New commissions begin with it.',
  'houseSection.kept': 'Kept. Commissions that are there already stay as they are.',
  'looksSection.what': 'For whoever sits at this browser. Documents keep millimetres, litres and kilograms.',
  'looksSection.sample':
    'A tank {length} long reads so: {water} of water at {warmth}, {gh}, {stone} of stone.',
  'suppliersSection.what': 'Order-by days count back over the days on which they deliver.',
  'suppliersSection.empty': 'No supplier yet: nothing can be priced or ordered without one.',
  'materialsSection.what':
    'Densities, slopes and packs from here are in every new commission; one that is there already keeps what it has.',
  'materialsSection.empty':
    'Nothing is here yet. The start set has soils, sands, stone, wood and what holds them, by their kind: densities, slopes, how far they settle. Prices are yours to enter.',
  'animalsSection.what':
    'Beside the {count} that everybody has. What is not known of an animal is not judged; what is, in every commission that it is asked for.',
  'animalCard.turned': 'must be at least as much as where it begins',
  'materialsSection.started': '{added, plural, one {# material was} other {# materials were}} added.',
  'entryColumn.find': 'Find {one} by name',
  'entryColumn.more': 'Show more: {shown} of {total}',
  'entryColumn.choose': 'Choose one to see what is known of it.',
} as const;
