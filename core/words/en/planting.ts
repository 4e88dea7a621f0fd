/** Plants where they stand. */
export const PLANTING = {
  'prepare.rinse': 'rinse the gel off, lukewarm',
  'prepare.rinse.loose': 'rinse, pick out what is dead',
  'prepare.wool': 'pull the wool off',
  'prepare.halve': 'halve the stems; tops and bottoms apart',
  'prepare.stems': 'cut the rot from the stems',
  'prepare.roots': 'trim the roots to two fingers',
  'prepare.melt': 'cut the leaves off that grew above water',
  'prepare.split': 'split into {plugs} a pack',
  'prepare.glue': 'dots of gel, rhizome free; gloves, air',
  'prepare.moss': 'pull thin, on dots of gel or under thread; gloves, air',
  'prepare.lift': 'lift, divide, keep wet in tank water',
  'tools.tweezers': 'long tweezers',
  'tools.scissors': 'scissors',
  'tools.bowls': 'bowls of tank water',
  'tools.sprayer': 'a sprayer',
  'tools.gel': 'gel glue and gloves',
  'way.wider': '{mm} apart',
  'way.packs': '{count, plural, one {# more pack} other {# more packs}}',
  'way.finer': 'split finer: {plugs} a pack',
  'way.halved': 'halve the stems',
  'way.fewer': 'only up to {mm} from the front, the rest bare',
  'way.behind': 'another plant beyond {mm}, then chosen',
  'lives.dark': '{dli} mol/m² a day here, lives from {least}',
  'lives.gas': 'needs CO2',
  'lives.warmth': 'wants {span}',
  'lives.hardness': 'wants {span} of hardness',
  'plant.short.says':
    '{plant}: {packs, plural, one {# pack gives} other {# packs give}} {plugs} of {count, plural, one {# plug} other {# plugs}}; {bare} cm² stay bare.',
  'plant.short.because':
    'Set them wider, split finer, buy more, or plant something else at the back: the ways out stand beside it.',
  'plant.dark.says':
    '{plant} has {dli} mol/m² of light a day; it lives from {least} and grows well with {good}.',
  'plant.dark.says.part':
    '{count, plural, one {# plug of {plant} stands} other {# plugs of {plant} stand}} in the shade, the darkest with {dli} mol/m² a day; it lives from {least}.',
  'plant.dark.because':
    'Move it into the light, turn or lower what shades it, raise the lamp’s output, or choose a plant of the shade.',
  'plant.red.says': '{plant} has {dli} mol/m² of light a day and stays green; it reddens from {good}.',
  'plant.red.because': 'Give it the brightest spot, or count on green.',
  'plant.burns.says': '{plant} has up to {dli} mol/m² of light a day; {good} is what it grows well with.',
  'plant.burns.because':
    'What grows slowly gathers algae there: shade it, or give the spot to something fast.',
  'plant.warmth.says': '{plant} grows well at {span}; the water is planned at {water}.',
  'plant.warmth.because': 'Choose another, or plan the water with the animals in mind for both.',
  'plant.hardness.says': '{plant} grows well at {span} of general hardness; the water is planned at {water}.',
  'plant.hardness.because': 'Mix with RO water, or choose another.',
  'plant.rhizome.says': '{plant} is painted onto the bed: its rhizome rots where it is buried.',
  'plant.rhizome.because': 'Count it on a stone or on wood instead, glued or tied.',
  'plant.drowned.says': '{plant} grows in air; {piece} has room for {count} of {wanted} above the water.',
  'plant.drowned.bed': 'the bed',
  'plant.drowned.because': 'Set it higher, lower the water, or plant fewer.',
  'plant.dry.says':
    '{count, plural, one {# portion of {plant} sits} other {# portions of {plant} sit}} above the water line and will dry out.',
  'plant.dry.because': 'Set them lower, raise the water, or choose a plant that grows in air.',
  'plant.nowhere.says':
    '{plant} ({planting}) has no free ground: its region lies outside the glass or under what stands there.',
  'plant.nowhere.because': 'Draw its corners onto the bed, or take it away.',
  'plant.still.says': '{plant} stands where water moves with {percent} % of the mean: mulm settles there.',
  'plant.still.because': 'Set it where water passes, or turn the outflow to it.',
  'plant.declined.algae.says':
    '{plant} of your own is declined for its algae; pots and bunches may bring their own.',
  'plant.declined.snails.says':
    '{plant} of your own is declined for its snails; pots and bunches may bring eggs of theirs.',
  'plant.declined.because':
    'Plants out of tissue culture bring neither. Otherwise ask the grower, look over every leaf and rinse before they go in.',
  'plant.grown.says': '{plant} has grown onto {piece}, which is not said to have anything living on it.',
  'plant.grown.says.none': '{plant} is said to have grown onto a piece, and stands on none.',
  'plant.grown.because':
    'It comes with its piece: choose that, and say that something lives on it. It is then kept wet, and neither scrubbed nor soaked.',
  'plant.cover.says': '{plant} closes about {on}, after {day}.',
  'plant.cover.says.never': '{plant} does not close by {day} at this spacing and light.',
  'plant.cover.because': '{count, plural, one {This would do} other {Each of these would do}}: {ways}.',
  'plant.cover.because.none':
    'Nothing of spacing, light or gas gets it there: choose a faster plant, or another day.',
  'plant.cover.first': 'planting it on the build day',
  'plant.cover.denser': '{mm} apart ({plugs, plural, one {# plug} other {# plugs}} instead of {count})',
  'plant.cover.light': 'light of {dli} mol/m² a day',
  'plant.cover.gas': 'CO2',
  'plant.cover.both': 'CO2 with {dli} mol/m² of light a day',
  'plant.cover.mat': 'a mat that is laid grown',
  'plant.cover.sooner': 'building {days, plural, one {# day} other {# days}} sooner',
  'plant.hides.says':
    'From {from}, {plant} at its {high} hides {percent} % of {other}, {low} high behind it.',
  'plant.hides.front': 'the front',
  'plant.hides.seat': 'the seat “{name}”',
  'plant.hides.because': 'Let them change places, or the one behind stand higher.',
  'plant.hides.because.kept': 'Trim it before it is {mm} high, or let them change places.',
  'plant.carbonate.says': '{plant} wants soft water, and {stones} harden it.',
  'plant.carbonate.because': 'Choose an inert stone, or a plant that bears hardness.',
  'plant.melts.says': '{plant} comes grown above water: those leaves melt under it.',
  'plant.melts.because': 'Cut them off before planting, or ask for tissue culture; the client should know.',
  'plant.shaded.says':
    '{plant} has {now} mol/m² of light a day as planted; once {other} has grown {then} are left. It lives from {least}.',
  'plant.shaded.because':
    'Change places, keep the taller one short, or count on it for the first weeks only.',
  'plant.shaded.floating': 'what floats',
  'plants.species.says': '{count} species are planted; the school of this brief holds with {most} at most.',
  'plants.species.because': 'Let one take the place of another, or plan for many, as drifts.',
  'water.shut.says':
    'At a height of {z}, about {area} dm² of water around {x} from the left and {y} from the front are shut off for {animal}: it needs {needs}, the widest way in is about {widest}.',
  'water.shut.because':
    'Widen the gap, close it with floss, or choose smaller animals: one that gets in does not get out.',
  'plants.slow.says':
    '{dli} mol/m² of light a day, and nothing that grows fast is planted from the first day.',
  'plants.slow.because':
    'Algae take what plants leave: add fast stems or floating plants, or begin with less light.',
} as const;
