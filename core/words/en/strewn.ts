/** Loose stone and grain that is strewn by hand, root tabs, pots and trays. */
export const STREWN = {
  'strewn.step': 'strewn by hand',
  'strewn.step.note': 'loose, as it was said; nothing more to choose from',
  'strewn.then': '{one}; then {other}',
  'strewn.lot': '{amount} of {material}',
  'strewn.lot.sized': '{lot}, {from} to {to}',
  'strewn.lot.around': '{lot}, round {pieces}',
  'rubble.title': 'Loose stone by hand, {mass}',
  'rubble.short': 'Loose stone',
  'rubble.detail':
    'rinsed, largest first: {lots}. Each beside what it seems to have broken from, a third of it in the bed; small ones into the gaps, never in a row',
  'caution.rubble':
    'Broken stone cuts: gloves. Nothing between a stone and the glass, and no grit on a pane that is wiped.',
  'sprinkle.title': '{names} strewn in, {litres}',
  'sprinkle.short': '{names} strewn in',
  'sprinkle.detail':
    'by the spoon or off a folded card, under water through a tube: {lots}; then brushed off leaves and stone',
  'step.lots': 'sizes and places',
  'why.rubble': 'Loose stone lies against what stands, on a bed that is poured and shaped.',
  'why.sprinkle': 'Grain that fills holes comes when everything that leaves one is in.',
  'sitting.needs.foot': 'it lies at its foot',
  'ware.title': 'Pots and trays: {pieces}',
  'ware.short': 'Pots and trays',
  'ware.detail': '{mass}; rinsed, holes covered with floss, filled and pressed in before they go under',
  'caution.ware': 'Glazed and painted ware gives off metals: only what is sold for water with animals in it.',
  'tabs.title': '{count, plural, one {One root tab} other {# root tabs}} pushed in',
  'tabs.short': 'Root tabs',
  'tabs.detail':
    'one for each square of {side}, two fingers deep with tweezers, the bed closed over it: {plants}; none where it would be dug up again',
  'tabs.among': '{count} among {plant}',
  'step.tabs': 'tabs',
  'why.tabs': 'Tabs go between roots that are there.',
} as const;
