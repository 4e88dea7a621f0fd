/** Plants where they stand. */
export const PLANTING = {
  'plant.short.says':
    '{plant}: {packs, plural, one {# pack gives} other {# packs give}} {plugs} of {count} plugs; {bare} cm² stay bare.',
  'plant.short.because':
    'Set them wider, split finer, buy more, or plant something else at the back: the ways out stand beside it.',
  'plant.dark.says':
    '{plant} has {dli} mol/m² of light a day; it lives from {least} and grows well with {good}.',
  'plant.dark.says.part':
    '{count, plural, one {# plug} other {# plugs}} of {plant} stand in the shade, the darkest with {dli} mol/m² a day; it lives from {least}.',
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
  'plant.still.says': '{plant} stands in water that moves {speed} mm/s; below {least} mulm settles on it.',
  'plant.still.because': 'Set it where water passes, or turn the outflow to it.',
  'plant.cover.says': '{plant} closes about {on}, after {day}.',
  'plant.cover.says.never': '{plant} does not close by {day} at this spacing and light.',
  'plant.cover.because': 'Plant denser, with more light or gas, or sooner.',
  'plant.hides.says': '{plant} grows to {high} in front of {other}, which grows to {low}.',
  'plant.hides.because': 'From the front the one behind is not seen: change places, or keep it short.',
  'plant.carbonate.says': '{plant} wants soft water, and {stones} harden it.',
  'plant.carbonate.because': 'Choose an inert stone, or a plant that bears hardness.',
  'plant.dug.says': '{animals} dig: fresh {plant} is pulled up for a week.',
  'plant.dug.because': 'Let them in when it has rooted, after three weeks or so.',
  'plant.eaten.says': '{animals} eat plants.',
  'plant.eaten.because': 'Keep to ferns, Anubias and moss, or to other animals.',
  'plant.melts.says': '{plant} comes grown above water: those leaves melt under it.',
  'plant.melts.because': 'Cut them off before planting, or ask for tissue culture; the client should know.',
  'plants.slow.says':
    '{dli} mol/m² of light a day, and nothing that grows fast is planted from the first day.',
  'plants.slow.because':
    'Algae take what plants leave: add fast stems or floating plants, or begin with less light.',
} as const;
