/** What the frame says. */
export const FRAME = {
  'scapeTabs.now': 'As it is now',
  'app.newer':
    'A newer version of Utsuwa is here, and this page is of the one before. What you typed is kept.',
  'commandPalette.noneFound': 'Nothing of that name. Try a commission, a stage or a command.',
  'commissionFrame.notOpened': 'This commission could not be opened.',
  'commissionFrame.before': '{trouble} What is shown was worked out before it.',
  'conflictSheet.what':
    'This commission was saved from another place at {when}. Everything else of both is kept; only what was changed in both is asked about. What is not chosen can be brought back by undo.',
  'findingList.none': 'Nothing measured lies outside its limit.',
  'goneSheet.asks': 'Removed elsewhere: bring it back?',
  'goneSheet.removed':
    'It is kept for 30 days and can be brought back as it was, with what was typed here since. Otherwise what was typed here is forgotten.',
  'goneSheet.erased': 'Its client was erased. Nothing of it is kept in this browser any more.',
  'goneSheet.deleted': 'It was removed more than 30 days ago and is gone for good, from this browser too.',
  'tallyColumn.asFurniture': '{pressure}, as furniture of that mass',
  'tallyColumn.lots': 'and {lots} for lots',
  'tallyColumn.gasSet': 'and {gas} for the CO2 set',
  'livePlan.failed': 'The figures could not be worked out ({message}).',
  'stages.plugs': '{count, plural, one {# plug} other {# plugs}}',
  'tallyColumn.plants': '{packs, plural, one {# pack} other {# packs}} of {species} species',
} as const;
