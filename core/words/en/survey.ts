/** What the drawing and its measuring say. */
export const SURVEY = {
  'piece.floats.says.joined':
    '{piece} will float: it lifts {lift}, what is joined to it or lies on it holds {hold}.',
  'piece.floats.says.alone': '{piece} will float: it lifts {lift}, and nothing holds it.',
  'piece.floats.because': 'It needs {more} more stone of {density} kg/L joined to it or laid on it.',
  'piece.floats.because.try':
    'It needs {more} of stone of {density} kg/L joined to it or laid on it, or soaking: try in a bucket when it sinks.',
  'piece.floats.because.soak':
    'It needs {more} more stone of {density} kg/L joined to it or laid on it, or soak it {days, plural, one {# day} other {# days}} first: then it stays down.',
  'bed.shallow.says': '{depth} of {grain} under {plant}, {where}.',
  'grain.soil': 'soil',
  'bed.shallow.because': 'It roots in the bed and needs {limit}. Raise the bed there or move the planting.',
  'bed.steep.says': '{material} rises at {slope}°, {where}; it holds {limit}°.',
  'bed.steep.because':
    'Above its angle of repose a bed slides within weeks. Flatten it, or hold the step with stones and floss.',
  'bed.face.says': '{material} stands {height} high without anything before it, over {length}, {where}.',
  'bed.face.because':
    'A bare step slides within weeks. Set stones before it with floss behind them, or let it run out as a slope.',
  'bed.bare.says': '{cap} leaves {area} of {under} bare, {where}.',
  'bed.bare.because': 'What lies under a cap comes up through a bare spot. Raise the cap there.',
  'bed.bags.says': 'Only {cover} lies over bags of {filler}, {where}.',
  'bed.bags.because':
    'The mesh shows through, and is dug out at the first trim. Cover it by {limit}, or pour it loose.',
  'bed.filler.says': '{filler} is drawn to the glass, {where}.',
  'bed.filler.because': 'It is seen there for good: keep it {off} off the glass.',
  'now.open.says':
    '{count, plural, one {One thing comes} other {# things come}} out of the tank, and nobody has said where to: {things}',
  'now.open.because':
    'What lives on stone, wood and plants is dead after two hours in the air, and wet sand on a client’s floor is in everybody’s way. Say of each whether it is kept in tank water or a tub, dried, thrown away or taken to the studio; plants and animals are never released.',
  'now.height.says.higher': '{piece} stays as it stands, and is drawn {by} higher: the bed rises around it',
  'now.height.says.lower': '{piece} stays as it stands, and is drawn {by} lower: the bed sinks under it',
  'now.height.because.deep':
    'Pouring lifts no stone, and nobody takes soil from under one that stays. Draw it buried {deep}, as it will be then, or set it anew.',
  'now.height.because':
    'The bed goes down by more than it is buried: it would hang {deep} over it. Set it anew, or keep the bed around it.',
  'now.under.says': '{piece} stays as it stands, and {litres} of {bed} go from under it',
  'now.under.because':
    'It slides or sinks while the bed is taken out. Keep that layer, stand the piece elsewhere or on the glass, or lift it for as long as the bed is changed.',
  'joint.gap.says': '{joint}: {pieces} are {gap} apart.',
  'joint.gap.says.wide': '{joint}: {pieces} are {gap} or more apart.',
  'joint.gap.because':
    'A joint holds nothing across more than {reach}. Move them together, or put a piece between.',
  'joint.hangs.says': '{joint}: {mass} hang on it ({method}); {most} is the usual most.',
  'joint.hangs.because': 'Use impact glue or silicone, put a stone under it, or wedge it.',
  'plant.shared.says':
    '{one} and {other} are planted on the same ground, {percent} % of the smaller, and each is counted for the whole.',
  'plant.shared.because': 'Give each its share of the ground, or draw them apart.',
  'piece.free.says':
    '{pieces} {count, plural, one {stands in} other {stand in}} a width of {width} that is kept free, by {by}.',
  'piece.free.because': 'It was drawn to stay open. Move the piece out of it, or draw the width anew.',
  'source.drawn': 'the drawing',
  'piece.canyon.says': '{one} and {other} stand {gap} apart.',
  'piece.canyon.because':
    'Nearer than {canyon} a gap between two large stones reads as neither one nor two, and no tool gets in. Move them together or apart.',
  'piece.air.says': '{piece} hangs {height} above the glass with nothing near it.',
  'piece.air.because':
    'Nothing within {reach} bears it or can be joined to it. Let it down, or move it against a piece.',
  'piece.glass.says.bottom': '{piece} goes {through} through the bottom.',
  'piece.glass.says.pane': '{piece} goes {through} through the glass.',
  'piece.glass.because': 'It cannot stand there: move it, turn it, or bury it less.',
  'piece.glass.near.says': '{piece} leaves {gap} to the front pane.',
  'piece.glass.near.because': 'The cleaning blade needs {room}, and stone on glass cracks it.',
  'piece.lid.says': '{piece} stands {out} out of the rim, and the brief has a lid.',
  'piece.lid.because':
    'Cut a notch, set the wood lower, or settle with the client that there is none: what jumps needs one.',
  'piece.above.says': '{piece} reaches {top}, above nine tenths of the height.',
  'piece.above.because': '{most} is the usual most; above it the tank looks too small for its stone.',
  'start.count': '{count} pieces, an odd number',
  'start.third': '{piece} stands at {percent} % of the length: near a third',
  'start.height': '{percent} % of the height at most, on a bed of {bed}',
  'start.above': '{piece} stands {out} out of the water',
  'start.path': 'a path from {from} to {to} wide, kept free',
  'start.clear': '{front} clear in front, at least {canyon} between pieces',
  'start.grain': 'one grain: at most {deg}° apart',
  'start.sides': 'the lighter side has {percent} % of the heavier',
  'yard.density': '{mass} and {litres} are {own} kg/L; {material} is {density}: is one of them mistyped?',
  'yard.too-heavy': '{litres} do not fit into {box} of length by width by height: is it the mass or a size?',
  'yard.too-light': '{litres} fill little of {box} of length by width by height: is it the mass or a size?',
  'yard.heights':
    'The front shows {front} of height, the side {side}: did the measure lie beside the piece, as far from the camera?',
  'yard.forked':
    'The piece is forked or hollow from the front; the space between is filled. A scan or a skeleton of branches is truer.',
  'yard.outline-heavy':
    '{litres} do not fit into what the photographs show, at most {most}: is it the mass, or a measure?',
  'yard.outline-light':
    '{litres} fill less than the photographs show, at least {least}: is it hollow, or is it the mass or a measure?',
  'yard.parts':
    'The parts weigh {parts} together, the whole {whole}: was one of them weighed wet or with dust?',
  'candidate.held.says': '{candidate} for {piece} is held until {day}.',
  'candidate.held.because': 'After that somebody else may have it: say yes or no, or ask for longer.',
  'candidate.found.untested':
    '{candidate} for {piece} is not of the trade: {open, plural, one {one test is} other {# tests are}} not made yet.',
  'candidate.found.never': '{candidate} for {piece} is not used.',
  'candidate.found.because':
    'Nobody answers for it: what it gives off shows in weeks, and in the animals first.',
  'found.acid.how':
    'A few drops of dilute hydrochloric acid (10 %) on a fresh chip, outside: goggles and gloves, water at hand, rinse well. Vinegar is no test: much that hardens water does not fizz in it.',
  'found.acid.good': 'It does not fizz: it gives no carbonate to the water.',
  'found.acid.bad':
    'It fizzes: it hardens the water for years. Only where hard water is wanted, never with plants or animals of soft water.',
  'found.magnet.how': 'A strong magnet along all of it, also along cracks and dark spots.',
  'found.magnet.good': 'Nothing pulls.',
  'found.magnet.bad': 'It has iron in it, or is slag: it rusts and may give off other metals. Leave it.',
  'found.edges.how': 'A stocking or a thin glove drawn over all of it.',
  'found.edges.good': 'Nothing catches.',
  'found.edges.bad':
    'It catches: grind or file it round (mask and goggles), or keep it where nothing swims close by.',
  'found.veins.how': 'Look at a fresh break in daylight: shining, coloured or oily veins, rust, a smell.',
  'found.veins.good': 'Plain stone through and through.',
  'found.veins.bad':
    'Metal, oil or something unknown runs through it: copper alone kills shrimps in traces. Leave it.',
  'found.soundness.how': 'A knife into the softest places, knock on it, look for tunnels and fungus.',
  'found.soundness.good': 'Hard all through.',
  'found.soundness.bad': 'It is rotten: it fouls the water and falls apart. Leave it.',
  'found.sap.how': 'Scratch the bark and bend a twig: green under it, wet or sticky?',
  'found.sap.good': 'Dead and dry, no bark that comes off.',
  'found.sap.bad':
    'It is fresh or full of resin: sap fouls the water. Dry it for a year first; wood with resin never.',
  'found.kind.how': 'Which tree is it, and where did it lie? Ask until somebody knows.',
  'found.kind.good':
    'A hardwood without poison (oak, beech, alder, hazel, apple), from where nothing is sprayed.',
  'found.kind.bad':
    'A conifer, yew, oleander, robinia, or from a verge, a sprayed field or salt water: never.',
  'found.soaks.how':
    'Weighed down in a tub, water changed every other day: until it stays down by itself and the water stays clear. Pour boiling water over it first; a piece that fits a pot boils an hour for each centimetre of thickness.',
  'found.soaks.good': 'It stays down, and the water is clear after two days.',
  'found.soaks.bad':
    'It still floats or colours the water: go on, or tie it to a stone and change more water.',
  'candidate.other.says': '{candidate} for {piece} came other than promised: {how}.',
  'candidate.other.because':
    'What it changes is shown beside it: put it on the bench as it was measured, or send it back while it can be.',
  'candidate.other.tried': 'It is on the bench as it was measured: what that does stands among the findings.',
  'differs.length.more': '{much} longer',
  'differs.length.less': '{much} shorter',
  'differs.width.more': '{much} wider',
  'differs.width.less': '{much} narrower',
  'differs.height.more': '{much} higher',
  'differs.height.less': '{much} lower',
  'differs.mass.more': '{much} heavier',
  'differs.mass.less': '{much} lighter',
  'piece.reserved.says': '{piece} is also in {others}.',
  'piece.reserved.because': 'The yard has it once: choose another, or settle who gets it.',
  'piece.tips.says': '{piece} tips to the {side}: its middle lies {out} outside of what carries it.',
  'piece.tips.says.barely': '{piece} tips to the {side} at a lean of {lean}°.',
  'pocket.edge.says': '{percent} % of what is heaped on {piece} lies over its edge.',
  'pocket.edge.because':
    'It runs down within days. Make the heap smaller, move it, or set small stones or floss as a rim.',
  'pocket.steep.says': 'The heap on {piece} is {slope}° steep; {material} holds {holds}°.',
  'pocket.steep.because': 'Make it flatter or wider, or hold it with a rim of small stones.',
  'piece.loose.says': '{piece} is drawn at a height where nothing carries it, and no joint holds it.',
  'piece.loose.because': 'Join it to what it touches, or let it down.',
  'piece.tips.because': 'Bury it deeper, turn it, or lean it on another and join the two.',
  'piece.bare.says': '{piece} presses {mass} on bare glass.',
  'piece.bare.because': 'A grain under it cracks the pane: foam, egg-crate sheet or a thin bed goes between.',
  'piece.rests.says': '{piece} does not lie above the piece it is said to rest on.',
  'piece.rests.because':
    'It has been set on the bed instead. Move it over its support, or stand it on the bed.',
  'piece.overlaps.says': '{piece} shares {shared} with {others}.',
  'piece.overlaps.says.many':
    '{piece} shares {shared} with {others} and with {more, plural, one {one more piece} other {# more pieces}}.',
  'piece.overlaps.because': 'Two pieces cannot fill the same space: draw them apart. Volumes count it once.',
  'plant.co2.says': '{plant} does poorly without injected CO2.',
  'plant.co2.because': 'The brief has none. Choose another plant or ask about a CO2 set.',
  'vessel.label.says.more': 'The label says {label}, {percent} % more than the {inside} inside.',
  'vessel.label.says.less': 'The label says {label}, {percent} % less than the {inside} inside.',
  'vessel.label.because':
    'Labels often give the outer size. Every figure here uses the inner size and the water line.',
  'piece.passes.says': '{piece} does not pass the opening: {across} across, the widest is {widest}.',
  'piece.passes.because': 'Rim and braces are in its way. Choose smaller pieces and join them inside.',
  'group.passes.says':
    '{pieces}, joined before the build day, do not pass the opening: {across} across, the widest is {widest}.',
  'group.passes.because': 'Silicone them inside the empty tank, or choose a joint that is made on the day.',
  'vessel.seams.says': 'The seams of this second-hand tank are doubtful.',
  'vessel.seams.says.old': 'The seams of this second-hand tank are {years} years old.',
  'vessel.seams.because':
    'Silicone that has stood dry may part when it is filled again. A day full where water does no harm shows a seam that leaks now, not one that will: have it renewed by somebody who does that for a living, or find another tank.',
  'vessel.mat.says': 'No mat under a tank without a frame.',
  'vessel.mat.because': 'A grain or an uneven board under the base can crack the bottom pane.',
  'where.front.left': 'front left',
  'where.front.middle': 'front middle',
  'where.front.right': 'front right',
  'where.half-way.left': 'half-way back left',
  'where.half-way.middle': 'half-way back middle',
  'where.half-way.right': 'half-way back right',
  'where.back.left': 'back left',
  'where.back.middle': 'back middle',
  'where.back.right': 'back right',
} as const;
