/** What the vessel says. */
export const VESSEL = {
  'floorLoad.pressure': ', {pressure} under the base of {base}',
  'heatSection.unheated': 'No heater, by choice',
  'heatSection.loss':
    'leave: {glass} through glass ({u} W/m²K), {surface} from the surface, {evaporation} by evaporation.',
  'heatSection.thumb': 'Rule of thumb {watts} W.',
  'heatSection.warmest':
    'Devices bring {devices} on the average of a day. At {room} it rests at {rests}; {most} is the most.',
  'heatSection.cooling': 'Cooling for {watts}.',
  'lampFields.zero': 'must be more than 0; leave it empty where nobody knows',
  'lampFields.tooMuch': 'is more than a kilowatt of LEDs gives: are those lumens?',
  'lampFields.inTheTank': 'would hang in the tank: must be 0 or more',
  'lampFields.grid':
    'PPFD as measured below it, µmol/m²/s: a line a row, from the front; first line: step and distance below, mm',
  'litresChart.says': 'Litres by height: {litres} with the scape in it at {height}, {empty} empty',
  'litresChart.how': ', the bed wet through. Point at a height to read both; turn the wheel to look closer.',
  'powerBar.mayStayOn': 'of {watts} W that may stay on',
  'powerBar.notListed': 'Not listed: {names}.',
  'powerBar.caution': 'Hands out of the water while anything is powered. {electrician}',
  'roBars.says':
    '{perDay} a day are made; outlined is what a change asks. {beforeFill} h before the first fill, {beforeChange} h before the first change.',
  'routeLine.lifting': 'NIOSH: {constant} × {factors}. Advice; local rules for lifting decide.',
  'routeLine.empty': 'No way in noted yet: add what lies between the van and the place.',
  'vesselStage.how': 'inner sizes; drag an edge, or type over a figure',
  'waterSection.ofStudio': 'the studio’s unit',
  'waterSection.change': 'Each usual change: {mix}.',
  'waterSection.oldWater': 'Nothing new goes in on the build day: the old water stays or is kept.',
  'waterSection.gives':
    'Gives GH {gh}, KH {kh} and {warmth}; wanted {wantedGh}, {wantedKh}, {wantedWarmth} ({because}).',
  'waterSection.minerals': 'Minerals: {minerals}, or what their label says.',
  'waterSection.noMinerals': 'No minerals.',
  'waterSection.warmRo': 'Warm the RO water to {warmth} first.',
  'waterSection.filling': '{minutes} min to fill by hose; conditioner for {tap} of tap water.',
  'waterSection.roUnitMissing': 'needs what the RO unit makes first: type that beside it',
  'waterSection.hotWater':
    'Hot water from a boiler or copper pipe may carry metals: let it run, or warm RO water instead.',
  'ppfdGrid.noFigure': '“{odd}” is no figure: only figures with spaces between, a line a row.',
  'ppfdGrid.uneven': 'Row {row} has {figures} figures, the first has {first}: each must have as many.',
  'ppfdGrid.noHead':
    'The first line must be the step and the distance below the lamp, mm: for instance “100 400”.',
  'ppfdGrid.allZero': 'Every figure is 0: is the lamp on?',
  'ppfdGrid.tooBright':
    '{most} µmol/m²/s is more than the sun gives: is it in lux? Divide by 70 or so for a white lamp.',
  'ppfdGrid.negative': 'A figure is below 0.',
  'waterSection.fillingByCans':
    '{minutes} min to fill, {cans, plural, one {# can} other {# cans}} of {can}; conditioner for {tap} of tap water.',
  'deviceRow.leaves': 'when the work begins',
  'deviceRow.stays': 'stays',
  'deviceRow.toClient': 'out, back to the client',
  'deviceRow.toWaste': 'out, thrown away',
  'deviceRow.toStock': 'out, to the studio’s stock',
  'deviceRow.goesOut': 'is taken out',
  'deviceRow.replaces': 'in place of',
  'deviceRow.towards': 'blows to, 0 is right',
  'deviceRow.follows': 'follows the tank until it is changed',
  'proposedGear.total':
    '{cost}{open, plural, =0 {} one { and one without a price} other { and # without a price}}{watts, plural, =0 {} other {, # W together}}',
  'vesselParts.opaque': 'opaque',
  'vesselParts.opaqueRim': 'Opaque rim',
  'vesselParts.sump': 'water in the sump',
} as const;
