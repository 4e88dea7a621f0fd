/** Animals held against water, tank, plants and each other. */
export const LIVESTOCK = {
  'measure.temperature': 'temperature',
  'measure.gh': 'GH',
  'measure.kh': 'KH',
  'measure.ph': 'pH',
  'ph.one': 'pH {value}',
  'ph.span': 'pH {from} to {to}',
  'livestock.partly.says': 'Of {species} it is not said: {missing}.',
  'livestock.partly.because': 'What is not known is not judged. Fill it in before it is ordered.',
  'livestock.open.says': 'Not decided yet: {animals}.',
  'livestock.open.because': 'Load, gear and dates are without them until they are.',
  'livestock.unknown.says': '{species} is not in the catalogue of animals.',
  'livestock.unknown.because': 'It is not held against anything: look up its ranges yourself.',
  'livestock.water.says': '{has} for the tank, {wants} for {species}.',
  'livestock.water.because':
    'Its {measure} lies outside. Choose another animal, or plan the water for this one.',
  'livestock.stone.says':
    '{stone} hardens the water to KH {reached} and more; {species} wants {most} at most.',
  'livestock.stone.because':
    'Use an inert stone, or animals that like it hard. Changes with soft water only put it off.',
  'livestock.room.says': '{length} of tank, {least} for {species}.',
  'livestock.room.because': 'It grows to {grown} and needs the length to swim.',
  'livestock.group.says': '{count} {species}, {group} are the fewest kept together.',
  'livestock.group.because.here':
    'Alone they hide, pale and pine: find them company, or a home with more of their kind.',
  'livestock.group.because': 'Alone they hide, pale and pine. Take more of them, or fewer kinds.',
  'livestock.jumps.says': '{species} jumps, and the tank is open.',
  'livestock.jumps.because.here': 'Plan a lid or a net, or a lower water line.',
  'livestock.jumps.because': 'Plan a lid or a net, a lower water line, or another animal.',
  'livestock.digs.says': '{species} digs, and plants root in the bed.',
  'livestock.digs.because.here':
    'Fresh plugs are pulled up for a week or more: pot them, weigh them down, or set them round stones until they hold.',
  'livestock.digs.because': 'Fresh plugs are pulled up for a week or more: stock it once they hold.',
  'livestock.plants.says': '{species} eats or rasps soft plants.',
  'livestock.plants.because.here':
    'Moss, carpets and fine stems suffer. Use tough leaves, or feed greens beside them.',
  'livestock.plants.because': 'Moss, carpets and fine stems suffer. Use tough leaves, or another animal.',
  'livestock.apart.says': '{high} for {one}, {low} for {other}: they do not meet.',
  'livestock.apart.because': 'No {measure} suits both. Choose one of them.',
  'livestock.narrow.says.one': '{a} for {one}, {b} for {other}: {both} is the only overlap.',
  'livestock.narrow.says': '{a} for {one}, {b} for {other}: {both} are the only overlap.',
  'livestock.narrow.because':
    'A heater and a warm summer leave that band easily. Choose kinds that share more.',
  'livestock.eaten.says': '{eater} ({eaterMm}) eats {prey} ({preyMm}).',
  'livestock.eaten.because.shrimps': 'Young shrimps first, then the rest. Choose one of them.',
  'livestock.eaten.because': 'It fits its mouth when grown. Choose one of them.',
  'livestock.crowd.says': '{fish} cm of grown fish in {water} of free water.',
  'livestock.crowd.because':
    'One centimetre a litre is the usual most: fewer fish, or more water and more changes.',
} as const;
