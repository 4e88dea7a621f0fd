/** What the document says. */
export const DOCUMENT = {
  'originField.outOf': 'out of {name}',
  'dayField.noDay': 'is no day here, must be one like {example}',
  'figureField.missing': 'is missing, must be a number',
  'fileLink.failed': 'The file could not be written.',
  'pictureStrip.elsewhere': 'This picture is kept on another machine.',
  'api.answered': 'The server answered {status}.',
  'api.away': 'The server does not answer. What you typed is kept in this browser.',
  'upload.tooLarge': '{name} has {mb} MB, must have at most {most} MB.',
  'upload.empty': '{name} is empty.',
  'upload.noPicture': '{name} is no picture ({type}), must be a JPEG, PNG or the like.',
  'upload.refused': 'The picture was refused.',
  'upload.away': 'The server does not answer. The picture was not kept.',
  'packFields.noSupplier': 'needs a supplier in the catalogue first',
  'listFile.plants':
    '{taken, plural, one {# plant was} other {# plants were}} taken in, {fresh} of them new.',
  'listFile.materials':
    '{taken, plural, one {# material was} other {# materials were}} taken in, {fresh} of them new.',
  'listFile.animals':
    '{taken, plural, one {# animal was} other {# animals were}} taken in, {fresh} of them new.',
  'listFile.refused': 'Nothing was taken in. {why}',
  'listFile.unreadable': 'The file could not be read.',
  'plantEntries.what':
    'Figures are common practice until your own records say otherwise; what is changed here holds for new plantings.',
  'plantEntries.counted':
    'Counted on your own build days: {least} to {most} plugs a pack, {usual} as a rule, over {packs, plural, one {# pack} other {# packs}}. New plantings are worked out with that.',
  'entries.kept': '{name} is kept.',
  'entries.dropped': '{name} is taken away. Commissions that have it keep it.',
  'entries.notKept': 'It could not be kept.',
  'packRows.noSize': 'needs the size of the pack beside it first',
  'thingNotes.decision': 'Decided',
  'thingNotes.question': 'Open',
  'thingNotes.tried': 'Tried',
  'thingNotes.what': 'note',
  'thingNotes.before': '{kind} before',
  'thingNotes.add': 'and why',
  'sittingField.label': 'on',
  'sittingField.byKind': 'the day of its kind',
  'sittingField.joined': 'joined in place on',
  'sittingField.out': 'out again after',
  'sittingField.inWater': 'set in water of',
  'sittingField.aDay': 'moved a day',
  'offerSearch.title': 'From a price list',
  'offerSearch.find': 'name or article number',
  'offerSearch.total':
    '{total, plural, =0 {Nothing by that name on any list.} one {One line} other {# lines}}, cheapest first',
  'offerSearch.each': '{money} / {unit}',
  'offerSearch.unsaid': 'size not said',
  'offerSearch.none': 'No price list was taken in yet: Studio, Suppliers, Terms.',
  'photograph.away':
    'The photograph was not kept: {why} Take it again once the studio’s server can be reached.',
} as const;
