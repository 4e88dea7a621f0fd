/** What the handover says. */
export const HANDOVER = {
  'careGuide.planted': 'Planted for you on {day}.',
  'careGuide.plantedDry': 'Planted for you on {planted}, filled on {day}.',
  'careGuide.plantedDryFor': 'Planted for you on {planted}, filled on {day}, in the care of {keeper}.',
  'careGuide.dryTitle': 'Until the water comes',
  'careGuide.dry':
    'From {planted} to {day} it stands damp under film, with no water over the bed. Once a day take the film off for ten minutes, mist everything and look for mould: wipe it away, and leave the film open a hand’s breadth until it stays away. The timer gives 8 to 10 hours of light. In the last week open the film a little more each day. Never let a leaf dry at its edge, nor the sun shine on the film.',
  'careGuide.howToRead': 'Each little tank below is a day; the blue is the water to take out and replace.',
  'careGuide.test': 'test, write it down',
  'careDays.week': 'Week {week}: light {hours} h at {percent} %',
  'careDays.change': 'take out {litres} and replace it',
  'careDays.test': 'test, write it down',
  'careDays.feed': 'feed the plants',
  'careGuide.dose': 'feed the plants: one dose of {dose} for {litres}, as its label says',
  'careGuide.change':
    '{unplug} Siphon into buckets; start it without swallowing. {refill}, as warm as the tank: {warmth}.{mix} Put {conditioner} of conditioner in first, or what its label says. Then plug in again, with dry hands.',
  'careGuide.slack':
    'It may fall {days, plural, one {a day} other {# days}} before or after its day; it does not fall out, and is not doubled.',
  'careGuide.light': 'The timer does it: light from {on} to {off}.',
  'careGuide.lightStays': 'Do not lengthen it; the weeks beside the calendar say when it grows.',
  'careGuide.bottle':
    'The bottle stands upright and fixed in an aired room. If it hisses, open a window, leave the room and ring us.',
  'careGuide.panes':
    'Wipe the panes once a week, with nothing of the bed under the blade: a grain scratches the glass.',
  'careGuide.each': '{from} to {to}, each day',
  'careGuide.ringUs':
    'the water smells, fish gasp, ammonia or nitrite is above zero with animals inside, or a lamp, pump or wire is wet: then switch off at the socket first. Never release plants or animals outdoors.',
  'handoverStage.light':
    '{hours}\u00a0h at {percent}\u00a0%, up to {lastHours}\u00a0h at {lastPercent}\u00a0%',
  'careGuide.plantedFor': 'Planted for you on {day}, in the care of {keeper}.',
  'careGuide.doseByLabel': 'feed the plants: one dose for {litres}, as its label says',
  'careGuide.lightAndGas':
    'The timer does it: light from {on} to {off}, gas from {co2On}, off with the light.',
  'careGuide.lightAndGasLater':
    'The timer does it: light from {on} to {off}, gas from {co2On} from {day} on, off with the light.',
  'careGuide.madeFor': 'made this for {client}.',
  'careGuide.madeForAt': 'made this for {client}, {place}.',
  'careGuide.heavy': 'A filled tank is heavy and stays where it is: moving it is work for us.',
} as const;
