/** What is found of the tap and of the water wanted. */
export const WATER = {
  'target.noted': 'as noted',
  'target.unheated': 'the room, without a heater',
  'target.animals': 'what the animals share',
  'water.hard.says.gh': 'GH {has} from the tap, {wanted} wanted.',
  'water.hard.says.kh': 'KH {has} from the tap, {wanted} wanted.',
  'water.plants.says': '{wanted} wanted; {plant} does poorly above {most}.',
  'water.plants.because': 'Lower the target, or choose plants and animals that suit each other.',
  'water.hot.says': 'The fill takes {wanted} of hot water, the house gives {has} at once.',
  'water.hot.because':
    'The boiler runs cold in the middle of it. Fill in two goes while it heats again, warm tubs the evening before, or let the heater bring the tank up before anything that lives goes in.',
  'water.store.says': 'The fill takes {wanted} of RO water, the store holds {has}.',
  'water.store.because':
    'Tubs for {more} more, and {hours} h beyond a full store; {all} h at {rate} from an empty one.',
  'water.hard.because':
    'Only softer water brings it down: an RO unit, or plants and animals that take it as it is.',
  'water.nitrate.says': 'Nitrate {has} mg/L from the tap.',
  'water.nitrate.because':
    'Every change brings that much in: count it as plant food, or cut it with RO. Above 50 mg/L it is over the limit for drinking.',
  'water.conditioner.says.chlorine': 'Chlorine in the tap water, and no conditioner in the catalogue.',
  'water.conditioner.says.chloramine': 'Chloramine in the tap water, and no conditioner in the catalogue.',
  'water.conditioner.because':
    'It harms gills and bacteria. Add one; chloramine needs a kind that binds ammonia too.',
  'water.ro.says.one': 'RO falls behind on day {day}: {asked} asked, {there} there.',
  'water.ro.says.many': 'RO falls behind on {days} days from day {day}: {asked} asked, {there} there.',
  'water.ro.because':
    '{needed} stored before the first change would bridge it ({room} of room now), or a school with smaller changes.',
} as const;
